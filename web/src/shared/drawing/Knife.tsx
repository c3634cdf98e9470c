import { useId } from 'react';
import type { Api } from '../../api/client';

const THIRDS: Api['Third'][] = ['tip', 'middle', 'heel'];

interface Props {
  silhouette: Api['Silhouette'];
  /** Pixels a millimetre; knives at one scale compare truly. */
  scale: number;
  /** Third of the blade to mark. */
  third?: Api['Third'];
  /** Drawn for the left hand. */
  mirrored?: boolean;
  /** Parts to name on the drawing. */
  parts?: Api['KnifePart'][];
  /** Where a pinch holds the blade, and where the knife rests level: x of the outline. */
  held?: { pinch: number[]; balance: number | undefined };
  /** A food to lay against the blade. */
  against?: Api['FoodAgainstBlade'] | null;
  label: string;
}

/** A knife from its figures. */
export function Knife({ silhouette, scale, third, mirrored, parts, held, against, label }: Props) {
  const id = useId();
  const { width, height, heel } = silhouette;
  const marked = third ? THIRDS.indexOf(third) : -1;
  // Labels are as large on the screen whatever the scale of the drawing.
  const em = 13 / scale;
  const margin = parts ? em * 3.6 : 2;
  const above = margin;
  const below = margin + (against ? against.height + 6 : 0) + (held ? 18 : 0);
  return (
    <svg
      width={(width + 4) * scale}
      height={(height + above + below) * scale}
      viewBox={`-2 ${-above} ${width + 4} ${height + above + below}`}
      role="img"
      aria-label={third && third !== 'whole' ? `${label}, ${third} third marked` : label}
      style={{ maxWidth: '100%', height: 'auto' }}
    >
      <g transform={mirrored ? `translate(${width} 0) scale(-1 1)` : undefined}>
        <clipPath id={id}>
          <path d={silhouette.blade} />
        </clipPath>
        <path d={silhouette.blade} fill="var(--steel)" />
        {silhouette.hollows && (
          <path d={silhouette.hollows} fill="none" stroke="var(--steel-edge)" strokeWidth={1} />
        )}
        {marked >= 0 && (
          <rect
            x={(heel * marked) / 3}
            y={-2}
            width={heel / 3}
            height={height + 4}
            fill="var(--accent)"
            opacity={0.45}
            clipPath={`url(#${id})`}
          />
        )}
        <path d={silhouette.blade} fill="none" stroke="var(--steel-edge)" strokeWidth={1.6} />
        <path d={silhouette.handle} fill="var(--handle)" stroke="var(--steel-edge)" strokeWidth={1} />
        {silhouette.bolster && (
          <path d={silhouette.bolster} fill="var(--steel)" stroke="var(--steel-edge)" strokeWidth={1.2} />
        )}
        {silhouette.rivets.map(([x = 0, y = 0]) => (
          <circle key={x} cx={x} cy={y} r={2.2} fill="var(--steel)" />
        ))}
        {held && <Held held={held} silhouette={silhouette} clip={`url(#${id})`} />}
        {against && <Food against={against} silhouette={silhouette} />}
      </g>
      {parts && <Labels parts={parts} silhouette={silhouette} mirrored={mirrored ?? false} em={em} />}
    </svg>
  );
}

/** The pinch on the blade, and the finger that the knife rests on. */
function Held({
  held: { pinch, balance },
  silhouette: { height },
  clip,
}: {
  held: { pinch: number[]; balance: number | undefined };
  silhouette: Api['Silhouette'];
  clip: string;
}) {
  const [from = 0, to = 0] = pinch;
  return (
    <>
      <rect
        x={from}
        y={-2}
        width={to - from}
        height={height + 4}
        fill="var(--held)"
        opacity={0.35}
        clipPath={clip}
      />
      {balance !== undefined && (
        <>
          <path
            d={`M${balance} -2V${height}`}
            stroke="var(--accent)"
            strokeWidth={1.4}
            strokeDasharray="5 3"
          />
          <path d={`M${balance} ${height + 2}l-8 14h16z`} fill="var(--accent)" />
        </>
      )}
    </>
  );
}

/** The food's outline below the blade, its near side at the heel's end of the usable edge. */
function Food({ against, silhouette }: { against: Api['FoodAgainstBlade']; silhouette: Api['Silhouette'] }) {
  const right = silhouette.heel;
  const top = silhouette.height + 5;
  return (
    <rect
      x={right - against.width}
      y={top}
      width={against.width}
      height={against.height}
      rx={Math.min(against.height, against.width) / 2.4}
      fill="color-mix(in srgb, var(--carrot) 34%, var(--card))"
      stroke={against.long_enough ? 'var(--held)' : 'var(--stop)'}
      strokeWidth={2}
      strokeDasharray={against.long_enough ? undefined : '6 4'}
    />
  );
}

function Labels({
  parts,
  silhouette,
  mirrored,
  em,
}: {
  parts: Api['KnifePart'][];
  silhouette: Api['Silhouette'];
  mirrored: boolean;
  /** Height of the letters, in units of the drawing. */
  em: number;
}) {
  const { width, heel, heel_height } = silhouette;
  const place = (part: Api['KnifePart']) => {
    const x = part.at.x <= 1 ? part.at.x * heel : heel + (part.at.x - 1) * (width - heel);
    const depth = part.at.x <= 1 ? heel_height : Math.min(heel_height, 22);
    return { part, x: mirrored ? width - x : x, y: part.at.y * depth, up: part.at.y < 0.4 };
  };
  const rows = (up: boolean) => {
    const side = parts
      .map(place)
      .filter((each) => each.up === up)
      .sort((a, b) => a.x - b.x);
    return side.map((each, index) => ({ ...each, row: index % 3 }));
  };
  return (
    <g fontSize={em} fill="var(--ink)">
      {[...rows(true), ...rows(false)].map(({ part, x, y, up, row }) => {
        const end = up ? -em * (0.6 + row) : silhouette.height + em * (1.1 + row);
        const anchor = x < em * 2 ? 'start' : x > width - em * 2 ? 'end' : 'middle';
        return (
          <g key={part.id}>
            <path d={`M${x} ${y}V${up ? end + 2 : end - em * 0.8}`} stroke="var(--ink-2)" strokeWidth={0.8} />
            <circle cx={x} cy={y} r={2} fill="var(--accent)" />
            <text x={x} y={end} textAnchor={anchor}>
              {part.name}
            </text>
          </g>
        );
      })}
    </g>
  );
}
