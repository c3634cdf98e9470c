import { inUnit, useUnit } from './format';

/** What the core says, with its lengths in the unit that is shown. */
export function useSaid() {
  const [unit] = useUnit();
  return (words: string) => inUnit(words, unit);
}

export function Said({ children }: { children: string }) {
  return useSaid()(children);
}
