import { useSyncExternalStore } from 'react';

/** Header in which the worker says when an answer was read that it had kept. */
const KEPT_AT = 'kept-at';

let oldest: string | undefined;
const listeners = new Set<() => void>();
const again = new Set<() => void>();

function now(at: string | undefined) {
  if (oldest === at) return;
  oldest = at;
  for (const listener of listeners) listener();
}

/** Whether an answer was kept from before, because the program did not answer. */
export const wasKept = (response: Response) => response.headers.has(KEPT_AT);

/** Notes whether an answer came from the program, or was kept from before because it did not answer. */
export function noted(response: Response): Response {
  const at = response.headers.get(KEPT_AT);
  if (at) now(oldest && oldest < at ? oldest : at);
  else if (oldest) {
    now(undefined);
    for (const listener of again) listener();
  }
  return response;
}

/** Is told when the program answers again after what was shown was old. */
export function onReachedAgain(listener: () => void): () => void {
  again.add(listener);
  return () => void again.delete(listener);
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** As of when is what is shown, where it is old: an instant. */
export const useKeptAt = () => useSyncExternalStore(subscribe, () => oldest);
