// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Api } from '../../api/client';
import { shown } from '../../test/shown';
import { TimeRule } from './TimeRule';

afterEach(cleanup);

const segment = (kind: Api['SegmentKind'], name: string, starts: number, minutes: number, over = 0) => ({
  kind,
  name,
  short: name.slice(0, 4),
  minutes,
  exercise_id: null,
  needs: null,
  basis: '',
  own_minutes: false,
  gives: 0,
  fixed: false,
  own_name: null,
  starts,
  ends: starts + minutes,
  over,
  short_by: 0,
});

const rule: Api['TimeRule'] = {
  lesson_minutes: 60,
  segments: [
    segment('arrival', 'Arrival', 0, 10),
    { ...segment('practice', 'Practice', 10, 40), exercise_id: 3, short_by: 6 },
    segment('clean_down', 'Clean-down', 50, 14, 4),
  ],
  total: 64,
  over: 4,
  spare: 0,
  over_in: 2,
  words: 'Runs 4 min over, in Clean-down',
  ways_out: [],
};

const exercises = [
  { exercise: { id: 3 }, advice: { title: 'Julienne of carrot' } },
] as unknown as Api['PlannedExercise'][];

function open() {
  const calls = { onSelect: vi.fn(), onChange: vi.fn(), onMove: vi.fn() };
  shown(<TimeRule rule={rule} exercises={exercises} selected={1} {...calls} />);
  return calls;
}

describe('the rule of minutes', () => {
  it('names each segment with its exercise, its minutes and what it lacks', () => {
    open();
    const told = screen.getAllByRole('button').map((button) => button.textContent.replace(/\s+/g, ' '));
    expect(told[1]).toBe('Julienne of carrot Practice 40 minutes, from 10 to 50, needs 6 more');
    expect(told[2]).toContain('minutes, from 50 to 64, 4 over');
    expect(screen.getAllByRole('button').map((button) => button.getAttribute('aria-pressed'))).toEqual([
      'false',
      'true',
      'false',
    ]);
  });

  it('is changed by the keyboard: by one, by five, and moved', async () => {
    const { onChange, onMove, onSelect } = open();
    await userEvent.click(screen.getByRole('button', { name: /Practice/ }));
    expect(onSelect).toHaveBeenCalledWith(1);
    await userEvent.keyboard('{ArrowRight}');
    expect(onChange).toHaveBeenLastCalledWith(1, 41);
    await userEvent.keyboard('{Shift>}{ArrowLeft}{/Shift}');
    expect(onChange).toHaveBeenLastCalledWith(1, 35);
    await userEvent.keyboard('{Alt>}{ArrowLeft}{/Alt}');
    expect(onMove).toHaveBeenLastCalledWith(1, -1);
    expect(onChange).toHaveBeenCalledTimes(2);
  });

  it('never makes a segment shorter than a minute', async () => {
    const { onChange } = open();
    screen.getAllByRole('button')[0]?.focus();
    for (let press = 0; press < 3; press++) await userEvent.keyboard('{Shift>}{ArrowLeft}{/Shift}');
    expect(onChange).toHaveBeenLastCalledWith(0, 5);
    cleanup();
    const short = { ...rule, segments: [segment('arrival', 'Arrival', 0, 2)] };
    const change = vi.fn();
    shown(
      <TimeRule
        rule={short}
        exercises={[]}
        selected={0}
        onSelect={vi.fn()}
        onChange={change}
        onMove={vi.fn()}
      />,
    );
    screen.getByRole('button').focus();
    await userEvent.keyboard('{Shift>}{ArrowLeft}{/Shift}');
    expect(change).toHaveBeenLastCalledWith(0, 1);
  });
});
