import type { Api } from '../../api/client';
import { bySchool } from '../../api/clock';
import type { Moment } from '../../api/time';
import type { Touch } from '../../api/touches/touch';

const momentOf = ({ madeAt }: Touch) => new Date(bySchool(madeAt)).toISOString() as Moment;

/**
 * The class as this device knows it: what was touched here and has not come back from the program yet is laid over
 * what was read. It only shows the touch; what follows from it comes with the next reading.
 */
export function withTouches(
  view: Api['ClassView'],
  touches: readonly Touch[],
  catalogue: Pick<Api['CatalogueView'], 'faults' | 'tolerances'>,
): Api['ClassView'] {
  const ours = touches.filter((each) => each.lesson === view.lesson.id);
  if (ours.length === 0) return view;
  const undone = new Set(ours.flatMap(({ deed }) => (deed.kind === 'undo' ? [deed.body.touch] : [])));
  const stops = new Set(
    catalogue.faults.filter((fault) => fault.severity === 'stop').map((fault) => fault.id),
  );
  const tolerance = catalogue.tolerances.find((each) => each.id === view.course.tolerance);
  const stations = new Map(view.stations.map((station) => [station.student.id, station]));
  const change = (student: number, to: (station: Api['Station']) => Api['Station']) => {
    const station = stations.get(student);
    if (station) stations.set(student, to(station));
  };
  ours.forEach((each, index) => {
    if (undone.has(each.id)) return;
    const at = momentOf(each);
    const { deed } = each;
    if (deed.kind === 'start')
      for (const start of deed.body.starts)
        if (tolerance)
          change(start.student_id, (station) => started(station, view, start, at, -1 - index, tolerance));
    if (deed.kind === 'stop')
      for (const student of deed.body.student_ids) change(student, (s) => stopped(s, at));
    if (deed.kind === 'mark')
      change(deed.body.student_id, (s) => marked(s, deed.body.what, at, -1 - index, stops, each.by));
  });
  const changed = view.stations.map((station) => stations.get(station.student.id) ?? station);
  const holder = (knife: number) =>
    changed.find((station) => station.running?.knife_id === knife)?.student.id ?? null;
  return {
    ...view,
    stations: changed,
    round: {
      ...view.round,
      starts: view.round.starts.filter((start) => !stations.get(start.student_id)?.running),
    },
    knives: view.knives.map((knife) => ({ ...knife, in_use_by: holder(knife.id) ?? knife.in_use_by })),
  };
}

/** An attempt that the program does not know yet; nothing is judged by what is shown of it. */
function started(
  station: Api['Station'],
  view: Api['ClassView'],
  start: Api['Start'],
  at: Moment,
  id: number,
  tolerance: Api['Tolerance'],
): Api['Station'] {
  if (station.running) return station;
  const exercise = view.exercises.find((each) => each.id === start.exercise_id);
  if (!exercise?.target) return station;
  const attempt: Api['Attempt'] = {
    id,
    version: 0,
    student_id: start.student_id,
    exercise_id: start.exercise_id,
    knife_id: start.knife_id,
    lesson_id: view.lesson.id,
    started_at: at,
    on_day: at.slice(0, 10) as Api['Attempt']['on_day'],
    cut: '',
    strand: null,
    standard_set: view.course.standard_set,
    target: exercise.target,
    tolerance,
    marks: { grip_ticked: false, hold_ticked: false, faults: [] },
    made: [],
    samples: [],
    taken_back: [],
  };
  return { ...station, running: attempt, attempts: [...station.attempts, attempt], unmeasured: false };
}

function stopped(station: Api['Station'], at: Moment): Api['Station'] {
  if (!station.running) return station;
  const seconds = Math.max(0, (Date.parse(at) - Date.parse(station.running.started_at)) / 1000);
  const shown = withLatest(station, (attempt) => ({ ...attempt, stopped_at: at, seconds }));
  return { ...shown, running: null, unmeasured: true };
}

function marked(
  station: Api['Station'],
  what: Api['MarkKind'],
  at: Moment,
  id: number,
  stops: Set<string>,
  by: string,
): Api['Station'] {
  const mark: Api['Mark'] = { id, what, at, by: by || null };
  const shown = withLatest(station, (attempt) => ({
    ...attempt,
    made: [...(attempt.made ?? []), mark],
    marks: {
      grip_ticked: attempt.marks.grip_ticked || what.kind === 'grip',
      hold_ticked: attempt.marks.hold_ticked || what.kind === 'hold',
      faults:
        what.kind === 'fault' && !attempt.marks.faults.includes(what.fault)
          ? [...attempt.marks.faults, what.fault]
          : attempt.marks.faults,
    },
  }));
  if (what.kind === 'cleared') return { ...shown, stop: null };
  if (what.kind === 'fault' && stops.has(what.fault)) return { ...stopped(shown, at), stop: mark };
  return shown;
}

/** Changes the latest attempt, which is the running one where one runs. */
function withLatest(
  station: Api['Station'],
  to: (attempt: Api['Attempt']) => Api['Attempt'],
): Api['Station'] {
  const latest = station.attempts.at(-1);
  if (!latest) return station;
  const changed = to(latest);
  return {
    ...station,
    attempts: [...station.attempts.slice(0, -1), changed],
    running: station.running?.id === latest.id ? changed : station.running,
  };
}
