import { Button, SegmentedControl } from '@mantine/core';
import { useDisclosure, useHotkeys, useMediaQuery } from '@mantine/hooks';
import { Link, useSearchParams } from 'react-router';
import type { Api } from '../../api/client';
import { useAbout, useClass } from '../../api/queries';
import { useChangeAddress } from '../../shared/address';
import { useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Failed, Loading } from '../../shared/State';
import { useHere } from '../frame';
import { AttemptDock } from './AttemptDock';
import styles from './Class.module.css';
import { IncidentForm } from './IncidentForm';
import { MeasurePanel } from './MeasurePanel';
import { useServerNow } from './useServerNow';
import type { Moment } from '../../api/time';
import { sizeText } from '../../shared/targetText';

/** The running class: one tap to a student, one to start, one for each fault seen. */
export default function ClassPage() {
  const here = useHere();
  const lessonId = here.lesson?.id ?? here.asked;
  if (here.course.isPending) return <Loading />;
  if (lessonId === undefined) {
    return (
      <main className={styles.work}>
        <h1>No lesson to run</h1>
        <p>Plan a lesson first; its exercises and stations appear here.</p>
        <Button component={Link} to={`/courses/${here.courseId}/plan`} w="fit-content">
          Plan a lesson
        </Button>
      </main>
    );
  }
  return <RunningClass key={lessonId} courseId={here.courseId} lessonId={lessonId} />;
}

function RunningClass({ courseId, lessonId }: { courseId: number; lessonId: number }) {
  const [search] = useSearchParams();
  const exercise = search.get('exercise');
  const view = useClass(lessonId, exercise ? Number(exercise) : undefined);
  const [unit] = useUnit();
  const [writing, write] = useDisclosure();
  const narrow = useMediaQuery('(max-width: 860px)');
  const asked = Number(search.get('student') ?? Number.NaN);
  const stations = view.data?.stations ?? [];
  const at = Math.max(
    0,
    stations.findIndex((s) => s.student.id === asked),
  );
  const station = stations[at];
  const select = useChangeAddress();
  const step = (by: number) => {
    const to = stations[(at + by + stations.length) % stations.length];
    if (to) select({ student: to.student.id });
  };
  useHotkeys([
    ['[', () => step(-1)],
    [']', () => step(1)],
  ]);
  if (!view.data)
    return view.isError ? <Failed error={view.error} again={() => void view.refetch()} /> : <Loading />;
  const data = view.data;
  const current = data.exercises.find((e) => e.id === data.exercise_id);
  if (!current) {
    return (
      <main className={styles.work}>
        <h1>{data.lesson.title}</h1>
        <p>This lesson has no exercise yet. Add one in Plan, then run it here.</p>
        <Button component={Link} to={`/courses/${courseId}/plan/${lessonId}?add=1`} w="fit-content">
          Add an exercise
        </Button>
      </main>
    );
  }
  return (
    <>
      <main className={styles.work}>
        <div className={`spread ${styles.title}`}>
          <div>
            <h1>{current.title}</h1>
            <p className="quiet">
              {current.target && `${sizeText(current.target, unit)} · `}
              {data.course.tolerance} tolerance · {current.setup}
            </p>
          </div>
          <div className="row">
            {data.exercises.length > 1 && (
              <SegmentedControl
                aria-label="Exercise"
                orientation={narrow ? 'vertical' : 'horizontal'}
                value={String(current.id)}
                onChange={(value) => select({ exercise: Number(value) })}
                data={data.exercises.map((e) => ({ value: String(e.id), label: e.title }))}
              />
            )}
            <Button variant="default" onClick={write.open}>
              Nick or near-miss…
            </Button>
          </div>
        </div>
        {stations.length === 0 ? (
          <p>
            No students yet. <Link to={`/courses/${courseId}/set-up`}>Add them to the course</Link>.
          </p>
        ) : (
          <Stations view={data} selected={station?.student.id} onSelect={(student) => select({ student })} />
        )}
        {station && (
          <MeasurePanel key={`${station.student.id} ${current.id}`} station={station} exercise={current} />
        )}
      </main>
      {station && (
        <AttemptDock
          key={station.student.id}
          view={data}
          station={station}
          exercise={current}
          onNext={() => step(1)}
        />
      )}
      {writing && <IncidentForm view={data} student={station?.student} close={write.close} />}
    </>
  );
}

function Stations({
  view,
  selected,
  onSelect,
}: {
  view: Api['ClassView'];
  selected: number | undefined;
  onSelect: (student: number) => void;
}) {
  const [unit] = useUnit();
  return (
    <ul className={styles.stations} aria-label="Stations">
      {view.stations.map((station) => {
        const { student } = station;
        return (
          <li key={student.id}>
            <button
              type="button"
              className={styles.station}
              aria-pressed={student.id === selected}
              data-paused={station.paused}
              data-running={Boolean(station.running)}
              onClick={() => onSelect(student.id)}
            >
              <span className={styles.head}>
                <span className="mono">{student.station}</span>
                <Sign station={station} />
              </span>
              <strong>{student.name}</strong>
              <span className={styles.line}>
                <State station={station} clearance={withUnit(student.clearance, unit)} />
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function Sign({ station }: { station: Api['Station'] }) {
  if (station.paused) return <Mark kind="stop" label />;
  if (station.watch.some((reason) => reason.kind === 'allergy')) return <Mark kind="caution" label />;
  if (station.watch.length > 0) return <Mark kind="watch" size={18} label />;
  return null;
}

function State({ station, clearance }: { station: Api['Station']; clearance: string }) {
  const about = useAbout();
  const now = useServerNow(about.data?.now, Boolean(station.running));
  if (station.running) return <Running since={station.running.started_at} now={now} />;
  if (station.paused) return <>paused</>;
  const last = station.attempts.at(-1);
  if (last && last.samples.length === 0) return <>blind ten due</>;
  if (last)
    return (
      <>
        {station.attempts.length} {station.attempts.length === 1 ? 'attempt' : 'attempts'}
      </>
    );
  return station.watch[0] ? <Said>{station.watch[0].words}</Said> : <>to {clearance}</>;
}

/** The clock of a running attempt. */
export function Running({ since, now }: { since: Moment; now: number }) {
  const seconds = Math.max(0, Math.floor((now - Date.parse(since)) / 1000));
  return (
    <span className="mono">
      {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}
    </span>
  );
}
