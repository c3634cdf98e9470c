import { describe, expect, it } from 'vitest';
import { around, closed, laid, nearness, seen } from './project';
import type { Eye, Point2, Point3 } from './project';

const front: Eye = { turn: 0, raise: 0 };
const above: Eye = { turn: 0, raise: Math.PI / 2 };

describe('what is seen', () => {
  it('from the front is length across and height upwards', () => {
    expect(seen([30, 10, 5], front)).toEqual([30, -10]);
    expect(nearness([0, 0, 5], front)).toBeGreaterThan(nearness([0, 0, 1], front));
  });

  it('from above is length across and what is near below', () => {
    const [x, y] = seen([30, 10, 5], above);
    expect(x).toBeCloseTo(30);
    expect(y).toBeCloseTo(5);
    expect(nearness([0, 10, 0], above)).toBeGreaterThan(nearness([0, 1, 0], above));
  });

  it('never makes anything longer than it is', () => {
    for (let turn = -1.5; turn < 1.6; turn += 0.3)
      for (let raise = 0; raise < 1.6; raise += 0.3) {
        const point: Point3 = [12, -7, 31];
        const [x, y] = seen(point, { turn, raise });
        const far = nearness(point, { turn, raise });
        expect(Math.hypot(x, y, far)).toBeCloseTo(Math.hypot(...point));
      }
  });

  it('lays a flat figure where its corners are', () => {
    const eye: Eye = { turn: 0.4, raise: 0.7 };
    const [corner, u, v]: [Point3, Point3, Point3] = [
      [1, 2, 3],
      [10, 0, 0],
      [0, 0, 4],
    ];
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = (
      /matrix\((.*)\)/.exec(laid(corner, u, v, eye))?.[1] ?? ''
    )
      .split(' ')
      .map(Number);
    const [x, y] = seen([corner[0] + u[0], corner[1], corner[2] + v[2]], eye);
    expect(a + c + e).toBeCloseTo(x, 3);
    expect(b + d + f).toBeCloseTo(y, 3);
  });
});

describe('the outline around points', () => {
  const square: Point2[] = [
    [0, 0],
    [4, 0],
    [4, 4],
    [0, 4],
  ];

  it('is the corners of a square, whatever lies inside', () => {
    const found = around([...square, [1, 1], [2, 3], [2, 0], [4, 2]]);
    expect(found).toHaveLength(4);
    for (const corner of square) expect(found).toContainEqual(corner);
  });

  it('holds every point of a cloud', () => {
    let seed = 7;
    const next = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    const cloud = Array.from({ length: 200 }, (): Point2 => [next() * 50, next() * 20]);
    const found = around(cloud);
    for (const [x, y] of cloud) {
      const left = found.every(([ax, ay], index) => {
        const [bx, by] = found[(index + 1) % found.length] ?? [0, 0];
        return (bx - ax) * (y - ay) - (by - ay) * (x - ax) >= -1e-9;
      });
      expect(left).toBe(true);
    }
  });

  it('is nothing for less than three points', () => {
    expect(closed(around([[1, 1]]))).toBe('');
    expect(closed(square)).toBe('M0.00 0.00L4.00 0.00L4.00 4.00L0.00 4.00Z');
  });
});
