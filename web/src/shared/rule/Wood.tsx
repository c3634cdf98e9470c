import { ticks } from './ticks';
import type { Tick } from './ticks';

const DEPTH: Record<Tick['size'], number> = { major: 12, middle: 8, minor: 5 };

/** The wooden rule itself: one drawn instrument for minutes, millimetres and notches. */
export function Wood({
  from,
  to,
  width,
  height,
  x,
  figure = String,
  figures = true,
  fine = true,
}: {
  from: number;
  to: number;
  width: number;
  height: number;
  /** Pixels of a value. */
  x: (value: number) => number;
  /** How a figure is written. @default String */
  figure?: (value: number) => string;
  /** Whether figures are written. @default true */
  figures?: boolean;
  /** Whether there are ticks between the whole places. @default true */
  fine?: boolean;
}) {
  const perUnit = (x(to) - x(from)) / (to - from);
  const all = ticks(from, to, perUnit).filter((tick) => fine || Number.isInteger(tick.at));
  return (
    <g>
      <rect
        x={0.5}
        y={0.5}
        width={Math.max(0, width - 1)}
        height={height - 1}
        rx={2}
        fill="var(--beech)"
        stroke="var(--beech-edge)"
      />
      {all.map((tick) => (
        <line
          key={tick.at}
          x1={x(tick.at)}
          x2={x(tick.at)}
          y1={0}
          y2={Math.min(DEPTH[tick.size], height * 0.5)}
          stroke="var(--beech-ink)"
          strokeWidth={tick.size === 'major' ? 1.6 : 1}
          opacity={tick.size === 'minor' ? 0.65 : 1}
        />
      ))}
      {figures &&
        all
          // A figure that would run off the end of the wood is left out.
          .filter((tick) => tick.size === 'major' && x(tick.at) + 3 + figure(tick.at).length * 8 < width)
          .map((tick) => (
            <text
              key={tick.at}
              x={x(tick.at) + 3}
              y={height - 6}
              className="mono"
              fontSize={13}
              fill="var(--beech-ink)"
            >
              {figure(tick.at)}
            </text>
          ))}
    </g>
  );
}
