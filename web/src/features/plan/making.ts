import type { Api } from '../../api/client';

type Making = Api['Making'];

/** The course's own sizes, squared, from produce of the usual size. */
export const USUAL: Making = {
  thickness: null,
  width: null,
  length: null,
  way: 'squared',
  produce: 'medium',
  peel: null,
};

export const SIDES = ['thickness', 'width', 'length'] as const;

const hasOwnSize = (making: Making) => SIDES.some((side) => typeof making[side] === 'number');

/** What is not the course's usual, in words; empty where all is. */
export function differences(making: Making): string {
  const words = [
    hasOwnSize(making) ? 'its own size' : '',
    making.way === 'flat_first' ? 'flat first' : '',
    making.produce === 'medium' ? '' : `${making.produce} produce`,
    typeof making.peel === 'number' ? (making.peel === 0 ? 'unpeeled' : 'peeled') : '',
  ];
  return words.filter(Boolean).join(' · ');
}

/** From the address that the Bench pins with. */
export function makingOf(at: URLSearchParams): Making {
  const size = (key: string) => {
    const written = Number(at.get(key) ?? Number.NaN);
    return written > 0 && Number.isFinite(written) ? written : null;
  };
  const produce = at.get('produce');
  return {
    thickness: size('t'),
    width: size('w'),
    length: size('l'),
    way: at.get('way') === 'flat_first' ? 'flat_first' : 'squared',
    produce: produce === 'small' || produce === 'large' ? produce : 'medium',
    peel: at.has('peel') ? Math.max(0, Number(at.get('peel')) || 0) : null,
  };
}
