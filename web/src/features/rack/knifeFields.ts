import type { Api } from '../../api/client';

export type Fields = Api['KnifeFields'];

export const emptyKnife: Fields = {
  number: '',
  knife_type: 'chefs',
  length: 200,
  heel_height: 47,
  hand: null,
  edge_state: 'sharp',
  note: '',
  name: '',
  edge_angle: null,
  bolster: 'none',
  tang: 'full',
  hollowed: false,
  handle: '',
  cost: null,
  stored: '',
};

/** The fields of a knife without its id and version. */
export const fieldsOf = (knife: Fields): Fields =>
  Object.fromEntries(Object.keys(emptyKnife).map((key) => [key, knife[key as keyof Fields]])) as Fields;
