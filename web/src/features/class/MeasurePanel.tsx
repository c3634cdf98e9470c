import { Button, SegmentedControl, Textarea } from '@mantine/core';
import { useDebouncedValue, useHotkeys } from '@mantine/hooks';
import { useRef, useState } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { useJudge } from '../../api/queries';
import { Mark } from '../../shared/mark';
import { Trouble } from '../../shared/State';
import { useKeepSample } from './changes';
import styles from './Class.module.css';
import { VerdictView } from './VerdictView';

type Custom = Api['SampleCustom'];

/** Pieces typed as they are measured, judged while typing, kept with one key. */
export function MeasurePanel({
  station,
  exercise,
}: {
  station: Api['Station'];
  exercise: Api['ClassExercise'];
}) {
  const attempt = [...station.attempts].reverse().find((each) => each.exercise_id === exercise.id);
  const field = useRef<HTMLTextAreaElement>(null);
  const [text, setText] = useState('');
  const [custom, setCustom] = useState<Custom>('blind_ten');
  const [typed] = useDebouncedValue(text, 40);
  const judged = useJudge(attempt?.id, { custom, text: typed });
  useHotkeys([['m', () => field.current?.focus()]]);
  const keep = useKeepSample(() => setText(''));
  const problem = [keep.error, text.trim() ? judged.error : null].find(
    (error) => error instanceof ApiProblem,
  );
  const wrong = problem instanceof ApiProblem ? (problem.at('/text') ?? problem.message) : undefined;
  const kept = attempt?.samples.at(-1);
  const fresh = text.trim() && judged.data && !judged.error ? judged.data : undefined;
  const submit = () => {
    if (attempt && text.trim()) keep.mutate({ id: attempt.id, body: { custom, text } });
  };
  return (
    <section className={`card ${styles.measure}`} aria-label="Measured pieces">
      <div className="tight">
        <h2>Measure {station.student.name}</h2>
        {attempt ? (
          <>
            <SegmentedControl
              aria-label="How the pieces were chosen"
              value={custom}
              onChange={(value) => setCustom(value as Custom)}
              data={[
                { value: 'blind_ten', label: 'Blind ten' },
                { value: 'best_four', label: 'Best four' },
              ]}
            />
            <Textarea
              ref={field}
              className={styles.pieces}
              label={`One piece a line: ${exercise.columns.join(', ')}`}
              placeholder={exercise.columns.length > 1 ? '3.1 3.3 50' : '3.1'}
              rows={8}
              spellCheck={false}
              value={text}
              onChange={(event) => setText(event.currentTarget.value)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
                  event.preventDefault();
                  submit();
                }
              }}
              error={wrong}
            />
            <Button onClick={submit} loading={keep.isPending} disabled={!text.trim()}>
              Keep this sample
            </Button>
            {custom === 'best_four' && (
              <p className="row" style={{ flexWrap: 'nowrap' }}>
                <Mark kind="caution" label /> Best four flatters: shown and kept, but no evidence for a notch.{' '}
                {fresh?.verdict.flattery?.words}
              </p>
            )}
          </>
        ) : (
          <p className="quiet">
            Start and stop an attempt at this exercise, then enter its first ten pieces, unseen.
          </p>
        )}
        {keep.error && !wrong && <Trouble error={keep.error} />}
      </div>
      <Shown fresh={fresh?.verdict} kept={kept?.verdict} ready={attempt !== undefined} />
    </section>
  );
}

interface ShownProps {
  fresh: Api['Verdict'] | undefined;
  kept: Api['Verdict'] | undefined;
  ready: boolean;
}

/** The verdict of what is typed, or else of what was kept last. */
function Shown({ fresh, kept, ready }: ShownProps) {
  return (
    <div aria-live="polite">
      {fresh ? (
        <VerdictView verdict={fresh} />
      ) : kept ? (
        <>
          <p className="quiet">Kept from the last attempt:</p>
          <VerdictView verdict={kept} />
        </>
      ) : (
        ready && (
          <p className="quiet">
            Millimetres, or inches as 1/8. Paste a column from a spreadsheet. The verdict follows while you
            type.
          </p>
        )
      )}
    </div>
  );
}
