import { expect, it } from 'vitest';
import type { Api } from '../../api/client';
import { asSent, openSession, placed, withBlock } from './blocks';

const block = (session: number, cut: string): Api['CourseBlock'] => ({
  session,
  cut,
  food: 'carrot',
  pinned: false,
  title: cut,
  cut_name: cut,
  food_name: 'carrot',
  kind: 'new',
  minutes: 10,
  reasons: [],
  broken: [],
  changed: false,
});

const plan = (...sessions: { held: boolean; cuts: string[] }[]) =>
  ({
    sessions: sessions.map(({ held, cuts }, index) => ({
      held,
      blocks: cuts.map((cut) => block(index, cut)),
    })),
  }) as Api['CoursePlan'];

const cuts = (shown: Api['CoursePlan']) => shown.sessions.map(({ blocks }) => blocks.map(({ cut }) => cut));

it('shows a moved block where it was put, before anybody has said what holds there', () => {
  const before = plan({ held: false, cuts: ['coins', 'baton'] }, { held: false, cuts: ['mince'] });
  const moved = withBlock(before, { session: 0, cut: 'baton', food: 'carrot' }, { session: 1, pinned: true });
  const shown = placed(before, moved);
  expect(cuts(shown)).toEqual([['coins'], ['baton', 'mince']]);
  expect(asSent(shown)).toEqual(expect.arrayContaining(moved));
});

it('shows nothing of a block that only the answer knows', () => {
  const before = plan({ held: false, cuts: ['coins'] });
  const put = { session: 0, cut: 'slice', food: 'tomato', pinned: true };
  expect(cuts(placed(before, [...asSent(before), put]))).toEqual([['coins']]);
  expect(cuts(placed(before, []))).toEqual([[]]);
});

it('steps over sessions that were held', () => {
  const shown = plan({ held: false, cuts: [] }, { held: true, cuts: [] }, { held: false, cuts: [] });
  expect(openSession(shown, 2, -1)).toBe(0);
  expect(openSession(shown, 2, 1)).toBeUndefined();
});
