import { useLocalStorage } from '@mantine/hooks';
import type { CivilTime, Day, Moment } from '../api/time';

/** How lengths are shown. They are always millimetres on the wire. */
export type Unit = 'mm' | 'in';

const KEPT_UNDER = 'yard-notch-unit';

export const useUnit = () => useLocalStorage<Unit>({ key: KEPT_UNDER, defaultValue: 'mm' });

/** The unit that is shown, where no component asks. */
export const shownUnit = (): Unit => (localStorage.getItem(KEPT_UNDER) === '"in"' ? 'in' : 'mm');

const MM_PER_INCH = 25.4;

/** From here on a cook counts in eighths: 50 mm is two inches. */
const IN_EIGHTHS = 1.5 * MM_PER_INCH;

/**
 * A length as a cook writes it: `3.2`, `50`, or in inches the nearest sixteenth, `1/8`, and of what is longer
 * the nearest eighth, `2`. Exactly, as in a field: mm to two places, inches to a sixteenth.
 */
export function length(mm: number, unit: Unit, exactly = false): string {
  if (unit === 'mm' && exactly) return String(Number(mm.toFixed(2)));
  if (unit === 'mm') {
    const tenths = Math.round(mm * 10) / 10;
    return mm >= 15 || Number.isInteger(tenths) ? String(Math.round(mm)) : tenths.toFixed(1);
  }
  const step = mm >= IN_EIGHTHS && !exactly ? 2 : 1;
  const sixteenths = Math.round((mm / MM_PER_INCH) * (16 / step)) * step;
  if (sixteenths === 0) return mm === 0 ? '0' : '<1/16';
  const whole = Math.floor(sixteenths / 16);
  let above = sixteenths % 16;
  let below = 16;
  while (above > 0 && above % 2 === 0) {
    above /= 2;
    below /= 2;
  }
  if (above === 0) return String(whole);
  return whole === 0 ? `${above}/${below}` : `${whole}-${above}/${below}`;
}

/** Without the last digits of the arithmetic: a sixteenth is 1.5875 mm. */
const exact = (mm: number) => Number(mm.toFixed(4));

/** What was typed as a length, in mm: `3.2`, and in inches `1/8`, `1-1/2` or `0.5`; none where it is no length. */
export function readLength(text: string, unit: Unit): number | undefined {
  const plain = text.trim().replace(',', '.');
  if (/^\d*\.?\d+$|^\d+\.$/.test(plain)) return exact(Number(plain) * (unit === 'in' ? MM_PER_INCH : 1));
  const [, whole, above, below] = /^(?:(\d+)[- ])?(\d+)\/(\d+)$/.exec(plain) ?? [];
  if (unit === 'mm' || !above || !Number(below)) return undefined;
  return exact((Number(whole ?? 0) + Number(above) / Number(below)) * MM_PER_INCH);
}

/** A length with its unit. */
export const withUnit = (mm: number, unit: Unit) => `${length(mm, unit)} ${unit}`;

/** A share as whole per cent, never rounded up. */
export const percent = (share: number) => `${Math.floor(share * 100 + 1e-9)} %`;

const nearest = (value: number, step: number) => Math.round(value / step) * step;

/** Grams that were worked out, as a cook says them: the gram, 5 g, 10 g; kilograms from a thousand on. */
export function grams(g: number): string {
  if (g >= 995) return `${(g / 1000).toFixed(1).replace(/\.0$/, '')} kg`;
  return `${nearest(g, g < 20 ? 1 : g < 200 ? 5 : 10)} g`;
}

/** Pieces or strokes as a cook says them: whole, from 200 the nearest ten, from a thousand the nearest fifty. */
export const counted = (number: number) =>
  nearest(number, number < 200 ? 1 : number < 995 ? 10 : 50).toLocaleString('en');

/** Seconds as `4:10`. */
export function clock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** Minutes with at most one decimal. */
export const minutes = (m: number) => (m >= 9.95 ? String(Math.round(m)) : m.toFixed(1).replace(/\.0$/, ''));

const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A day of the school's calendar, `Tue 6 Oct`; no time zone is applied. */
export function day(civil: Day | CivilTime): string {
  const date = new Date(`${civil.slice(0, 10)}T00:00:00Z`);
  return `${DAYS[date.getUTCDay()] ?? ''} ${date.getUTCDate()} ${MONTHS[date.getUTCMonth()] ?? ''}`;
}

/** `18:30` of a civil time, moved on by some minutes. */
export function hour(civil: CivilTime, later = 0): string {
  const [h = '0', m = '0'] = civil.slice(11, 16).split(':');
  const at = (Number(h) * 60 + Number(m) + later) % (24 * 60);
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}

/** The civil time of a moment by the clock on a school's wall. */
export function civil(moment: Moment, zone: string): CivilTime {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  }).formatToParts(new Date(moment));
  const part = (type: Intl.DateTimeFormatPartTypes) => parts.find((each) => each.type === type)?.value ?? '';
  return `${part('year')}-${part('month')}-${part('day')}T${part('hour')}:${part('minute')}:${part('second')}` as CivilTime;
}

/** First letter large. */
export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** `two_words` as `two words`. */
export const spaced = (word: string) => word.replaceAll('_', ' ');
