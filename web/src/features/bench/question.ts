import type { Api } from '../../api/client';

type Shape = Api['Shape'];

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
    case 'layered_ball':
      return [of('diameter', 'Across', shape.diameter)];
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

/** The food's shape with the lengths of the address, where it holds as many as the shape has. */
function measured(shape: Shape | undefined, written: string | null): Shape | undefined {
  if (!shape || !written) return undefined;
  const sizes = written.split(',').map(Number);
  const keys = measures(shape).map((each) => each.key);
  if (sizes.length !== keys.length || sizes.some((size) => !Number.isFinite(size))) return undefined;
  return { ...shape, ...Object.fromEntries(keys.map((key, index) => [key, sizes[index]])) };
}

const whole = (text: string | null, most: number) => {
  const number = Math.round(Number(text ?? Number.NaN));
  return Number.isFinite(number) ? Math.max(0, Math.min(most, number)) : undefined;
};

const real = (text: string | null) => {
  const number = Number(text ?? Number.NaN);
  return text !== null && text !== '' && Number.isFinite(number) ? number : undefined;
};

/** What the address asks of a cut of a food. */
export function cutQuestion(
  search: string,
  foods: Api['Food'][] | undefined,
): Api['BenchQuestion'] & { errors: Api['CutErrors'] } {
  const at = new URLSearchParams(search);
  const food = at.get('food') ?? 'carrot';
  const [knifeType, knifeLength] = (at.get('knife') ?? '').split('/');
  return {
    food,
    cut: at.get('cut') ?? 'julienne',
    shape: measured(foods?.find((each) => each.id === food)?.shape, at.get('measured')),
    thickness: real(at.get('t')),
    width: real(at.get('w')),
    length: real(at.get('l')),
    good: whole(at.get('good'), 65535) ?? 20,
    success: (real(at.get('success')) ?? 80) / 100,
    errors: {
      first_plank_bias: real(at.get('first')) ?? 0,
      plank_bias: real(at.get('plank')) ?? 0,
      stick_bias: real(at.get('stick')) ?? 0,
      length_bias: real(at.get('off')) ?? 0,
      lean_degrees: real(at.get('lean')) ?? 0,
      step_cv: (real(at.get('uneven')) ?? 0) / 100,
    },
    produce: (at.get('produce') ?? 'medium') as Api['ProduceSize'],
    peel: real(at.get('peel')),
    wedges: whole(at.get('wedges'), 255),
    onward: whole(at.get('onward'), 65535) ?? 0,
    price: real(at.get('price')),
    knife_type: knifeType || undefined,
    knife_length: real(knifeLength ?? null),
    way: wayOf(at.get('way')),
  };
}

const wayOf = (word: string | null): Api['Way'] => (word === 'flat_first' ? 'flat_first' : 'squared');

/** A way of cutting, from the words of the address. */
export function methodOf(kind: string, depth: number, level: number): Api['Method'] {
  if (kind === 'below') return { kind: 'below', depth };
  if (kind === 'level') return { kind: 'level', level };
  if (kind === 'centre' || kind === 'turned' || kind === 'half_rings') return { kind };
  return { kind: 'verticals' };
}

/** What the address asks of an onion. */
export function onionQuestion(search: string): Api['OnionQuestion'] {
  const at = new URLSearchParams(search);
  const places = at.get('places')?.split(',').map(Number);
  return {
    radius: (real(at.get('across')) ?? 80) / 2,
    layers: whole(at.get('layers'), 255) ?? 8,
    cuts: whole(at.get('cuts'), 255) ?? 9,
    places: places?.every(Number.isFinite) ? places : undefined,
    uneven: (real(at.get('steps')) ?? 0) / 100,
    method: methodOf(
      at.get('method') ?? 'verticals',
      real(at.get('depth')) ?? 0.5,
      whole(at.get('level'), 255) ?? 1,
    ),
    size: real(at.get('size')) ?? 6.4,
    length: real(at.get('long')),
  };
}

/** Words that change nothing of what is cut. */
const ASIDE = [
  'beside',
  'step',
  'view',
  'strokes',
  'level_cut',
  'first',
  'plank',
  'off',
  'stick',
  'lean',
  'uneven',
];

/** The address as it is kept to be set beside another. */
export function kept(search: string): string {
  const at = new URLSearchParams(search);
  for (const word of ASIDE) at.delete(word);
  return at.toString();
}

/** What was kept before, the first kept first. */
export const keptBeside = (word: string) => word.split(';').filter(Boolean);
