import { expect, test } from 'vitest';
import { afterReading, simulated } from './Callipers';

test('a reading goes on to the next side, and after the last one to the next piece', () => {
  expect(afterReading('3.1', 3)).toBe('3.1 ');
  expect(afterReading('3.1 3.3', 3)).toBe('3.1 3.3 ');
  expect(afterReading('3.1 3.3 50', 3)).toBe('3.1 3.3 50\n');
  expect(afterReading('3.1 3.3 50\n', 3)).toBe('3.1 3.3 50\n');
  expect(afterReading('3.1', 1)).toBe('3.1\n');
  // A piece that is ended early says how many sides the others have.
  expect(afterReading('3.1 3.3 ', 3)).toBe('3.1 3.3\n');
  expect(afterReading('3.1 3.3\n3.2 3.1', 3)).toBe('3.1 3.3\n3.2 3.1\n');
});

test('simulated readings lie about the size of their side', () => {
  const size = (mm: number) => ({ kind: 'exact' as const, size: mm });
  const target = { thickness: size(3.2), width: size(3.2), length: size(50) };
  expect(Number(simulated(target, 0, () => 0.5))).toBeCloseTo(3.2);
  expect(Number(simulated(target, 2, () => 0.5))).toBeCloseTo(50);
  expect(Number(simulated(target, 0, () => 1))).toBeGreaterThan(3.2);
});
