import {
  createLoader,
  createParser,
  createSerializer,
  debounce,
  parseAsArrayOf,
  parseAsBoolean,
  parseAsFloat,
  parseAsString,
  parseAsStringLiteral,
  useQueryStates,
} from 'nuqs';
import type { inferParserType } from 'nuqs';
import type { Api } from '../../api/client';

type Shape = Api['Shape'];

const WAYS = [
  'verticals',
  'below',
  'centre',
  'turned',
  'half_rings',
  'level',
] as const satisfies readonly Api['Method']['kind'][];

/** The lengths of a shape that can be measured, in the order in which the address holds them. */
export function measures(shape: Shape): { key: string; label: string; size: number }[] {
  const of = (key: string, label: string, size: number) => ({ key, label, size });
  switch (shape.kind) {
    case 'frustum':
      return [
        of('big_end', 'Thick end', shape.big_end),
        of('small_end', 'Thin end', shape.small_end),
        of('length', 'Length', shape.length),
      ];
    case 'cylinder':
    case 'cone':
      return [of('diameter', 'Across', shape.diameter), of('length', 'Length', shape.length)];
    case 'ellipsoid':
    case 'wedge':
    case 'irregular':
    case 'block':
      return [
        of('length', 'Length', shape.length),
        of('width', 'Width', shape.width),
        of('height', 'Height', shape.height),
      ];
    case 'ball':
      return [
        of('diameter', 'Across', shape.diameter),
        ...(shape.core ? [of('core', 'Core', shape.core)] : []),
      ];
    case 'stoned':
      return [
        of('length', 'Length', shape.length),
        of('width', 'Width', shape.width),
        of('height', 'Height', shape.height),
        of('stone', 'Stone', shape.stone),
      ];
    case 'disc':
      return [of('diameter', 'Across', shape.diameter), of('height', 'Height', shape.height)];
    case 'stems':
      return [of('diameter', 'Across', shape.diameter), of('length', 'Length', shape.length)];
    case 'layered_ball':
    case 'layered_cylinder':
      return [of('diameter', 'Across', shape.diameter), of('length', 'Length', shape.length)];
    case 'stalk':
      return [
        of('width', 'Width', shape.width),
        of('thickness', 'Wall', shape.thickness),
        of('length', 'Length', shape.length),
      ];
    case 'sheet':
      return [
        of('length', 'Length', shape.length),
        of('width', 'Width', shape.width),
        of('wall', 'Wall', shape.wall),
      ];
    case 'bundle':
      return [of('grams', 'Grams', shape.grams)];
  }
}

/** A count that the API can hold; what is no number is not there. */
const count = (most: number) =>
  createParser({
    parse: (text) => {
      const number = Math.round(Number.parseFloat(text));
      return Number.isFinite(number) ? Math.max(0, Math.min(most, number)) : null;
    },
    serialize: String,
  });

/** Lengths and the like; all of them are numbers, or none is there. */
const figures = createParser({
  parse: (text) => {
    const numbers = text.split(',').map(Number);
    return text !== '' && numbers.every(Number.isFinite) ? numbers : null;
  },
  serialize: (numbers: number[]) => numbers.join(),
  eq: (one, other) => one.join() === other.join(),
});

/** Addresses that stand beside the one that is changed. */
const beside = parseAsArrayOf(parseAsString, ';').withDefault([]);

/** The words of the address that ask for a cut of a food. */
export const CUT = {
  food: parseAsString.withDefault('carrot'),
  cut: parseAsString.withDefault('julienne'),
  measured: figures,
  t: parseAsFloat,
  w: parseAsFloat,
  l: parseAsFloat,
  good: count(65535).withDefault(20),
  success: parseAsFloat.withDefault(80),
  first: parseAsFloat.withDefault(0),
  plank: parseAsFloat.withDefault(0),
  stick: parseAsFloat.withDefault(0),
  off: parseAsFloat.withDefault(0),
  lean: parseAsFloat.withDefault(0),
  uneven: parseAsFloat.withDefault(0),
  produce: parseAsStringLiteral(['small', 'medium', 'large']).withDefault('medium'),
  peel: parseAsFloat,
  wedges: count(255),
  onward: count(65535).withDefault(0),
  price: parseAsFloat,
  knife: parseAsString,
  way: parseAsStringLiteral(['squared', 'flat_first']).withDefault('squared'),
  step: count(255).withDefault(3),
  beside,
};

export type CutWords = inferParserType<typeof CUT>;
export type ChangeCut = ReturnType<typeof useCutAddress>[1];

/** The words of the address that ask for an onion. */
export const ONION = {
  across: parseAsFloat.withDefault(80),
  layers: count(255).withDefault(8),
  cuts: count(255).withDefault(9),
  places: figures,
  steps: parseAsFloat.withDefault(0),
  method: parseAsStringLiteral(WAYS).withDefault('verticals'),
  depth: parseAsFloat.withDefault(0.5),
  level: count(255).withDefault(1),
  size: parseAsFloat.withDefault(6.4),
  long: parseAsFloat,
  strokes: count(65535),
  level_cut: parseAsBoolean.withDefault(false),
  beside,
};

export type OnionWords = inferParserType<typeof ONION>;
export type ChangeOnion = ReturnType<typeof useOnionAddress>[1];

/** Figures that are dragged are seen at once, and written to the address when the hand rests. */
const AT_REST = { limitUrlUpdates: debounce(150) };

export const useCutAddress = () => useQueryStates(CUT, AT_REST);
export const useOnionAddress = () => useQueryStates(ONION, AT_REST);

export const readCut = createLoader(CUT);
export const writeCut = createSerializer(CUT);
export const readOnion = createLoader(ONION);
const writeOnion = createSerializer(ONION);

/** The food's shape with the lengths of the address, where it holds as many as the shape has. */
function measured(shape: Shape | undefined, sizes: number[] | null): Shape | undefined {
  if (!shape || !sizes) return undefined;
  const keys = measures(shape).map((each) => each.key);
  if (sizes.length !== keys.length) return undefined;
  return { ...shape, ...Object.fromEntries(keys.map((key, index) => [key, sizes[index]])) };
}

/** What the words ask of a cut of a food. */
export function cutQuestion(
  at: CutWords,
  foods: Api['Food'][] | undefined,
): Api['BenchQuestion'] & { errors: Api['CutErrors'] } {
  const [knifeType, knifeLength] = (at.knife ?? '').split('/');
  const knife = Number.parseFloat(knifeLength ?? '');
  return {
    food: at.food,
    cut: at.cut,
    shape: measured(foods?.find((each) => each.id === at.food)?.shape, at.measured),
    thickness: at.t ?? undefined,
    width: at.w ?? undefined,
    length: at.l ?? undefined,
    good: at.good,
    success: at.success / 100,
    errors: {
      first_plank_bias: at.first,
      plank_bias: at.plank,
      stick_bias: at.stick,
      length_bias: at.off,
      lean_degrees: at.lean,
      step_cv: at.uneven / 100,
    },
    produce: at.produce,
    peel: at.peel ?? undefined,
    wedges: at.wedges ?? undefined,
    onward: at.onward,
    price: at.price ?? undefined,
    knife_type: knifeType || undefined,
    knife_length: Number.isFinite(knife) ? knife : undefined,
    way: at.way,
  };
}

/** A way of cutting, from the words of the address. */
export function methodOf(kind: Api['Method']['kind'], depth: number, level: number): Api['Method'] {
  if (kind === 'below') return { kind, depth };
  if (kind === 'level') return { kind, level };
  return { kind };
}

/** What the words ask of an onion. */
export const onionQuestion = (at: OnionWords): Api['OnionQuestion'] => ({
  radius: at.across / 2,
  layers: at.layers,
  cuts: at.cuts,
  places: at.places ?? undefined,
  uneven: at.steps / 100,
  method: methodOf(at.method, at.depth, at.level),
  size: at.size,
  length: at.long ?? undefined,
});

/** A cut as it is kept to be set beside another: without what changes nothing of what is cut. */
export const keptCut = (at: CutWords) =>
  writeCut({
    ...at,
    beside: null,
    step: null,
    first: null,
    plank: null,
    stick: null,
    off: null,
    lean: null,
    uneven: null,
  }).slice(1);

/** An onion as it is kept to be set beside another. */
export const keptOnion = (at: OnionWords) =>
  writeOnion({ ...at, beside: null, strokes: null, level_cut: null }).slice(1);

/** What was typed into a field of numbers; an empty field stands for no number. */
export const typed = (value: number | string | null) => (typeof value === 'number' ? value : null);
