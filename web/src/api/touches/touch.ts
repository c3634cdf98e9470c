import type { Api } from '../client';

/** What was touched, as it is sent. */
export type Deed =
  | { kind: 'start'; body: Api['Starts'] }
  | { kind: 'stop'; body: Api['Stops'] }
  | { kind: 'mark'; body: Api['NewMark'] }
  | { kind: 'undo'; body: Api['Undo'] };

/** A touch while a class runs. */
export interface Touch {
  /** Unlike all others: the same touch sent twice is done once. */
  id: string;
  /** When, by this device's clock, in milliseconds; set right by the school's when it is sent. */
  madeAt: number;
  lesson: number;
  deed: Deed;
  /** The same in words, for the person who touched. */
  words: string;
  /** Who was at the device: it is sent in no other's name. */
  by: string;
}

/** A touch that was refused, and why. */
export interface Refused {
  touch: Touch;
  why: string;
}
