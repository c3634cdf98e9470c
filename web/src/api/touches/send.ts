import { ApiProblem, answer, ask, told } from '../client';
import { shownUnit } from '../../shared/format';
import { written } from '../../shared/sentence';
import { bySchool } from '../clock';
import type { Touch } from './touch';

/** What came of sending a touch. */
export type Outcome =
  | { kind: 'taken'; unstarted: string[] }
  | { kind: 'refused'; why: string }
  /** The program does not answer, or has no time. */
  | { kind: 'later' }
  /** Nobody is signed in. */
  | { kind: 'sign_in' };

/** Answers that say nothing of the touch itself. */
const NOT_NOW = [0, 408, 425, 429, 500, 502, 503, 504, 507];

/** A program that fails on one touch again and again is not to hold up all others. */
const MOST_FAILURES = 5;
const failures = new Map<string, number>();

function posted({ deed, lesson, id, madeAt }: Touch) {
  const headers = { 'Idempotency-Key': id, 'Happened-At': new Date(bySchool(madeAt)).toISOString() };
  const to = { params: { path: { id: lesson } }, headers };
  switch (deed.kind) {
    case 'start':
      return ask.POST('/api/lessons/{id}/attempts', { ...to, body: deed.body });
    case 'stop':
      return ask.POST('/api/lessons/{id}/stop', { ...to, body: deed.body });
    case 'mark':
      return ask.POST('/api/lessons/{id}/marks', { ...to, body: deed.body });
    case 'undo':
      return ask.POST('/api/lessons/{id}/undo', { ...to, body: deed.body });
  }
}

/** Sends a touch once. */
export async function send(touch: Touch): Promise<Outcome> {
  try {
    const { refused } = await answer(posted(touch));
    failures.delete(touch.id);
    return {
      kind: 'taken',
      unstarted: refused.flatMap((each) => each.words.map((words) => written(words, shownUnit()))),
    };
  } catch (error) {
    const status = error instanceof ApiProblem ? error.document.status : 0;
    if (status === 401) return { kind: 'sign_in' };
    const failed = (failures.get(touch.id) ?? 0) + 1;
    if (status === 500) failures.set(touch.id, failed);
    if (NOT_NOW.includes(status) && failed < MOST_FAILURES) return { kind: 'later' };
    failures.delete(touch.id);
    return { kind: 'refused', why: told(error) };
  }
}
