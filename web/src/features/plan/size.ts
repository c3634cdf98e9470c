import type { Api } from '../../api/client';
import { length } from '../../shared/format';
import type { Unit } from '../../shared/format';

/** `3.2 × 3.2 × 50`, or `1/8 × 1/8 × 2` in inches; nothing for a cut without sizes. */
export function sizeIn(target: Api['Target'], unit: Unit): string {
  const side = (size: Api['TargetSize']) =>
    size.kind === 'exact'
      ? length(size.size, unit)
      : size.kind === 'range'
        ? `${length(size.from, unit)}–${length(size.to, unit)}`
        : `under ${length(size.limit, unit)}`;
  const sides = [target.thickness, target.width, target.length].filter((s) => s !== null && s !== undefined);
  if (sides.length === 0) return '';
  return `${sides.map(side).join(' × ')} ${unit}`;
}
