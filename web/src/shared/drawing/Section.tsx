import { useId } from 'react';
import type { Api } from '../../api/client';

type Outline = Api['Outline'];

function box(outline: Outline): [number, number] {
  if (outline.kind === 'rings') return [outline.width, outline.halved ? outline.width / 2 : outline.width];
  return [outline.width, outline.height];
}

function shape(
  outline: Outline,
  fill: string,
  extra?: React.SVGProps<SVGEllipseElement & SVGRectElement & SVGPathElement>,
) {
  if (outline.kind === 'ellipse')
    return <ellipse rx={outline.width / 2} ry={outline.height / 2} fill={fill} {...extra} />;
  if (outline.kind === 'rectangle') {
    return (
      <rect
        x={-outline.width / 2}
        y={-outline.height / 2}
        width={outline.width}
        height={outline.height}
        rx={1.5}
        fill={fill}
        {...extra}
      />
    );
  }
  const r = outline.width / 2;
  return outline.halved ? (
    <path d={`M${-r} ${r / 2}A${r} ${r} 0 0 1 ${r} ${r / 2}z`} fill={fill} {...extra} />
  ) : (
    <ellipse rx={r} ry={r} fill={fill} {...extra} />
  );
}

/** The food's section to scale: the block with its pieces, what is squared off hatched. */
export function Section({
  drawing,
  size,
  label,
  food,
}: {
  drawing: Api['SectionDrawing'];
  size: number;
  label: string;
  food: string;
}) {
  const hatch = useId();
  const [width, height] = box(drawing.outline);
  const most = Math.max(width, height) * 1.06;
  const { block } = drawing;
  const [bw, bh] = block ? [block.columns * block.piece_width, block.rows * block.piece_height] : [0, 0];
  const line = most / 130;
  return (
    <svg
      width={size}
      height={(size * height * 1.06) / most + 4}
      viewBox={`${-most / 2} ${(-height * 1.06) / 2} ${most} ${height * 1.06}`}
      role="img"
      aria-label={label}
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
      {shape(drawing.outline, block ? `url(#${hatch})` : 'var(--food)', {
        stroke: 'var(--ink)',
        strokeWidth: line * 1.6,
      })}
      {drawing.outline.kind === 'rings' && <Rings outline={drawing.outline} line={line} />}
      {block && (
        <g stroke="var(--ink)" strokeWidth={line}>
          <rect
            x={-bw / 2}
            y={-bh / 2}
            width={bw}
            height={bh}
            fill={food === 'carrot' ? 'var(--carrot)' : 'var(--food)'}
          />
          {Array.from({ length: Math.min(block.columns, 120) + 1 }, (_, i) => (
            <line
              key={`c${i}`}
              x1={-bw / 2 + i * block.piece_width}
              x2={-bw / 2 + i * block.piece_width}
              y1={-bh / 2}
              y2={bh / 2}
            />
          ))}
          {Array.from({ length: Math.min(block.rows, 120) + 1 }, (_, i) => (
            <line
              key={`r${i}`}
              y1={-bh / 2 + i * block.piece_height}
              y2={-bh / 2 + i * block.piece_height}
              x1={-bw / 2}
              x2={bw / 2}
            />
          ))}
        </g>
      )}
    </svg>
  );
}

function Rings({ outline, line }: { outline: Extract<Outline, { kind: 'rings' }>; line: number }) {
  const r = outline.width / 2;
  const y = outline.halved ? r / 2 : 0;
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={line} opacity={0.7}>
      {Array.from({ length: outline.layers - 1 }, (_, k) => {
        const radius = (r * (k + 1)) / outline.layers;
        return outline.halved ? (
          <path key={k} d={`M${-radius} ${y}A${radius} ${radius} 0 0 1 ${radius} ${y}`} />
        ) : (
          <circle key={k} r={radius} />
        );
      })}
    </g>
  );
}
