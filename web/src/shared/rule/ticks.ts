/** A tick on a rule. */
export interface Tick {
  at: number;
  size: 'major' | 'middle' | 'minor';
}

/** Steps that people count in, for millimetres and minutes alike. */
const STEPS = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100];

/** The smallest step that leaves at least `apart` pixels between ticks. */
function stepOf(pixelsPerUnit: number, apart: number): number {
  return STEPS.find((step) => step * pixelsPerUnit >= apart) ?? 100;
}

/**
 * Ticks of a rule from `from` to `to`, the same logic for minutes, millimetres and notches: minor
 * ticks at least 5 px apart, major ones (which carry a figure) at least 44 px.
 */
export function ticks(from: number, to: number, pixelsPerUnit: number): Tick[] {
  if (!(to > from) || !(pixelsPerUnit > 0)) return [];
  const minor = stepOf(pixelsPerUnit, 5);
  const major = Math.max(stepOf(pixelsPerUnit, 44), minor);
  const ratio = Math.round(major / minor);
  const middle = ratio % 2 === 0 ? ratio / 2 : ratio;
  const found: Tick[] = [];
  const first = Math.ceil(from / minor - 1e-9);
  const last = Math.floor(to / minor + 1e-9);
  for (let index = first; index <= last; index += 1) {
    const onMajor = Math.abs((index * minor) / major - Math.round((index * minor) / major)) < 1e-6;
    const size = onMajor ? 'major' : index % middle === 0 ? 'middle' : 'minor';
    found.push({ at: Number((index * minor).toFixed(6)), size });
  }
  return found;
}
