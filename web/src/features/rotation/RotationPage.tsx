import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { useRotation } from '../../api/queries';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useHere } from '../frame';
import { useAnnounce } from './changes';
import { RotationDock } from './RotationDock';
import styles from './Rotation.module.css';
import { Rounds } from './Rounds';
import type { Selected } from './selected';
import { Way } from './Way';
import { inSchool } from '../../shared/school';

/** Who works in which round with which knife: read before class, and changed when somebody is ill. */
export default function RotationPage() {
  const here = useHere();
  const lessonId = here.lesson?.id ?? here.asked;
  if (lessonId === undefined) return <Loading />;
  return <Lesson key={lessonId} lessonId={lessonId} />;
}

function Lesson({ lessonId }: { lessonId: number }) {
  const [news, setNews] = useState<Api['RotationFields']>();
  const rotation = useRotation(lessonId, news);
  if (!rotation.data)
    return rotation.isError ? (
      <Failed error={rotation.error} again={() => void rotation.refetch()} />
    ) : (
      <Loading />
    );
  return (
    <Rotation
      view={rotation.data}
      news={news}
      busy={rotation.isFetching}
      error={rotation.error}
      onNews={setNews}
    />
  );
}

interface Props {
  view: Api['RotationView'];
  /** What is known of the day and not announced yet. */
  news: Api['RotationFields'] | undefined;
  busy: boolean;
  error: Error | null;
  onNews: (news: Api['RotationFields'] | undefined) => void;
}

function Rotation({ view, news, busy, error, onNews }: Props) {
  const [selected, select] = useState<Selected>();
  const fields = news ?? view.fields;
  return (
    <>
      <main className={styles.work} aria-busy={busy}>
        <Head view={view} />
        <Bar view={view} news={news} onNews={onNews} />
        <Trouble error={error} />
        {view.blocked.length > 0 && <Blocked view={view} onNews={onNews} />}
        {view.rounds.length > 0 && <Rounds view={view} selected={selected} onSelect={select} />}
      </main>
      <RotationDock
        view={view}
        news={fields}
        selected={selected}
        onNews={onNews}
        onClose={() => select(undefined)}
      />
    </>
  );
}

/** Why there is no rotation, and the smallest changes that would free it. */
function Blocked({ view, onNews }: Pick<Props, 'view' | 'onNews'>) {
  return (
    <div className={styles.blocked} role="alert">
      {view.blocked.map((words, index) => (
        <p key={index}>
          <Mark kind="stop" label /> <Said>{words}</Said>
        </p>
      ))}
      {view.ways.length > 0 && (
        <>
          <h2>{view.ways.length === 1 ? 'This frees it' : 'Each of these frees it'}</h2>
          <ul className="row">
            {view.ways.map((way, index) => (
              <li key={index}>
                <Way way={way} lessonId={view.lesson_id} onNews={onNews} />
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function Head({ view }: { view: Api['RotationView'] }) {
  const kind = view.blocked.length > 0 || view.over > 0 ? 'stop' : 'held';
  const rounds = view.rounds.length;
  return (
    <div className="spread">
      <div>
        <h1>Rotation: {view.title}</h1>
        {view.summary.map((words, index) => (
          <p key={index} className={index > 0 ? 'quiet' : undefined}>
            <Said>{words}</Said>
          </p>
        ))}
      </div>
      <span className="chip" data-kind={kind} role="status">
        <Mark kind={kind} />{' '}
        {view.blocked.length > 0
          ? 'No rotation'
          : view.over > 0
            ? `${view.over} min over`
            : `${rounds} ${rounds === 1 ? 'round' : 'rounds'}`}
      </span>
    </div>
  );
}

function Bar({ view, news, onNews }: Pick<Props, 'view' | 'news' | 'onNews'>) {
  const { courseId } = useHere();
  const announce = useAnnounce(view.lesson_id, view.version, () => onNews(undefined));
  const fields = news ?? view.fields;
  const number = (value: string | number) => Math.max(0, Math.round(Number(value) || 0));
  return (
    <>
      <div className={styles.bar}>
        <NumberInput
          label="Rounds that are over"
          size="xs"
          w={150}
          min={0}
          max={200}
          value={fields.rounds_done}
          onChange={(value) => onNews({ ...fields, rounds_done: number(value) })}
        />
        <NumberInput
          label="Minutes lost"
          size="xs"
          w={120}
          min={0}
          max={240}
          value={fields.minutes_lost}
          onChange={(value) => onNews({ ...fields, minutes_lost: number(value) })}
        />
        <Button
          disabled={view.is_announced || view.blocked.length > 0}
          loading={announce.isPending}
          onClick={() => announce.mutate({ ...fields, anew: false })}
        >
          {view.is_announced ? 'Announced' : view.version > 0 ? 'Announce the change' : 'Announce'}
        </Button>
        {view.version > 0 && !fields.anew && (
          <Button variant="default" onClick={() => onNews({ ...fields, anew: true })}>
            Plan anew
          </Button>
        )}
        {news && (
          <Button variant="default" onClick={() => onNews(undefined)}>
            {view.version > 0 ? 'As it was announced' : 'As it was planned'}
          </Button>
        )}
        <Button variant="default" component={Link} to={`/courses/${courseId}/plan/${view.lesson_id}`}>
          The lesson
        </Button>
        <Button
          variant="default"
          component="a"
          href={inSchool(`/api/lessons/${view.lesson_id}/rotation/table`)}
          download="rotation.csv"
        >
          As a table
        </Button>
      </div>
      <Trouble error={announce.error} />
    </>
  );
}
