/** Where the eye is: turned around the upright, and raised over the board; radians. */
export interface Eye {
  turn: number;
  raise: number;
}

export type Point3 = readonly [number, number, number];
export type Point2 = readonly [number, number];

/** A point in space (x along, y up, z towards the cook) as it is seen, without perspective. */
export function seen([x, y, z]: Point3, { turn, raise }: Eye): Point2 {
  const near = -x * Math.sin(turn) + z * Math.cos(turn);
  return [x * Math.cos(turn) + z * Math.sin(turn), near * Math.sin(raise) - y * Math.cos(raise)];
}

/** How near a point is to the eye: larger is nearer. */
export function nearness([x, y, z]: Point3, { turn, raise }: Eye): number {
  return (-x * Math.sin(turn) + z * Math.cos(turn)) * Math.cos(raise) + y * Math.sin(raise);
}

/** A flat figure drawn in units of `u` and `v`, laid into space at a corner, as an SVG matrix. */
export function laid(corner: Point3, u: Point3, v: Point3, eye: Eye): string {
  const [e, f] = seen(corner, eye);
  const [a, b] = seen(u, eye);
  const [c, d] = seen(v, eye);
  return `matrix(${[a, b, c, d, e, f].map((part) => part.toFixed(4)).join(' ')})`;
}

/** The outline around points, in order. */
export function around(points: Point2[]): Point2[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: Point2[]) => {
    const found: Point2[] = [];
    for (const point of list) {
      for (;;) {
        const [a, b] = [found.at(-2), found.at(-1)];
        if (!a || !b) break;
        const turn = (b[0] - a[0]) * (point[1] - a[1]) - (b[1] - a[1]) * (point[0] - a[0]);
        if (turn > 0) break;
        found.pop();
      }
      found.push(point);
    }
    found.pop();
    return found;
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

/** Points as an SVG path that closes. */
export const closed = (points: Point2[]) =>
  points.length < 3 ? '' : `M${points.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`;
