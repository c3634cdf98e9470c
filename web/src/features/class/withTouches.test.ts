import { describe, expect, it } from 'vitest';
import type { Api } from '../../api/client';
import type { Deed, Touch } from '../../api/touches/touch';
import { withTouches } from './withTouches';

const student = (id: number) => ({ id, name: `Student ${id}`, station: id });

const view = {
  lesson: { id: 5 },
  course: { tolerance: 'school', standard_set: 'eighth' },
  exercises: [{ id: 11, target: {} }],
  round: { number: null, starts: [{ student_id: 1, exercise_id: 11, knife_id: 7 }], waits: [2] },
  stations: [1, 2].map((id) => ({ student: student(id), attempts: [], knives: [7], watch: [] })),
  knives: [{ id: 7, name: 'no. 7', in_use_by: null }],
} as unknown as Api['ClassView'];

const catalogue = {
  faults: [
    { id: 'ahead', severity: 'stop' },
    { id: 'loose', severity: 'hold' },
  ],
  tolerances: [{ id: 'school' }],
} as unknown as Api['CatalogueView'];

let at = Date.parse('2026-10-06T17:10:00Z');
const touched = (deed: Deed, id = `touch-${at}`): Touch => ({
  id,
  madeAt: (at += 1000),
  lesson: 5,
  deed,
  words: '',
  by: 'Mara',
});
const start = (id: number) =>
  touched({ kind: 'start', body: { starts: [{ student_id: id, exercise_id: 11, knife_id: 7 }] } });
const mark = (id: number, what: Api['MarkKind'], touch?: string) =>
  touched({ kind: 'mark', body: { student_id: id, what } }, touch);

const shown = (...touches: Touch[]) => {
  const changed = withTouches(view, touches, catalogue);
  const [one, two] = changed.stations;
  return { one, two, knife: changed.knives[0], round: changed.round };
};

describe('what was touched here', () => {
  it('leaves everything as it is where nothing was, or in another lesson', () => {
    expect(withTouches(view, [], catalogue)).toBe(view);
    expect(withTouches(view, [{ ...start(1), lesson: 6 }], catalogue)).toBe(view);
  });

  it('starts, marks and stops an attempt before the program knows of it', () => {
    const started = shown(start(1));
    expect(started.one?.running?.id).toBeLessThan(0);
    expect(started.knife?.in_use_by).toBe(1);
    expect(started.round.starts).toEqual([]);
    expect(started.two?.running ?? null).toBeNull();
    const done = shown(
      start(1),
      mark(1, { kind: 'fault', fault: 'loose' }),
      mark(1, { kind: 'fault', fault: 'loose' }),
      mark(1, { kind: 'grip' }),
      touched({ kind: 'stop', body: { student_ids: [1] } }),
    );
    expect(done.one?.running ?? null).toBeNull();
    expect(done.one?.attempts[0]?.marks).toEqual({
      grip_ticked: true,
      hold_ticked: false,
      faults: ['loose'],
    });
    expect(done.one?.attempts[0]?.made).toHaveLength(3);
    expect(done.one?.attempts[0]?.seconds).toBe(4);
    expect(done.knife?.in_use_by).toBeNull();
  });

  it('pauses after a Stop fault until it is cleared', () => {
    const stop = mark(1, { kind: 'fault', fault: 'ahead' });
    const paused = shown(start(1), stop);
    expect(paused.one?.stop?.what).toEqual({ kind: 'fault', fault: 'ahead' });
    expect(paused.one?.running ?? null).toBeNull();
    expect(shown(start(1), stop, mark(1, { kind: 'cleared' })).one?.stop).toBeNull();
  });

  it('is gone when it was undone', () => {
    const one = mark(1, { kind: 'grip' }, 'wrong-one');
    const undo = touched({ kind: 'undo', body: { touch: 'wrong-one' } });
    expect(shown(start(1), one, undo).one?.attempts[0]?.made).toEqual([]);
  });
});
