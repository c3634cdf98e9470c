import { useSyncExternalStore } from 'react';
import { ofSchool } from '../../shared/school';
import { keeping } from './kept';
import type { Keeping } from './kept';
import { send } from './send';
import type { Deed, Refused, Touch } from './touch';

/** How long is waited before a touch is sent again, longer each time. */
const AGAIN_MS = [300, 700, 1500, 3000, 5000];

/** So many touches back there is something to undo. */
const RECENT = 20;

/** While many are sent one after the other, what they change is read again so often. */
const READ_MS = 1000;

/** Why nothing is sent now. */
export type Held = 'no' | 'program' | 'sign_in' | 'other';

interface State {
  /** Not taken by the program yet, in order. */
  unsent: Touch[];
  /** Taken, and not yet seen in what was read. */
  taken: Touch[];
  /** Refused, until somebody has read why. */
  refused: Refused[];
  /** Made on this page, the latest last, without what was undone. */
  recent: Touch[];
  held: Held;
  /** Whose touches wait for that person to sign in again. */
  heldFor: string;
  /** The browser keeps what is unsent when the page is closed. */
  keeps: boolean;
}

let state: State = {
  unsent: [],
  taken: [],
  refused: [],
  recent: [],
  held: 'no',
  heldFor: '',
  keeps: true,
};
const listeners = new Set<() => void>();

function set(part: Partial<State>) {
  state = { ...state, ...part };
  for (const listener of listeners) listener();
}

/** What the queue needs of the page. */
interface Page {
  /** Reads again what touches change. */
  read: () => Promise<unknown>;
  /** Who is signed in, or at the device. */
  who: () => string;
}

let page: Page | undefined;
let kept: Promise<Keeping | undefined> | undefined;

const opened = () =>
  (kept ??= keeping().catch(() => {
    set({ keeps: false });
    return undefined;
  }));

/** Begins to send, what was left from before first. */
export function beginSending(of: Page): () => void {
  page = of;
  void restore();
  const now = () => wake();
  window.addEventListener('online', now);
  return () => {
    page = undefined;
    window.removeEventListener('online', now);
  };
}

async function restore() {
  const before = await (await opened())?.all().catch(() => []);
  const known = new Set([...state.unsent, ...state.taken].map((touch) => touch.id));
  const left = (before ?? []).filter((touch) => !known.has(touch.id));
  for (const each of left) written.add(each.id);
  if (left.length) set({ unsent: [...left, ...state.unsent] });
  void run();
}

const touchId = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) => byte.toString(16).padStart(2, '0')).join(
    '',
  );

/** Takes a touch: it is on the screen at once, kept on the device, and sent in its turn. */
export function touch(lesson: number, deed: Deed, words: string): Touch {
  const made = { id: touchId(), madeAt: Date.now(), lesson, deed, words, by: page?.who() ?? '' };
  const undone = deed.kind === 'undo' ? deed.body.touch : undefined;
  const recent = state.recent.filter((each) => each.id !== undone);
  set({
    unsent: [...state.unsent, made],
    recent: undone ? recent : [...recent, made].slice(-RECENT),
  });
  void write(made).then(run);
  return made;
}

/** Touches that stand in what the device keeps. */
const written = new Set<string>();

async function write(made: Touch) {
  const db = await opened();
  try {
    await db?.keep(made);
  } catch {
    set({ keeps: false });
    return;
  }
  if (db) written.add(made.id);
  // It was sent before it was written down.
  if (!state.unsent.some((each) => each.id === made.id)) await drop(made.id);
}

async function drop(id: string) {
  const db = await opened();
  if (written.delete(id)) await db?.drop(id).catch(() => undefined);
}

/** Takes the latest touch of a lesson back. */
export function undo(of: Touch) {
  touch(of.lesson, { kind: 'undo', body: { touch: of.id } }, `Undo: ${of.words}`);
}

/** A refusal was read. */
export const seen = (id: string) => set({ refused: state.refused.filter((each) => each.touch.id !== id) });

let running = false;
let asleep: (() => void) | undefined;

/** Tries again now: the program answers, or somebody has signed in. */
export function wake() {
  asleep?.();
  void run();
}

async function run() {
  if (running || !page) return;
  running = true;
  try {
    let tries = 0;
    while (page && state.unsent[0]) {
      const next = state.unsent[0];
      if (next.by && page.who() && next.by !== page.who()) {
        set({ held: 'other', heldFor: next.by });
        return;
      }
      const held = await oneAtATime(() => deliver(next));
      set({ held });
      if (held === 'sign_in') return;
      tries = held === 'no' ? 0 : tries + 1;
      if (held !== 'no') await pause(AGAIN_MS[Math.min(tries, AGAIN_MS.length) - 1] ?? 0);
    }
  } finally {
    running = false;
  }
}

const pause = (ms: number) =>
  new Promise<void>((resolve) => {
    const timer = setTimeout(resolve, ms);
    asleep = () => {
      clearTimeout(timer);
      resolve();
    };
  });

/** Of several pages on one device, one sends at a time, so that the order is kept. */
async function oneAtATime(work: () => Promise<Held>): Promise<Held> {
  return 'locks' in navigator ? await navigator.locks.request(ofSchool('yard-notch-touches'), work) : work();
}

async function deliver(next: Touch): Promise<Held> {
  // Another page of this device may have sent it.
  const db = written.has(next.id) ? await opened() : undefined;
  const stillThere = (await db?.has(next.id).catch(() => true)) ?? true;
  const outcome = stillThere ? await send(next) : ({ kind: 'taken', unstarted: [] } as const);
  if (outcome.kind === 'later') return 'program';
  if (outcome.kind === 'sign_in') return 'sign_in';
  const unsent = state.unsent.filter((each) => each.id !== next.id);
  if (outcome.kind === 'refused') {
    const recent = state.recent.filter((each) => each.id !== next.id);
    set({ unsent, recent, refused: [...state.refused, { touch: next, why: outcome.why }] });
  } else {
    const why = outcome.unstarted.join(' ');
    const refused = why ? [...state.refused, { touch: next, why }] : state.refused;
    set({ unsent, refused, taken: [...state.taken, next] });
  }
  await drop(next.id);
  void readAgain();
  return 'no';
}

let begun = 0;
let reading = false;
let wanted = false;

/** What was taken leaves the queue once it is seen in what was read. One reading goes on at a time, and none waits for it. */
async function readAgain() {
  wanted = true;
  if (reading || (state.unsent.length > 0 && Date.now() - begun < READ_MS)) return;
  reading = true;
  while (wanted) {
    wanted = false;
    begun = Date.now();
    const seenIn = new Set(state.taken.map((each) => each.id));
    await page?.read().catch(() => undefined);
    set({ taken: state.taken.filter((each) => !seenIn.has(each.id)) });
  }
  reading = false;
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** What was touched on this device and how far it has come. */
export const useTouches = () => useSyncExternalStore(subscribe, () => state);

/** Whether a change that the program tells of is one of this device's, which is read again anyway. */
export const isOurs = (id: string) =>
  [state.unsent, state.taken, state.recent].some((touches) => touches.some((each) => each.id === id));
