import { Button } from '@mantine/core';
import type { Api } from '../../api/client';

/** What follows a reading of the callipers: the next side of the piece, or the next piece. */
export function afterReading(text: string, sides: number): string {
  const line = text.split('\n').at(-1) ?? '';
  const read = line.trim().split(/\s+/).filter(Boolean).length;
  return read === 0 ? text : `${text.trimEnd()}${read % sides === 0 ? '\n' : ' '}`;
}

const nominal = (size: Api['TargetSize'] | null | undefined) =>
  !size
    ? 1
    : size.kind === 'exact'
      ? size.size
      : size.kind === 'range'
        ? (size.from + size.to) / 2
        : size.limit * 0.7;

/** What the simulated callipers read of a side: near its size, as hands cut. */
export function simulated(
  target: Api['Target'] | null | undefined,
  side: number,
  chance: () => number,
): string {
  const sizes = [target?.thickness, target?.width, target?.length, target?.width];
  const size = nominal(sizes[side] ?? target?.thickness);
  // The sum of three is near enough to how pieces scatter.
  const off = (chance() + chance() + chance() - 1.5) * 0.24 * size;
  return Math.max(0.1, size + off).toFixed(1);
}

interface Props {
  exercise: Api['ClassExercise'];
  text: string;
  onType: (text: string) => void;
}

/** Callipers that ship with the made-up school: each touch is a reading, typed as real ones type. */
export function SimulatedCallipers({ exercise, text, onType }: Props) {
  const sides = exercise.columns.length;
  const read = () => {
    const line = text.split('\n').at(-1) ?? '';
    const side = line.trim().split(/\s+/).filter(Boolean).length % sides;
    onType(afterReading(text + simulated(exercise.target, side, Math.random), sides));
  };
  return (
    <Button variant="default" onClick={read}>
      Simulated callipers: next reading
    </Button>
  );
}
