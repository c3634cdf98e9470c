import { useId } from 'react';
import type { Api } from '../../api/client';

/** Colour of a food's flesh. */
export const fillOf = (tint: Api['Tint'] | undefined) =>
  tint === 'orange' ? 'var(--carrot)' : 'var(--food)';

type Outline = Api['FoodOutline'];

function box(outline: Outline): [number, number] {
  if (outline.kind === 'arch') return [outline.width, outline.width / 2];
  if (outline.kind === 'rings') return [outline.width, outline.halved ? outline.width / 2 : outline.width];
  return [outline.width, outline.height];
}

/** The outline with its left at 0 and its top at 0. */
function shape(outline: Outline, extra: React.SVGProps<SVGEllipseElement & SVGRectElement & SVGPathElement>) {
  const [width, height] = box(outline);
  const r = width / 2;
  if (outline.kind === 'rectangle') return <rect width={width} height={height} rx={1.5} {...extra} />;
  if (outline.kind === 'arch') {
    const inner = r - outline.wall;
    return (
      <path
        d={`M0 ${r}A${r} ${r} 0 0 1 ${width} ${r}H${r + inner}A${inner} ${inner} 0 0 0 ${r - inner} ${r}z`}
        {...extra}
      />
    );
  }
  if (outline.kind === 'rings' && outline.halved)
    return <path d={`M0 ${r}A${r} ${r} 0 0 1 ${width} ${r}z`} {...extra} />;
  return <ellipse cx={r} cy={height / 2} rx={r} ry={height / 2} {...extra} />;
}

/** The food's section to scale with its pieces; what is not a piece is hatched. */
export function Section({
  drawing,
  size,
  label,
  tint,
}: {
  drawing: Api['SectionDrawing'];
  size: number;
  label: string;
  tint: Api['Tint'] | undefined;
}) {
  const hatch = useId();
  const { outline, pieces } = drawing;
  const [width, height] = box(outline);
  const most = Math.max(width, height) * 1.06;
  const line = most / 130;
  const across = pieces.length > 0 ? `url(#${hatch})` : 'var(--food)';
  return (
    <svg
      width={size}
      height={(size * height * 1.06) / most + 4}
      viewBox={`${(width - most) / 2} ${-0.03 * height} ${most} ${height * 1.06}`}
      role="img"
      aria-label={label}
      style={{ maxWidth: '100%' }}
    >
      <pattern
        id={hatch}
        width={most / 22}
        height={most / 22}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width={most / 22} height={most / 22} fill="var(--card)" />
        <line x1={0} x2={0} y1={0} y2={most / 22} stroke="var(--hatch)" strokeWidth={line * 1.6} />
      </pattern>
      {shape(outline, { fill: across, stroke: 'var(--ink)', strokeWidth: line * 1.6 })}
      {outline.kind === 'rings' && <Rings outline={outline} line={line} />}
      {pieces.map((grid) => (
        <path
          key={`${grid.x} ${grid.y}`}
          transform={`translate(${grid.x} ${grid.y}) rotate(${grid.turn})`}
          d={lines(grid)}
          fill={fillOf(tint)}
          stroke="var(--ink)"
          strokeWidth={line}
        />
      ))}
    </svg>
  );
}

/** Equal pieces side by side, as one path. */
function lines({ columns, rows, piece_width: w, piece_height: h }: Api['PieceGrid']): string {
  const [width, height] = [columns * w, rows * h];
  const upright = Array.from({ length: columns - 1 }, (_, k) => `M${(k + 1) * w} 0V${height}`);
  const level = Array.from({ length: rows - 1 }, (_, k) => `M0 ${(k + 1) * h}H${width}`);
  return `M0 0H${width}V${height}H0z${[...upright, ...level].join('')}`;
}

function Rings({ outline, line }: { outline: Extract<Outline, { kind: 'rings' }>; line: number }) {
  const r = outline.width / 2;
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={line} opacity={0.7}>
      {Array.from({ length: outline.layers - 1 }, (_, k) => {
        const radius = (r * (k + 1)) / outline.layers;
        return outline.halved ? (
          <path key={k} d={`M${r - radius} ${r}A${radius} ${radius} 0 0 1 ${r + radius} ${r}`} />
        ) : (
          <circle key={k} cx={r} cy={r} r={radius} />
        );
      })}
    </g>
  );
}
