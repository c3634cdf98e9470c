import { Button } from '@mantine/core';
import type { Api } from '../../api/client';

const readings = (line: string) => line.trim().split(/\s+/).filter(Boolean).length;

/**
 * What follows a reading of the callipers: the next side of the piece, or the next piece. Without a reading the piece
 * ends where it is, and those that follow have as many sides as the first.
 */
export function afterReading(text: string, sides: number): string {
  const lines = text.split('\n');
  const read = readings(lines.at(-1) ?? '');
  if (read === 0) return text;
  const ends = text.endsWith(' ') || read >= (lines.length > 1 ? readings(lines[0] ?? '') : sides);
  return `${text.trimEnd()}${ends ? '\n' : ' '}`;
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
    const side = readings(line);
    onType(afterReading(text + simulated(exercise.target, side, Math.random), sides));
  };
  return (
    <Button variant="default" onClick={read}>
      Simulated callipers: next reading
    </Button>
  );
}
