import { Button, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { useCount, useZone } from '../../api/queries';
import { Dock, Reason } from '../../shared/dock';
import { civil, day, hour } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useWho } from '../../shared/who';
import { useCloseClass, useCountKnives } from './changes';
import styles from './Rack.module.css';

interface Props {
  courseId: number;
  lessonId: number | undefined;
  tabs: React.ReactNode;
}

/** Out and in: a class does not end with a knife missing. */
export function CountView({ courseId, lessonId, tabs }: Props) {
  if (lessonId === undefined) {
    return (
      <main className={styles.work}>
        <div className="spread">
          <h1>Count</h1>
          {tabs}
        </div>
        <p>
          No lesson yet. <Link to={`/courses/${courseId}/plan`}>Plan one</Link>; its knives are counted here.
        </p>
      </main>
    );
  }
  return <Count key={lessonId} courseId={courseId} lessonId={lessonId} tabs={tabs} />;
}

function Count({ courseId, lessonId, tabs }: { courseId: number; lessonId: number; tabs: React.ReactNode }) {
  const zone = useZone(courseId);
  const count = useCount(lessonId);
  const [numbers, setNumbers] = useState('');
  const knives = useCountKnives(lessonId, () => setNumbers(''));
  if (!count.data)
    return count.isError ? <Failed error={count.error} again={() => void count.refetch()} /> : <Loading />;
  const { lesson, missing, proposed, closed } = count.data;
  const out = count.data.knives;
  const problem = knives.error instanceof ApiProblem ? knives.error : undefined;
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>Count: {lesson.title}</h1>
            <p className="quiet">
              Lesson {lesson.number} · {day(lesson.starts_at)}, {hour(lesson.starts_at)}
            </p>
          </div>
          {tabs}
        </div>
        <p className={styles.tally} role="status">
          <strong className="figure">{out.length}</strong> out
          <strong className="figure">{out.length - missing}</strong> in
          <strong className="figure" data-missing={missing > 0}>
            {missing}
          </strong>{' '}
          missing
        </p>
        {!closed && (
          <form
            className="row"
            style={{ alignItems: 'flex-start' }}
            onSubmit={(event) => {
              event.preventDefault();
              knives.mutate({ way: out.length > 0 ? 'in' : 'out', numbers });
            }}
          >
            <TextInput
              aria-label="Numbers"
              placeholder="Numbers as called out: 1 2 5-9"
              w={280}
              value={numbers}
              onChange={(event) => setNumbers(event.currentTarget.value)}
              error={problem?.at('/numbers')}
            />
            <Button onClick={() => knives.mutate({ way: 'out', numbers })}>Count out</Button>
            <Button variant="default" onClick={() => knives.mutate({ way: 'in', numbers })}>
              Count in
            </Button>
            {out.length === 0 && proposed.length > 0 && (
              <Button
                variant="light"
                onClick={() => knives.mutate({ way: 'out', numbers: proposed.join(' ') })}
              >
                Out: the {proposed.length} that this lesson needs
              </Button>
            )}
          </form>
        )}
        {!problem?.at('/numbers') && <Trouble error={knives.error} />}
        {out.length === 0 && <p>Nothing is out. Type the numbers as you hand the knives over.</p>}
        <ul className={styles.counted} aria-label="Knives out">
          {out.map((knife) => (
            <li key={knife.knife_id}>
              <button
                type="button"
                className={styles.countedKnife}
                data-in={Boolean(knife.in_at)}
                aria-pressed={Boolean(knife.in_at)}
                disabled={Boolean(closed)}
                onClick={() => knives.mutate({ way: knife.in_at ? 'out' : 'in', numbers: knife.number })}
              >
                <Mark kind={knife.in_at ? 'held' : 'todo'} size={18} />
                <span className="figure">{knife.number}</span>
                <span>{knife.name}</span>
                <span className="quiet">
                  {knife.in_at
                    ? `in ${hour(civil(knife.in_at, zone))}`
                    : `out ${hour(civil(knife.out_at, zone))}`}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </main>
      <CloseDock key={String(Boolean(closed))} lessonId={lessonId} count={count.data} zone={zone} />
    </>
  );
}

interface CloseProps {
  lessonId: number;
  count: Api['KnifeCount'];
  zone: string;
}

function CloseDock({ lessonId, count, zone }: CloseProps) {
  const [who, setWho] = useWho();
  const [words, setWords] = useState('');
  const close = useCloseClass(lessonId);
  const problem = close.error instanceof ApiProblem ? close.error : undefined;
  const { closed, missing } = count;
  if (closed) {
    return (
      <Dock label="Close the class">
        <h2>Closed</h2>
        <ul>
          <Reason
            kind={missing > 0 ? 'stop' : 'held'}
            title={`${closed.who}, ${hour(civil(closed.at, zone))}.`}
          >
            {missing > 0 ? `${missing} missing. ` : 'Every knife came in. '}
            {closed.words}
          </Reason>
        </ul>
        <Button
          variant="default"
          onClick={() => close.mutate({ who, words, closed: false })}
          loading={close.isPending}
        >
          Open it again
        </Button>
        <Trouble error={close.error} />
      </Dock>
    );
  }
  return (
    <Dock label="Close the class">
      <h2>Close the class</h2>
      <p>Clean, dry, count in, store. A class does not end with a knife missing.</p>
      <TextInput
        label="Who closes it"
        withAsterisk
        value={who}
        onChange={(event) => setWho(event.currentTarget.value)}
        error={problem?.at('/who')}
      />
      <Textarea
        label={missing > 0 ? 'What happened to the missing knife' : 'Anything to say'}
        autosize
        minRows={2}
        value={words}
        onChange={(event) => setWords(event.currentTarget.value)}
        error={problem?.at('/words')}
      />
      <Button onClick={() => close.mutate({ who, words, closed: true })} loading={close.isPending}>
        Close the class
      </Button>
      {problem?.at('/attempts') && (
        <p className="chip" data-kind="stop" role="alert">
          <Mark kind="stop" /> {problem.at('/attempts')}
        </p>
      )}
      {close.error && !problem?.document.problems.length && <Trouble error={close.error} />}
    </Dock>
  );
}
