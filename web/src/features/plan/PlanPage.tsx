import { Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Api } from '../../api/client';
import { useDraftRule, usePlan } from '../../api/queries';
import { day, hour } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useHere } from '../frame';
import { AdviceDock, LessonDock } from './AdviceDock';
import { ExerciseCard } from './ExerciseCard';
import { ExerciseEditor } from './ExerciseEditor';
import { LessonForm } from './LessonForm';
import { makingOf } from './making';
import { useKeepTimeRule } from './changes';
import styles from './Plan.module.css';
import { SegmentEditor } from './SegmentEditor';
import { TimeRule } from './TimeRule';
import { WaysOut } from './WaysOut';

type Draft = Api['DraftSegments'];

/** The lesson on the time rule, the evening before the class. */
export default function PlanPage() {
  const here = useHere();
  if (here.asked === undefined && here.course.isPending) return <Loading />;
  if (!here.lesson && here.asked === undefined) return <NoLesson courseId={here.courseId} />;
  return (
    <Lesson
      key={here.lesson?.id ?? here.asked}
      courseId={here.courseId}
      lessonId={here.lesson?.id ?? here.asked ?? 0}
    />
  );
}

function NoLesson({ courseId }: { courseId: number }) {
  return (
    <main className={styles.work}>
      <h1>No lesson yet</h1>
      <p>A lesson starts with the usual segments, from arrival to knife count. Add exercises to it next.</p>
      <LessonForm courseId={courseId} />
    </main>
  );
}

function Lesson({ courseId, lessonId }: { courseId: number; lessonId: number }) {
  const plan = usePlan(lessonId);
  if (!plan.data)
    return plan.isError ? <Failed error={plan.error} again={() => void plan.refetch()} /> : <Loading />;
  return <LessonPlan courseId={courseId} plan={plan.data} />;
}

/** Segments as they stand on the screen: as kept, or as changed and not yet saved. */
function useDraft(plan: Api['PlanView']) {
  const [draft, setDraft] = useState<Draft>();
  const laid = useDraftRule(plan.lesson.id, draft);
  const rule = draft && laid.data ? laid.data : plan.time_rule;
  const change = (segments: Api['StoredSegment'][], way?: Api['WayOut']) =>
    setDraft({
      minutes: plan.lesson.minutes,
      segments,
      fewer: [...(draft?.fewer ?? []), ...(way?.fewer ?? [])],
      leave_out: [...(draft?.leave_out ?? []), ...(way?.leave_out ?? [])],
    });
  const segments = (draft?.segments ?? plan.lesson.segments) as Api['StoredSegment'][];
  const replace = (index: number, next: Partial<Api['StoredSegment']>) =>
    change(segments.map((s, i) => (i === index ? { ...s, ...next } : s)));
  /** Moves a segment by so many places; says where it lies then. */
  const move = (index: number, by: number): number => {
    const to = index + by;
    const moved = segments[index];
    if (!moved || to < 0 || to >= segments.length) return index;
    const rest = segments.filter((_, i) => i !== index);
    change([...rest.slice(0, to), moved, ...rest.slice(to)]);
    return to;
  };
  const drop = () => setDraft(undefined);
  return { draft, rule, segments, change, replace, move, drop, problem: draft ? laid.error : null };
}

function Head({ plan, rule }: { plan: Api['PlanView']; rule: Api['TimeRule'] }) {
  return (
    <div className="spread">
      <div>
        <h1>{plan.lesson.title}</h1>
        <p className="quiet">
          Lesson {plan.lesson.number} · {day(plan.lesson.starts_at)} · {hour(plan.lesson.starts_at)} to{' '}
          {hour(plan.lesson.starts_at, plan.lesson.minutes)} · {plan.course.place} · {plan.course.boards}{' '}
          boards · {plan.students} students
        </p>
      </div>
      <span className="chip" data-kind={rule.over > 0 ? 'stop' : 'held'} role="status">
        <Mark kind={rule.over > 0 ? 'stop' : 'held'} /> {rule.words}
      </span>
    </div>
  );
}

type Opened = 'this' | 'new' | undefined;

function LessonButtons({ open, onOpen }: { open: Opened; onOpen: (open: Opened) => void }) {
  const { courseId, lesson } = useHere();
  return (
    <div className="row">
      <Button variant="default" component={Link} to={`/courses/${courseId}/course`}>
        The whole course
      </Button>
      <Button variant="default" component={Link} to={`/courses/${courseId}/plan/${lesson?.id ?? ''}/ready`}>
        Ready?
      </Button>
      <Button
        variant="default"
        component={Link}
        to={`/courses/${courseId}/plan/${lesson?.id ?? ''}/rotation`}
      >
        Rotation
      </Button>
      <Button variant="default" component={Link} to={`/courses/${courseId}/plan/${lesson?.id ?? ''}/produce`}>
        Produce
      </Button>
      <Button variant="default" component={Link} to={`/courses/${courseId}/plan/${lesson?.id ?? ''}/paper`}>
        On paper
      </Button>
      <Button variant="default" onClick={() => onOpen(open === 'this' ? undefined : 'this')}>
        Title and time…
      </Button>
      <Button variant="default" onClick={() => onOpen(open === 'new' ? undefined : 'new')}>
        New lesson…
      </Button>
    </div>
  );
}

interface ExercisesProps {
  plan: Api['PlanView'];
  search: URLSearchParams;
  editing: boolean;
  selected: number | undefined;
  onAdvice: (advice: Api['Advice'] | undefined) => void;
  select: (next: Record<string, string>) => void;
}

/** The exercises of the lesson, one of them open, and a place for the next. */
function Exercises({ plan, search, editing, selected, onAdvice, select }: ExercisesProps) {
  const adding = search.has('add');
  return (
    <>
      {plan.exercises.map((planned) =>
        editing && planned.exercise.id === selected ? (
          <ExerciseEditor
            key={planned.exercise.id}
            plan={plan}
            exercise={planned.exercise}
            onAdvice={onAdvice}
            done={() => select({})}
          />
        ) : (
          <ExerciseCard
            key={planned.exercise.id}
            planned={planned}
            selected={!adding && planned.exercise.id === selected}
            onSelect={() => select({ exercise: String(planned.exercise.id) })}
            onEdit={() => select({ exercise: String(planned.exercise.id), edit: '1' })}
          />
        ),
      )}
      {adding ? (
        <ExerciseEditor
          key={`${search.get('food')} ${search.get('cut')} ${search.get('knife')}`}
          plan={plan}
          food={search.get('food')}
          cut={search.get('cut')}
          knife={search.get('knife')}
          amount={search.get('amount')}
          making={makingOf(search)}
          onAdvice={onAdvice}
          done={() => select({})}
        />
      ) : (
        <div>
          {plan.exercises.length === 0 && (
            <p style={{ marginBottom: 8 }}>
              No exercise yet: choose a food and a cut, and the knife, grip and minutes follow.
            </p>
          )}
          <Button
            variant={plan.exercises.length === 0 ? 'filled' : 'default'}
            onClick={() => select({ add: '1' })}
            rightSection={<kbd>n</kbd>}
          >
            Add an exercise
          </Button>
        </div>
      )}
    </>
  );
}

function LessonPlan({ courseId, plan }: { courseId: number; plan: Api['PlanView'] }) {
  const [search, setSearch] = useSearchParams();
  const [shown, setShown] = useState<Api['Advice']>();
  const [editLesson, setEditLesson] = useState<'this' | 'new'>();
  const { draft, rule, segments, change, replace, move, drop, problem } = useDraft(plan);
  const selected = Number(search.get('exercise') ?? Number.NaN);
  const segment = Number(search.get('segment') ?? Number.NaN);
  const adding = search.has('add');
  const editing = search.get('edit') === '1' && plan.exercises.find((e) => e.exercise.id === selected);
  const select = (next: Record<string, string>) => setSearch(next, { replace: true });
  const current =
    plan.exercises.find((e) => e.exercise.id === selected) ?? (adding ? undefined : plan.exercises[0]);
  useHotkeys([['n', () => select({ add: '1' })]]);
  const save = useKeepTimeRule(plan.lesson, drop);
  return (
    <>
      <main className={styles.work}>
        <Head plan={plan} rule={rule} />
        {editLesson && (
          <LessonForm
            courseId={courseId}
            lesson={editLesson === 'this' ? plan.lesson : undefined}
            done={() => setEditLesson(undefined)}
          />
        )}
        <TimeRule
          rule={rule}
          exercises={plan.exercises}
          selected={Number.isNaN(segment) ? undefined : segment}
          onSelect={(index) => {
            const exercise = rule.segments[index]?.exercise_id;
            select({ segment: String(index), ...(exercise ? { exercise: String(exercise) } : {}) });
          }}
          onChange={(index, minutes) => replace(index, { minutes })}
          onMove={(index, by) => select({ segment: String(move(index, by)) })}
        />
        <div className="spread">
          <div className="row">
            {draft && (
              <>
                <Button onClick={() => save.mutate(draft)} loading={save.isPending}>
                  Save the time rule
                </Button>
                <Button variant="default" onClick={drop}>
                  Put it back
                </Button>
              </>
            )}
          </div>
          <LessonButtons open={editLesson} onOpen={setEditLesson} />
        </div>
        <Trouble error={save.error ?? problem} />
        <WaysOut rule={rule} onTake={(way) => change(way.segments, way)} />
        {!Number.isNaN(segment) && rule.segments[segment] && (
          <SegmentEditor
            key={segment}
            segment={{ ...rule.segments[segment], ...segments[segment] }}
            onChange={(next) => replace(segment, next)}
            onMove={(by) => select({ segment: String(move(segment, by)) })}
            onRemove={() => {
              change(segments.filter((_, i) => i !== segment));
              select({});
            }}
            onAdd={(kind, minutes) =>
              change([
                ...segments.slice(0, segment + 1),
                { kind, minutes, exercise_id: null, fixed: false },
                ...segments.slice(segment + 1),
              ])
            }
          />
        )}
        <Exercises
          plan={plan}
          search={search}
          editing={Boolean(editing)}
          selected={current?.exercise.id}
          onAdvice={setShown}
          select={select}
        />
      </main>
      {adding || editing ? (
        <AdviceDock advice={shown} disclaimer={plan.disclaimer} />
      ) : current ? (
        <AdviceDock advice={current.advice ?? undefined} planned={current} disclaimer={plan.disclaimer} />
      ) : (
        <LessonDock disclaimer={plan.disclaimer} />
      )}
    </>
  );
}
