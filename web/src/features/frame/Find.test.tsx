// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes, useLocation } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import type { Api } from '../../api/client';
import { keys } from '../../api/queries';
import { shown } from '../../test/shown';
import Find from './Find';

afterEach(cleanup);

const view = {
  course: { id: 4, name: 'Tuesday' },
  students: [
    { id: 7, name: 'Noor Hale' },
    { id: 8, name: 'Ivo' },
  ],
  lessons: [
    { id: 5, number: 1, title: 'Sticks', starts_at: '2026-10-06T18:30:00', when: 'past' },
    { id: 6, number: 2, title: 'Dice', starts_at: '2026-10-13T18:30:00', when: 'next' },
  ],
} as unknown as Api['CourseView'];

const read: [readonly unknown[], unknown][] = [
  [
    [...keys.rack, 0, null],
    {
      groups: [
        {
          label: 'Santoku 165',
          knives: [
            { knife: { id: 31, number: '12', name: '' } },
            { knife: { id: 32, number: '13', name: 'the old one' } },
          ],
        },
      ],
    },
  ],
  [
    keys.catalogue,
    { foods: [{ id: 'carrot', name: 'carrot' }], cuts: [{ id: 'julienne', name: 'julienne' }] },
  ],
];

function Where() {
  const { pathname, search } = useLocation();
  return <p>{`at ${pathname}${search}`}</p>;
}

function open() {
  const closed = { times: 0 };
  shown(
    <>
      <Find view={view} close={() => void (closed.times += 1)} />
      <Routes>
        <Route path="*" element={<Where />} />
      </Routes>
    </>,
    read,
  );
  return closed;
}

const box = () => screen.getByRole('combobox', { name: 'Find or do' });
const names = () => screen.queryAllByRole('option').map((option) => option.textContent);

describe('the box that finds', () => {
  it('goes to the first of what is found with Enter', async () => {
    const closed = open();
    await userEvent.type(box(), 'noor');
    expect(names()).toEqual(['Noor Halestudent']);
    await userEvent.keyboard('{Enter}');
    expect(screen.getByText('at /courses/4/yard?student=7')).toBeTruthy();
    expect(closed.times).toBe(1);
  });

  it('takes words in any order, of the kind too', async () => {
    open();
    await userEvent.type(box(), '165 old');
    expect(names()).toEqual(['Santoku 165, no. 13, the old oneknife']);
    await userEvent.clear(box());
    await userEvent.type(box(), 'student');
    expect(names()).toContain('Ivostudent');
  });

  it('is walked with the arrows, and says where it stands', async () => {
    open();
    await userEvent.type(box(), 'carrot');
    expect(names()).toEqual(['Knives for carrotplaybook', 'Plan with carrotfood']);
    await userEvent.keyboard('{ArrowDown}');
    const chosen = screen.getAllByRole('option')[1];
    expect(box().getAttribute('aria-activedescendant')).toBe(chosen?.id);
    await userEvent.keyboard('{Enter}');
    expect(screen.getByText('at /courses/4/plan/6?add=1&food=carrot')).toBeTruthy();
  });

  it('is gone through with the pointer', async () => {
    open();
    await userEvent.type(box(), 'sticks');
    await userEvent.click(screen.getByRole('option'));
    expect(screen.getByText('at /courses/4/plan/5')).toBeTruthy();
  });

  it('is left with Escape', async () => {
    const closed = open();
    await userEvent.type(box(), 'noor');
    await userEvent.keyboard('{Escape}');
    expect(closed.times).toBe(1);
    expect(screen.getByText('at /')).toBeTruthy();
  });

  it('says that there is nothing', async () => {
    open();
    await userEvent.type(box(), 'submarine');
    expect(names()).toEqual([]);
    expect(screen.getByText('Nothing of that name in this course.')).toBeTruthy();
  });
});
