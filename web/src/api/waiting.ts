import { useSyncExternalStore } from 'react';

/** After so long a person wonders whether anything happens. */
const SLOW_MS = 2000;

let slow = 0;
const listeners = new Set<() => void>();

function changed(by: number) {
  slow += by;
  for (const listener of listeners) listener();
}

/** Waits for an answer; when it is slow to come, that can be seen. */
export async function waitedFor<T>(answer: Promise<T>): Promise<T> {
  let counted = false;
  const timer = setTimeout(() => {
    counted = true;
    changed(1);
  }, SLOW_MS);
  try {
    return await answer;
  } finally {
    clearTimeout(timer);
    if (counted) changed(-1);
  }
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** Whether something has been waited for too long. */
export const useSlow = () => useSyncExternalStore(subscribe, () => slow > 0);
