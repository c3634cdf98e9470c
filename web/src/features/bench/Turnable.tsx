import { useId, useRef, useState } from 'react';
import type { Api } from '../../api/client';
import { fillOf } from '../../shared/drawing';
import styles from './Bench.module.css';
import { around, closed, laid, nearness, seen } from './project';
import type { Eye, Point2, Point3 } from './project';
import { Slider } from './Slider';

type Shows = Api['StepShows'];

interface Props {
  solid: Api['Solid'];
  blocks: Api['SolidBlock'][];
  shows: Shows;
  blade?: Api['BenchBlade'] | null;
  bladeName?: string;
  tint: Api['Tint'] | undefined;
  label: string;
}

/** A hand's width across the knuckles, mm: what the drawing is held against. */
const HAND = 85;
const RIGHT_ANGLE = 90;

/** A tenth of the height is cut off for the flat. */
const FLAT = 0.8;

/** Points of the body's skin; with a flat, those beyond it are brought onto it. */
function skin(solid: Api['Solid'], from: number, to: number, flat = 1): Point3[] {
  const { width, height } = solid;
  if (solid.profile.length > 0)
    return [from, to].flatMap((x) => solid.profile.map(([y, z]): Point3 => [x, y ?? 0, z ?? 0]));
  if (solid.rings.length === 0) {
    return [from, to].flatMap((x) =>
      [-height / 2, (height / 2) * flat].flatMap((y): Point3[] => [
        [x, y, -width / 2],
        [x, y, width / 2],
      ]),
    );
  }
  const at = (x: number) => {
    const after = solid.rings.findIndex((ring) => ring.at >= x);
    const [a, b] = [solid.rings[Math.max(0, after - 1)], solid.rings[Math.max(0, after)]];
    if (!a || !b) return { at: x, width: 0, height: 0 };
    const share = b.at > a.at ? (x - a.at) / (b.at - a.at) : 0;
    return {
      at: x,
      width: a.width + (b.width - a.width) * share,
      height: a.height + (b.height - a.height) * share,
    };
  };
  const rings = [at(from), ...solid.rings.filter((ring) => ring.at > from && ring.at < to), at(to)];
  return rings.flatMap((ring) =>
    Array.from({ length: 28 }, (_, k): Point3 => {
      const angle = (k / 28) * 2 * Math.PI;
      const [sine, cosine] = [Math.sin(angle), Math.cos(angle)];
      const chord = Math.sqrt(1 - flat * flat) * Math.sign(cosine);
      const [up, out] = sine <= flat ? [sine, cosine] : [flat, chord];
      return [ring.at, (ring.height / 2) * up, (ring.width / 2) * out];
    }),
  );
}

/** The points of the skin on the flat, and those of the slice that was cut off it. */
function lid(solid: Api['Solid']): Point3[] {
  const [from, to] = [solid.trim, solid.length - solid.trim];
  const whole = skin(solid, from, to);
  return skin(solid, from, to, FLAT).filter((point, index) => point[1] < (whole[index]?.[1] ?? 0));
}

/** Half the body on its cut face, its lower half cut off at the middle. */
function half(solid: Api['Solid']): Point3[] {
  const whole = skin(solid, solid.trim, solid.length - solid.trim);
  return whole.map(([x, y, z]): Point3 => [x, Math.max(0, y) - solid.height / 2, z]);
}

function slice(solid: Api['Solid']): Point3[] {
  const [from, to] = [solid.trim, solid.length - solid.trim];
  const cut = skin(solid, from, to, FLAT);
  const off = skin(solid, from, to).filter((point, index) => point[1] > (cut[index]?.[1] ?? 0));
  return [...off, ...lid(solid)];
}

interface Box {
  at: Point3;
  size: Point3;
  /** Pieces along x, y, z. */
  count: Point3;
  /** Radians that its y and z are turned around its corner. */
  turn: number;
}

/** A step along a box's own axes, in space. */
function step([x, y, z]: Point3, turn: number): Point3 {
  const [sine, cosine] = [Math.sin(turn), Math.cos(turn)];
  return [x, y * cosine - z * sine, y * sine + z * cosine];
}

/** The blocks as boxes: whole, or drawn apart into planks, sticks or slices of them. */
function boxes(blocks: Api['SolidBlock'][], shows: Shows): Box[] {
  const apart = { whole: 0, flat: 0, halved: 0, block: 0, planks: 1, sticks: 2, pieces: 3 }[shows];
  return blocks.flatMap((block) => {
    const [nx, ny, nz] = block.count as [number, number, number];
    const [px, py, pz] = block.piece as [number, number, number];
    const [x, y, z] = block.at as [number, number, number];
    const turn = (block.turn * Math.PI) / 180;
    const many = ny * nz * blocks.length > 500;
    const parts: Point3 = [apart === 3 ? nx : 1, apart >= 1 ? ny : 1, apart >= 2 && !many ? nz : 1];
    const gap = (part: number, size: number) => (part > 1 ? Math.max(0.8, size * 0.28) : 0);
    const gaps = [gap(parts[0], px), gap(parts[1], py), gap(parts[2], pz)] as const;
    const each: Point3 = [nx / parts[0], ny / parts[1], nz / parts[2]];
    const size: Point3 = [each[0] * px, each[1] * py, each[2] * pz];
    const off = (part: number, index: number, gap: number) => (index - (part - 1) / 2) * gap;
    const found: Box[] = [];
    for (let i = 0; i < parts[0]; i++)
      for (let j = 0; j < parts[1]; j++)
        for (let k = 0; k < parts[2]; k++)
          found.push({
            at: moved(
              [x, y, z],
              step(
                [
                  i * size[0] + off(parts[0], i, gaps[0]),
                  j * size[1] + off(parts[1], j, gaps[1]),
                  k * size[2] + off(parts[2], k, gaps[2]),
                ],
                turn,
              ),
            ),
            size,
            count: apart === 0 ? [1, 1, 1] : each,
            turn,
          });
    return found;
  });
}

function moved(point: Point3, by: Point3): Point3 {
  return [point[0] + by[0], point[1] + by[1], point[2] + by[2]];
}

/** The three faces of a box that are seen, with the lines between its pieces. */
function Faces({ box, eye, fill }: { box: Box; eye: Eye; fill: string }) {
  const axes: Point3[] = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  return axes.map((axis, index) => {
    const faces = nearness(step(axis, box.turn), eye) >= 0;
    const [u, v] = [(index + 1) % 3, (index + 2) % 3] as [0 | 1 | 2, 0 | 1 | 2];
    const depth = faces ? box.size[index as 0 | 1 | 2] : 0;
    const corner = moved(box.at, step([axis[0] * depth, axis[1] * depth, axis[2] * depth], box.turn));
    const side = (of: 0 | 1 | 2): Point3 => {
      const one = box.size[of] / box.count[of];
      return step([of === 0 ? one : 0, of === 1 ? one : 0, of === 2 ? one : 0], box.turn);
    };
    const [nu, nv] = [box.count[u], box.count[v]];
    const lines =
      Array.from({ length: Math.max(0, Math.min(nu, 200) - 1) }, (_, k) => `M${k + 1} 0V${nv}`).join('') +
      Array.from({ length: Math.max(0, Math.min(nv, 200) - 1) }, (_, k) => `M0 ${k + 1}H${nu}`).join('');
    const shade = [14, 0, 7][index] ?? 0;
    return (
      <path
        key={index}
        transform={laid(corner, side(u), side(v), eye)}
        d={`M0 0H${nu}V${nv}H0Z${lines}`}
        fill={shade ? `color-mix(in srgb, ${fill}, var(--ink) ${shade}%)` : fill}
        stroke="var(--ink)"
        strokeWidth={0.7}
        vectorEffect="non-scaling-stroke"
        strokeLinejoin="round"
      />
    );
  });
}

interface BodyProps {
  solid: Api['Solid'];
  shows: Api['StepShows'];
  /** Pieces are drawn in it, so that it is waste itself. */
  ghost: boolean;
  fill: string;
  hatch: string;
  eye: Eye;
}

/** The food itself, as it is at a step. */
function Body({ solid, shows, ghost, fill, hatch, eye }: BodyProps) {
  const { length, trim } = solid;
  const sliced = shows === 'flat' && solid.rings.length > 0;
  const nearEnd = nearness([1, 0, 0], eye) > 0 ? length : 0;
  const to2 = (point: Point3): Point2 => seen(moved(point, [-length / 2, 0, 0]), eye);
  const hull = (points: Point3[]) => closed(around(points.map(to2)));
  return (
    <g strokeWidth={0.9} stroke="var(--ink)" strokeLinejoin="round">
      {shows === 'whole' && trim > 0 ? (
        <>
          <path d={hull(skin(solid, 0, trim))} fill={hatch} />
          <path d={hull(skin(solid, trim, length - trim))} fill={fill} />
          <path d={hull(skin(solid, length - trim, length))} fill={hatch} />
        </>
      ) : shows === 'halved' ? (
        <path d={hull(half(solid))} fill={fill} />
      ) : sliced ? (
        <>
          <path d={hull(skin(solid, trim, length - trim, FLAT))} fill={fill} />
          <path d={hull(lid(solid))} fill={`color-mix(in srgb, ${fill}, var(--card) 55%)`} />
          <path d={hull(slice(solid).map((point) => moved(point, [0, 12, 0])))} fill={hatch} />
        </>
      ) : (
        <path d={hull(skin(solid, 0, length))} fill={ghost ? hatch : fill} />
      )}
      {solid.profile.length > 0 && (
        <path
          d={closed(solid.profile.map(([y, z]) => to2([nearEnd, y ?? 0, z ?? 0])))}
          fill={`color-mix(in srgb, ${fill}, var(--ink) 14%)`}
        />
      )}
    </g>
  );
}

/** The food as a body that can be turned, with what is inside it, a hand's width and the knife beside it. */
export function Turnable({ solid, blocks, shows, blade, bladeName, tint, label }: Props) {
  const hatch = useId();
  const [degrees, setDegrees] = useState({ turn: 28, raise: 32 });
  const held = useRef<{ x: number; y: number; turn: number; raise: number }>(undefined);
  const eye: Eye = { turn: (-degrees.turn * Math.PI) / 180, raise: (degrees.raise * Math.PI) / 180 };
  const { length, width, height } = solid;
  const fill = fillOf(tint);
  const middle: Point3 = [-length / 2, 0, 0];
  const silhouette = blade?.silhouette;
  const [bladeAt, handAt] = [width / 2 + 22, width / 2 + 10];
  const across = Math.max(length, HAND, silhouette ? silhouette.width : 0);
  const bladeStart = (length - (silhouette?.width ?? 0)) / 2;
  const reach = Math.hypot(across / 2, bladeAt + (silhouette?.height ?? 0)) + 6;
  const [sine, cosine] = [Math.sin(eye.raise), Math.cos(eye.raise)];
  const above = (height / 2) * cosine + Math.max(length, width) * 0.5 * sine + 14;
  const below = (height / 2) * cosine + reach * Math.max(0.3, sine) + 2;
  const ghost = blocks.length > 0 && !['whole', 'flat', 'halved'].includes(shows);
  const ordered = ghost
    ? boxes(blocks, shows).sort((a, b) => {
        const of = (box: Box) =>
          nearness(moved(box.at, step([box.size[0] / 2, box.size[1] / 2, box.size[2] / 2], box.turn)), eye);
        return of(a) - of(b);
      })
    : [];
  const drag = (event: React.PointerEvent) => {
    if (!held.current) return;
    const { x, y, turn, raise } = held.current;
    setDegrees({
      turn: Math.max(-RIGHT_ANGLE, Math.min(RIGHT_ANGLE, turn + (event.clientX - x) / 3)),
      raise: Math.max(0, Math.min(RIGHT_ANGLE, raise + (event.clientY - y) / 3)),
    });
  };
  const board = (x: number, z: number): Point3 => moved([x, -height / 2, z], middle);
  return (
    <div className="tight">
      <svg
        className={styles.turnable}
        viewBox={`${-reach} ${-above} ${2 * reach} ${above + below}`}
        role="img"
        aria-label={label}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          held.current = { x: event.clientX, y: event.clientY, ...degrees };
        }}
        onPointerMove={drag}
        onPointerUp={() => (held.current = undefined)}
        onPointerCancel={() => (held.current = undefined)}
      >
        <pattern id={hatch} width={4} height={4} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={4} height={4} fill="var(--card)" />
          <line y2={4} stroke="var(--hatch)" strokeWidth={1.4} />
        </pattern>
        <Body solid={solid} shows={shows} ghost={ghost} fill={fill} hatch={`url(#${hatch})`} eye={eye} />
        {ordered.map((box) => (
          <Faces key={box.at.join()} box={{ ...box, at: moved(box.at, middle) }} eye={eye} fill={fill} />
        ))}
        <g transform={laid(board(0, handAt), [1, 0, 0], [0, 0, 1], eye)} fill="none" stroke="var(--ink-2)">
          <path
            d={`M0 -2V2M0 0H${HAND}M${HAND} -2V2${[1, 2, 3].map((k) => `M${(HAND * k) / 4} -1V1`).join('')}`}
            strokeWidth={1.2}
          />
        </g>
        {silhouette && (
          <g transform={laid(board(bladeStart, bladeAt), [1, 0, 0], [0, 0, 1], eye)}>
            <path d={silhouette.blade} fill="var(--steel)" stroke="var(--steel-edge)" strokeWidth={1.2} />
            <path d={silhouette.handle} fill="var(--handle)" stroke="var(--steel-edge)" strokeWidth={1} />
          </g>
        )}
      </svg>
      <p className="quiet">
        Drawn at one scale: the rule is a hand’s width, 85 mm{bladeName ? `; the knife is ${bladeName}` : ''}.
        Hatched is waste. Drag to turn it.
      </p>
      <div className={styles.turns}>
        <Slider
          label="Turn"
          value={Math.round(degrees.turn)}
          min={-90}
          max={90}
          step={2}
          shown={`${Math.round(degrees.turn)}°`}
          onChange={(turn) => setDegrees({ ...degrees, turn })}
        />
        <Slider
          label="Seen from above by"
          value={Math.round(degrees.raise)}
          min={0}
          max={90}
          step={2}
          shown={`${Math.round(degrees.raise)}°`}
          onChange={(raise) => setDegrees({ ...degrees, raise })}
        />
      </div>
    </div>
  );
}
