import { describe, expect, it } from 'vitest';
import { ticks } from './ticks';

describe('ticks of a rule', () => {
  it('carry a figure every ten minutes on a lesson of 110 at 7 px a minute', () => {
    const major = ticks(0, 110, 7).filter((tick) => tick.size === 'major');
    expect(major.map((tick) => tick.at)).toEqual([0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100, 110]);
  });

  it('carry a figure every millimetre where there is room', () => {
    const major = ticks(2, 4.4, 100).filter((tick) => tick.size === 'major');
    expect(major.map((tick) => tick.at)).toEqual([2, 2.5, 3, 3.5, 4]);
  });

  it('stay within the rule and never crowd', () => {
    for (const [from, to, px] of [
      [0, 55, 4],
      [1.3, 2.9, 160],
      [0, 400, 1],
    ] as const) {
      const found = ticks(from, to, px);
      expect(found.every((tick) => tick.at >= from - 1e-9 && tick.at <= to + 1e-9)).toBe(true);
      for (let i = 1; i < found.length; i += 1) {
        expect(((found[i]?.at ?? 0) - (found[i - 1]?.at ?? 0)) * px).toBeGreaterThanOrEqual(5 - 1e-9);
      }
    }
  });

  it('are none on a rule without length', () => {
    expect(ticks(3, 3, 10)).toEqual([]);
    expect(ticks(0, 10, Number.NaN)).toEqual([]);
  });
});
