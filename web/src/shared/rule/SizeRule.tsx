import { useElementSize } from '@mantine/hooks';
import type { Api } from '../../api/client';
import { length, withUnit } from '../format';
import type { Unit } from '../format';
import { Wood } from './Wood';

const RULE = 30;
const PIECE = 9;

/** Range that shows the band and every piece, with a little room. */
function rangeOf(side: Api['SideFigures'], over: readonly number[]): [number, number] {
  const sizes = [...side.sizes, ...over, side.inside_from, side.inside_to];
  const [least, most] = [Math.min(...sizes), Math.max(...sizes)];
  const room = Math.max((most - least) * 0.12, 0.4);
  return [Math.max(0, least - room), most + room];
}

const NONE: readonly number[] = [];

/** Measured pieces as ticks on the size rule, with the target, the tolerance band and the mean. */
export function SizeRule({
  side,
  unit,
  over = NONE,
}: {
  side: Api['SideFigures'];
  unit: Unit;
  /** Sizes of another sample: both rules then reach as far. */
  over?: readonly number[];
}) {
  const { ref, width: measured } = useElementSize();
  const width = measured || 320;
  const [from, to] = rangeOf(side, over);
  const x = (value: number) => ((value - from) / (to - from)) * width;
  const stacked = new Map<number, number>();
  const pieces = side.sizes.map((size, index) => {
    const column = Math.round(x(size) / (PIECE + 1));
    const place = stacked.get(column) ?? 0;
    stacked.set(column, place + 1);
    return { size, place, inside: side.size_inside[index] ?? false };
  });
  const rows = Math.min(Math.max(2, ...stacked.values()), 8);
  const top = 20;
  const base = top + rows * (PIECE + 2) + 2;
  const target = side.target.kind === 'exact' ? side.target.size : undefined;
  const summary =
    `${side.dimension}: mean ${withUnit(side.mean, unit)}, inside from ${length(side.inside_from, unit)} ` +
    `to ${withUnit(side.inside_to, unit)}, ${side.inside.count} of ${side.inside.of} inside`;
  return (
    <div ref={ref}>
      <svg
        width="100%"
        height={base + RULE}
        viewBox={`0 0 ${width} ${base + RULE}`}
        role="img"
        aria-label={summary}
      >
        <rect
          x={x(side.inside_from)}
          y={top - 4}
          width={x(side.inside_to) - x(side.inside_from)}
          height={base - top + 4}
          fill="var(--held-tint)"
        />
        <Pieces pieces={pieces} rows={rows} base={base} x={x} />
        <line
          x1={x(side.mean)}
          x2={x(side.mean)}
          y1={12}
          y2={base}
          stroke="var(--accent)"
          strokeWidth={2}
          strokeDasharray="3 3"
        />
        <text
          x={Math.min(Math.max(x(side.mean), 30), width - 30)}
          y={11}
          fontSize={13}
          fontWeight={600}
          textAnchor="middle"
          fill="var(--accent)"
        >
          mean {unit === 'mm' ? side.mean.toFixed(2) : length(side.mean, unit)}
        </text>
        <g transform={`translate(0 ${base})`}>
          <Wood
            from={from}
            to={to}
            width={width}
            height={RULE}
            x={x}
            figure={(value) => Number(value.toFixed(2)).toString()}
          />
          {target !== undefined && (
            <path
              d={`M${x(target) - 7} 0h14l-7 11z`}
              fill="var(--wood-deep)"
              stroke="var(--beech-ink)"
              strokeWidth={1.4}
            />
          )}
        </g>
      </svg>
    </div>
  );
}

interface PiecesProps {
  pieces: { size: number; place: number; inside: boolean }[];
  rows: number;
  base: number;
  x: (value: number) => number;
}

/** The pieces over the rule: a square inside, a triangle outside. */
function Pieces({ pieces, rows, base, x }: PiecesProps) {
  return pieces.map((piece, index) => {
    const top = base - (Math.min(piece.place, rows - 1) + 1) * (PIECE + 2);
    return piece.inside ? (
      <rect
        key={index}
        x={x(piece.size) - PIECE / 2}
        y={top}
        width={PIECE}
        height={PIECE}
        fill="var(--held)"
      />
    ) : (
      <path
        key={index}
        transform={`translate(${x(piece.size)} ${top})`}
        d={`M0 0 ${PIECE / 2 + 1} ${PIECE} ${-PIECE / 2 - 1} ${PIECE}z`}
        fill="var(--caution)"
      />
    );
  });
}
