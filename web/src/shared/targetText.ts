import type { Api } from '../api/client';
import { length } from './format';
import type { Unit } from './format';

/** Sizes of a target as they are written: `3.2 × 3.2 × 50`; empty for a cut without sizes. */
export function targetText(target: Api['Target'], unit: Unit): string {
  const side = (size: Api['TargetSize']) => {
    if (size.kind === 'exact') return length(size.size, unit);
    if (size.kind === 'range') return `${length(size.from, unit)} to ${length(size.to, unit)}`;
    return `under ${length(size.limit, unit)}`;
  };
  return [target.thickness, target.width, target.length]
    .filter((size) => size !== null && size !== undefined)
    .map(side)
    .join(' × ');
}

/** The same with its unit. */
export const sizeText = (target: Api['Target'], unit: Unit) => {
  const text = targetText(target, unit);
  return text && `${text} ${unit}`;
};
