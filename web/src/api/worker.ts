import { useSyncExternalStore } from 'react';
import { inSchool } from '../shared/school';

/** Without a touch for so long, nobody is in the middle of something. */
const QUIET_MS = 60_000;

/** How often it is asked whether the program is a newer one. */
const ASK_MS = 15 * 60_000;

interface State {
  /** The worker that waits to take over: a newer program. */
  waiting: ServiceWorker | undefined;
  /** Something was typed that no change has kept yet. */
  typed: boolean;
  /** The page is kept for when there is no network. */
  keeps: boolean;
}

let state: State = { waiting: undefined, typed: false, keeps: false };
let touched = 0;
const listeners = new Set<() => void>();

function set(part: Partial<State>) {
  state = { ...state, ...part };
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** How the page stands to the worker that keeps it. */
export const useWorker = () => useSyncExternalStore(subscribe, () => state);

/** A newer program has taken over from another page, while something was typed on this one. */
let loadsAnew = false;

/** What was typed is kept, or given up with the place it was typed at. */
export const nothingTyped = () => {
  if (state.typed) set({ typed: false });
  if (loadsAnew) window.location.reload();
};

/** The page of the newer program, as soon as nothing typed would be lost by it. */
function loadAnew() {
  if (state.typed) loadsAnew = true;
  else window.location.reload();
}

/** So long the older worker may hold the newer one up with what it still answers. */
const HANDED_OVER_MS = 4_000;

/** The newer program takes over, and the page is loaded anew; if need be the page lets go of the older worker first. */
export function takeOver() {
  state.waiting?.postMessage('take-over');
  setTimeout(loadAnew, HANDED_OVER_MS);
}

/** Nothing that was read of the school stays on this device. */
export const forgetRoom = () => navigator.serviceWorker?.controller?.postMessage('forget');

/** By itself only while nobody would lose anything by it. */
function takeOverInQuiet() {
  const quiet = document.visibilityState === 'hidden' || Date.now() - touched > QUIET_MS;
  if (!state.typed && quiet) state.waiting?.postMessage('take-over');
}

/** Has the page kept by a worker, where the browser lets it: over TLS, or on the machine itself. */
export async function keepPage(): Promise<void> {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return;
  const workers = navigator.serviceWorker;
  let controlled = workers.controller !== null;
  set({ keeps: controlled });
  // On the way up: to draw anything before the field has heard of it would put its old text back.
  document.addEventListener('input', () => state.typed || set({ typed: true }));
  for (const kind of ['input', 'pointerdown', 'keydown'])
    document.addEventListener(kind, () => (touched = Date.now()), { capture: true, passive: true });
  touched = Date.now();
  workers.addEventListener('controllerchange', () => {
    // The first worker only begins to keep; a later one brings a newer program.
    if (controlled) loadAnew();
    controlled = true;
    set({ keeps: true });
  });
  const registration = await workers.register(inSchool('/sw.js'));
  const look = () => {
    if (registration.waiting && workers.controller) set({ waiting: registration.waiting });
  };
  look();
  registration.addEventListener('updatefound', () => {
    registration.installing?.addEventListener('statechange', look);
  });
  setInterval(() => void registration.update().catch(() => undefined), ASK_MS);
  setInterval(takeOverInQuiet, 5_000);
  document.addEventListener('visibilitychange', takeOverInQuiet);
}
