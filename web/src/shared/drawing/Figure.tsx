/** A finger, palm or wrist: a bent line with a width, drawn as an outlined capsule. */
interface Limb {
  /** Points of the line, x and y in turn. */
  at: number[];
  width: number;
}

/** What a drawing is made of, back to front. */
export type Piece =
  | { kind: 'limb'; limb: Limb }
  | { kind: 'shape'; d: string; fill: 'steel' | 'food' | 'handle' | 'board'; opacity?: number }
  /** Where something moves to. */
  | { kind: 'arrow'; d: string }
  /** Water, or a movement. */
  | { kind: 'wave'; d: string };

/** A limb of this width through these points. */
export const limb = (width: number, ...at: number[]): Piece => ({ kind: 'limb', limb: { at, width } });
/** A closed shape. */
export const shape = (
  d: string,
  fill: 'steel' | 'food' | 'handle' | 'board' = 'steel',
  opacity?: number,
): Piece => ({
  kind: 'shape',
  d,
  fill,
  opacity,
});

/** The board, seen from its edge. */
export const BOARD = shape('M4 98h152v6H4z', 'board');
/** A knife from its side, tip at the left. */
export const BLADE = shape('M6 52Q30 34 62 32h36v34H58Q26 66 6 52z');
/** Its handle. */
export const HANDLE = shape('M98 33h52q6 0 6 7t-6 8q-26 -2 -40 1t-12 1z', 'handle');

/** Id of the arrow's head: every figure's is the same. */
const ARROW = 'figure-arrow';

const FILLS = {
  steel: 'var(--steel)',
  food: 'color-mix(in srgb, var(--carrot) 34%, var(--card))',
  handle: 'var(--handle)',
  board: 'var(--beech)',
};

function line(at: number[]): string {
  const points: string[] = [];
  for (let i = 0; i + 1 < at.length; i += 2) points.push(`${at[i] ?? 0} ${at[i + 1] ?? 0}`);
  return `M${points.join('L')}`;
}

function Part({ piece }: { piece: Piece }) {
  if (piece.kind === 'shape') {
    return (
      <path
        d={piece.d}
        fill={FILLS[piece.fill]}
        fillOpacity={piece.opacity ?? 1}
        stroke="var(--steel-edge)"
        strokeWidth={1.4}
      />
    );
  }
  if (piece.kind === 'wave')
    return <path d={piece.d} fill="none" stroke="var(--steel-edge)" strokeWidth={2} strokeLinecap="round" />;
  if (piece.kind === 'arrow')
    return (
      <path
        d={piece.d}
        fill="none"
        stroke="var(--accent)"
        strokeWidth={3}
        strokeLinecap="round"
        markerEnd={`url(#${ARROW})`}
      />
    );
  const { at, width } = piece.limb;
  const d = line(at);
  const common = { d, fill: 'none', strokeLinecap: 'round', strokeLinejoin: 'round' } as const;
  return (
    <>
      <path {...common} stroke="var(--ink)" strokeWidth={width} />
      <path {...common} stroke="var(--card)" strokeWidth={width - 3} />
    </>
  );
}

export interface FigureProps {
  label: string;
  /** Drawn for the left hand. */
  mirrored?: boolean;
  width?: number;
}

/** A line figure of hands, knives and food. */
export function Figure({ pieces, label, mirrored, width = 128 }: FigureProps & { pieces: Piece[] }) {
  return (
    <svg
      viewBox="0 0 160 106"
      width={width}
      height={(width * 106) / 160}
      role="img"
      aria-label={mirrored ? `${label}, left hand` : label}
      style={{ transform: mirrored ? 'scaleX(-1)' : undefined, maxWidth: '100%' }}
    >
      <marker id={ARROW} viewBox="0 0 8 8" refX={5} refY={4} markerWidth={4} markerHeight={4} orient="auto">
        <path d="M0 0l8 4l-8 4z" fill="var(--accent)" />
      </marker>
      {pieces.map((piece, index) => (
        // The pieces of a figure never change their order.
        <Part key={index} piece={piece} />
      ))}
    </svg>
  );
}
