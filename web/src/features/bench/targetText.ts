import type { Api } from '../../api/client';

/** Sizes of a target as they are written: `3.2 × 3.2 × 50`; empty for a cut without sizes. */
export function targetText(target: Api['Target'], shown: (mm: number) => string): string {
  const side = (size: Api['TargetSize']) => {
    if (size.kind === 'exact') return shown(size.size);
    if (size.kind === 'range') return `${shown(size.from)} to ${shown(size.to)}`;
    return `under ${shown(size.limit)}`;
  };
  return [target.thickness, target.width, target.length]
    .filter((size) => size !== null && size !== undefined)
    .map(side)
    .join(' × ');
}
