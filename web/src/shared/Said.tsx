import { useUnit } from './format';
import { written } from './sentence';
import type { Sentence } from './sentence';

/** Writes what the core says, with its lengths in the unit that is shown. */
export function useSaid() {
  const [unit] = useUnit();
  return (sentence: Sentence | null | undefined) => (sentence ? written(sentence, unit) : '');
}

/** What the core says; plain words where nothing in it has a unit. */
export function Said({ children }: { children: Sentence | string | null | undefined }) {
  const said = useSaid();
  return typeof children === 'string' ? children : said(children);
}
