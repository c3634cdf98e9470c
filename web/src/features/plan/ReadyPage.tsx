import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { usePlan, useProduce, useReady } from '../../api/queries';
import { Mark } from '../../shared/mark';
import { mendingPath } from '../../shared/mending';
import { Said } from '../../shared/Said';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useHere } from '../frame';
import { useKeepProduce, useKeepTimeRule } from './changes';
import styles from './Plan.module.css';

const MARKS = { stop: 'stop', caution: 'caution', to_do: 'todo' } as const;

/** Ten minutes before class: what stands in the way, worst first, each with its way out. */
export default function ReadyPage() {
  const here = useHere();
  const lessonId = here.lesson?.id ?? here.asked;
  const ready = useReady(lessonId);
  if (lessonId === undefined || !ready.data)
    return ready.isError ? <Failed error={ready.error} again={() => void ready.refetch()} /> : <Loading />;
  const view = ready.data;
  const worst = view.items[0]?.weight;
  const kind = worst === 'stop' ? 'stop' : worst === 'caution' ? 'caution' : 'held';
  return (
    <main className={styles.work} aria-busy={ready.isFetching}>
      <div className="spread">
        <div>
          <h1>Ready? {view.title}</h1>
          <p className="quiet">Everything that this lesson needs and does not have yet, worst first.</p>
        </div>
        <span className="chip" data-kind={kind} role="status">
          <Mark kind={kind} /> {view.words}
        </span>
      </div>
      <ul className={styles.ready}>
        {view.items.map((item, index) => (
          <li key={index} className="card" data-weight={item.weight}>
            <Mark kind={MARKS[item.weight]} label size={18} />
            <p>
              <Said>{item.words}</Said>
            </p>
            <Way way={item.way} courseId={here.courseId} lessonId={lessonId} />
          </li>
        ))}
      </ul>
      <div>
        <Button variant="default" component={Link} to={`/courses/${here.courseId}/plan/${lessonId}`}>
          The lesson
        </Button>
      </div>
    </main>
  );
}

interface Props {
  way: Api['ReadyWay'];
  courseId: number;
  lessonId: number;
}

/** Does what can be done at once, or leads to where it is mended. */
function Way({ way, courseId, lessonId }: Props) {
  switch (way.kind) {
    case 'fit':
      return <Fit way={way.way} lessonId={lessonId} />;
    case 'instead':
      return <Instead way={way} lessonId={lessonId} />;
    case 'open':
      return (
        <Button variant="default" component={Link} to={mendingPath(way, courseId, lessonId)}>
          {way.words}
        </Button>
      );
  }
}

function Fit({ way, lessonId }: { way: Api['WayOut']; lessonId: number }) {
  const plan = usePlan(lessonId);
  const lesson = plan.data?.lesson ?? { id: lessonId, version: 0 };
  const keep = useKeepTimeRule(lesson, () => undefined);
  const { segments, fewer, leave_out } = way;
  return (
    <div>
      <Button
        disabled={!plan.data}
        loading={keep.isPending}
        onClick={() => keep.mutate({ minutes: plan.data?.lesson.minutes ?? 0, segments, fewer, leave_out })}
      >
        {way.words}
      </Button>
      <Trouble error={keep.error} />
    </div>
  );
}

function Instead({
  way,
  lessonId,
}: {
  way: Extract<Api['ReadyWay'], { kind: 'instead' }>;
  lessonId: number;
}) {
  const produce = useProduce(lessonId, undefined);
  const fields = produce.data?.fields ?? {};
  const keep = useKeepProduce(lessonId, produce.data?.version ?? 0, () => undefined);
  const { exercise_id, food } = way;
  return (
    <div>
      <Button
        disabled={!produce.data}
        loading={keep.isPending}
        onClick={() =>
          keep.mutate({
            ...fields,
            instead: [
              ...(fields.instead ?? []).filter((each) => each.exercise_id !== exercise_id),
              { exercise_id, food },
            ],
          })
        }
      >
        {way.words}
      </Button>
      <Trouble error={keep.error} />
    </div>
  );
}
