import type { Api } from '../../api/client';

/** A knife of the matrix, as it stands in the address. */
export const keyOf = (knife: Api['MatrixKnife']) =>
  `${knife.knife_type}/${knife.length}${knife.sharp ? '' : `/${knife.numbers.join()}`}`;
