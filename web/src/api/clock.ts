import { ofSchool } from '../shared/school';
import type { Moment } from './time';

/** By how much the school's clock is ahead of this device's, kept for when there is no network. */
const KEY = ofSchool('yard-notch-ahead');

/** An answer that took longer says too little of the moment at which it was given. */
const TRUSTED_MS = 2_000;

function kept(): number {
  try {
    return Number(localStorage.getItem(KEY)) || 0;
  } catch {
    return 0;
  }
}

let ahead = kept();
let compared = false;

/** Compares the clocks: the school said its present moment in an answer that was waited for so long. */
export function compareClocks(schools: Moment, waitedMs: number) {
  if (compared && waitedMs > TRUSTED_MS) return;
  compared = true;
  const found = Date.parse(schools) + waitedMs / 2 - Date.now();
  // What lies within the time that was waited is no difference that can be told.
  if (Math.abs(found - ahead) <= waitedMs) return;
  ahead = Math.round(found);
  try {
    localStorage.setItem(KEY, String(ahead));
  } catch {
    // The next page compares again.
  }
}

/** Milliseconds by which the school's clock is ahead of this device's. */
export const clockAhead = () => ahead;

/** The school's clock at a moment of this device's, both in milliseconds. */
export const bySchool = (device: number) => device + ahead;
