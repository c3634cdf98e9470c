import { useId } from 'react';
import type { Api } from '../../api/client';

interface Props {
  outline: Api['Outline'];
  pieces: Api['BenchRect'][];
  size: number;
  food: string;
  label: string;
}

function box(outline: Api['Outline']): [number, number] {
  if (outline.kind === 'rings') return [outline.width, outline.width];
  return [outline.width, outline.height];
}

/** The thickest section with its pieces; what is not a piece is hatched. */
export function WaySection({ outline, pieces, size, food, label }: Props) {
  const hatch = useId();
  const [width, height] = box(outline);
  const most = Math.max(width, height) * 1.06;
  const line = most / 130;
  return (
    <svg
      width={size}
      height={(size * height * 1.06) / most}
      viewBox={`${-0.03 * most} ${-0.03 * height} ${most} ${height * 1.06}`}
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
      {outline.kind === 'rectangle' ? (
        <rect
          width={width}
          height={height}
          rx={1.5}
          fill={`url(#${hatch})`}
          stroke="var(--ink)"
          strokeWidth={line * 1.6}
        />
      ) : (
        <ellipse
          cx={width / 2}
          cy={height / 2}
          rx={width / 2}
          ry={height / 2}
          fill={`url(#${hatch})`}
          stroke="var(--ink)"
          strokeWidth={line * 1.6}
        />
      )}
      {pieces.map((piece) => (
        <rect
          key={`${piece.x} ${piece.y}`}
          x={piece.x}
          y={piece.y}
          width={piece.width}
          height={piece.height}
          fill={food === 'carrot' ? 'var(--carrot)' : 'var(--food)'}
          stroke="var(--ink)"
          strokeWidth={line}
        />
      ))}
    </svg>
  );
}
