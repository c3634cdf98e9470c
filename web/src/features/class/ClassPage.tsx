import { Button, SegmentedControl } from '@mantine/core';
import { useDisclosure, useHotkeys, useMediaQuery } from '@mantine/hooks';
import { parseAsInteger, parseAsStringLiteral, useQueryStates } from 'nuqs';
import { Suspense, lazy } from 'react';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { useUnit } from '../../shared/format';
import { Failed, Loading } from '../../shared/State';
import { useHere } from '../frame';
import { AttemptDock } from './AttemptDock';
import { ClosingView } from './ClosingView';
import styles from './Class.module.css';
import { IncidentForm } from './IncidentForm';
import { MeasurePanel } from './MeasurePanel';
import { RunBar } from './RunBar';
import { Sent } from './Sent';
import { Stations } from './Stations';
import { Tools } from './Tools';
import { useClassNow } from './useClassNow';
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

const ASKED = {
  student: parseAsInteger,
  exercise: parseAsInteger,
  show: parseAsStringLiteral(['sharp_dull', 'ask', 'closing'] as const),
};

// They are shown now and then: the class comes up without them.
const SharpDull = lazy(() => import('./SharpDull'));
const AskPage = lazy(() => import('../ask/AskPage'));

function RunningClass({ courseId, lessonId }: { courseId: number; lessonId: number }) {
  const [asked, select] = useQueryStates(ASKED);
  const view = useClassNow(lessonId, asked.exercise ?? undefined);
  const [writing, write] = useDisclosure();
  const narrow = useMediaQuery('(max-width: 860px)');
  const stations = view.data?.stations ?? [];
  const at = Math.max(
    0,
    stations.findIndex((s) => s.student.id === asked.student),
  );
  const station = stations[at];
  const step = (by: number) => {
    const to = stations[(at + by + stations.length) % stations.length];
    if (to) void select({ student: to.student.id });
  };
  useHotkeys([
    ['[', () => step(-1)],
    [']', () => step(1)],
  ]);
  if (asked.show === 'sharp_dull')
    return (
      <Suspense fallback={<Loading />}>
        <SharpDull lessonId={lessonId} onLeave={() => void select({ show: null })} />
      </Suspense>
    );
  if (asked.show === 'closing')
    return (
      <ClosingView courseId={courseId} lessonId={lessonId} onLeave={() => void select({ show: null })} />
    );
  if (!view.data)
    return view.isError ? <Failed error={view.error} again={() => void view.refetch()} /> : <Loading />;
  const data = view.data;
  if (asked.show === 'ask')
    return (
      <Suspense fallback={<Loading />}>
        <AskPage view={data} onLeave={() => void select({ show: null })} />
      </Suspense>
    );
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
        <RunBar lessonId={lessonId} />
        <Heading
          view={data}
          current={current}
          narrow={Boolean(narrow)}
          onSelect={(exercise) => void select({ exercise })}
        >
          <Tools
            courseId={courseId}
            lessonId={lessonId}
            onShow={(show) => void select({ show })}
            onIncident={write.open}
          />
        </Heading>
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
        {!narrow && <Sent lessonId={lessonId} />}
      </main>
      {station && (
        <AttemptDock
          key={station.student.id}
          view={data}
          station={station}
          exercise={current}
          onNext={() => step(1)}
          sent={narrow && <Sent lessonId={lessonId} />}
        />
      )}
      {writing && <IncidentForm view={data} student={station?.student} close={write.close} />}
    </>
  );
}

interface HeadingProps {
  view: Api['ClassView'];
  current: Api['ClassExercise'];
  narrow: boolean;
  onSelect: (exercise: number) => void;
  children: React.ReactNode;
}

/** What is cut, how exactly and with what; another exercise of the lesson. */
function Heading({ view, current, narrow, onSelect, children }: HeadingProps) {
  const [unit] = useUnit();
  return (
    <div className={`spread ${styles.title}`}>
      <div>
        <h1>{current.title}</h1>
        <p className="quiet">
          {current.target && `${sizeText(current.target, unit)} · `}
          {view.course.tolerance} tolerance · {current.setup}
        </p>
      </div>
      <div className="row">
        {view.exercises.length > 1 && (
          <SegmentedControl
            aria-label="Exercise"
            orientation={narrow ? 'vertical' : 'horizontal'}
            value={String(current.id)}
            onChange={(value) => onSelect(Number(value))}
            data={view.exercises.map((e) => ({ value: String(e.id), label: e.title }))}
          />
        )}
        {children}
      </div>
    </div>
  );
}
