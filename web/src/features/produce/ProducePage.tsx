import { Button, SegmentedControl, Select } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { parseAsStringLiteral, useQueryState } from 'nuqs';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { useProduce } from '../../api/queries';
import { capital } from '../../shared/format';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useHere } from '../frame';
import { Allergies } from './Allergies';
import { useKeepProduce } from '../plan/changes';
import { CourseOrder } from './CourseOrder';
import { Flow } from './Flow';
import { Needs } from './Needs';
import { OrderTable } from './OrderTable';
import styles from './Produce.module.css';

const VIEWS = ['lesson', 'course'] as const;

/** The food of a lesson from the crate to the plate; and one order over all lessons, for who buys. */
export default function ProducePage() {
  const here = useHere();
  const [view, setView] = useQueryState('view', parseAsStringLiteral(VIEWS).withDefault('lesson'));
  const lessonId = here.lesson?.id ?? here.asked;
  if (lessonId === undefined) return <Loading />;
  return (
    <main className={styles.work}>
      <div className="spread">
        <h1>Produce{view === 'lesson' && here.lesson ? `: ${here.lesson.title}` : ''}</h1>
        <div className="row">
          <SegmentedControl
            aria-label="Which lessons"
            data={[
              { value: 'lesson', label: 'This lesson' },
              { value: 'course', label: 'All lessons, by delivery' },
            ]}
            value={view}
            onChange={(next) => void setView(next as (typeof VIEWS)[number])}
          />
          <Button variant="default" component={Link} to={`/courses/${here.courseId}/plan/${lessonId}`}>
            The lesson
          </Button>
        </div>
      </div>
      {view === 'course' ? (
        <CourseOrder courseId={here.courseId} />
      ) : (
        <OfLesson key={lessonId} lessonId={lessonId} />
      )}
    </main>
  );
}

function OfLesson({ lessonId }: { lessonId: number }) {
  const [draft, setDraft] = useState<Api['ProduceFields']>();
  const produce = useProduce(lessonId, draft);
  if (!produce.data)
    return produce.isError ? (
      <Failed error={produce.error} again={() => void produce.refetch()} />
    ) : (
      <Loading />
    );
  return <Produce view={produce.data} draft={draft} error={produce.error} onDraft={setDraft} />;
}

interface Props {
  view: Api['ProduceView'];
  /** What is said and not kept yet. */
  draft: Api['ProduceFields'] | undefined;
  error: Error | null;
  onDraft: (draft: Api['ProduceFields'] | undefined) => void;
}

function Produce({ view, draft, error, onDraft }: Props) {
  const keep = useKeepProduce(view.lesson_id, view.version, () => onDraft(undefined));
  const fields = draft ?? view.fields;
  if (view.order.length === 0 && view.allergies.length === 0)
    return <p>Nothing is cut in this lesson yet: add an exercise to it, and its food is worked out.</p>;
  return (
    <>
      {draft && (
        <div className="row">
          <Button onClick={() => keep.mutate(draft)} loading={keep.isPending}>
            Keep it
          </Button>
          <Button variant="default" onClick={() => onDraft(undefined)}>
            Put it back
          </Button>
        </div>
      )}
      <Trouble error={keep.error ?? error} />
      <Allergies cases={view.allergies} fields={fields} onChange={onDraft} />
      <section className="card stack" aria-label="To order">
        <h2>To order</h2>
        <OrderTable lines={view.order} cost={view.order_cost} />
      </section>
      <Flows view={view} fields={fields} onDraft={onDraft} />
      <Needs needs={view.exercises} fields={fields} onChange={onDraft} />
    </>
  );
}

const ENDS: { value: Api['EndUse']; label: string }[] = [
  { value: 'eaten', label: 'eaten together' },
  { value: 'taken_home', label: 'taken home' },
  { value: 'kitchen', label: 'to the kitchen' },
];

function Flows({
  view,
  fields,
  onDraft,
}: Pick<Props, 'view' | 'onDraft'> & { fields: Api['ProduceFields'] }) {
  const { ref, width } = useElementSize();
  const end = (food: string, value: Api['EndUse']) =>
    onDraft({
      ...fields,
      ends: [...(fields.ends ?? []).filter((each) => each.food !== food), { food, end: value }],
    });
  return (
    <section className="card stack" aria-label="From crate to plate">
      <h2>From crate to plate</h2>
      <div ref={ref} />
      {view.flows.map((flow) => (
        <div key={flow.food} className={styles.ofFood}>
          <div className="spread">
            <h3>{capital(flow.name)}</h3>
            <Select
              aria-label={`What becomes of the ${flow.name}`}
              size="xs"
              w={160}
              data={ENDS}
              allowDeselect={false}
              value={flow.end}
              onChange={(value) => value && end(flow.food, value)}
            />
          </div>
          <div className={styles.scroll}>
            <Flow flow={flow} width={Math.max(width, 620)} />
          </div>
        </div>
      ))}
      <p className="quiet">
        Widths are grams; hatched is what is trimmed off. Spare food goes back to the kitchen.
      </p>
    </section>
  );
}
