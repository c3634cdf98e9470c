import { useLocalStorage } from '@mantine/hooks';

/** Pixels of a millimetre where nobody has held a card to the screen: the browser's own idea. */
export const USUAL = 96 / 25.4;

/** How large this screen draws a millimetre, measured once on this device. */
export function usePixelsPerMillimetre() {
  const [kept, keep] = useLocalStorage<number>({ key: 'yard-notch-mm', defaultValue: 0 });
  const measured = Number.isFinite(kept) && kept > 1 && kept < 40;
  return { pixels: measured ? kept : USUAL, measured, keep };
}
