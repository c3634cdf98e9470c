import { expect, test } from 'vitest';
import { beatsUntil } from './beat';

test('beats lie on their times for two minutes, however they are laid out', () => {
  const [start, period] = [0.1, 60 / 100];
  const times: number[] = [];
  // The page lays them out at irregular moments.
  for (let now = 0; now < 120; now += 0.05 + Math.abs(Math.sin(now)) * 0.3)
    times.push(...beatsUntil(start, period, times.length, now + 0.4));
  expect(times.length).toBeGreaterThan(195);
  times.forEach((at, n) => expect(Math.abs(at - (start + n * period))).toBeLessThan(1e-9));
});

test('nothing is due before its time', () => {
  expect(beatsUntil(1, 0.5, 0, 1)).toEqual([]);
  expect(beatsUntil(1, 0.5, 0, 1.6)).toEqual([1, 1.5]);
});
