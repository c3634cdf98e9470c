import { Button, Checkbox, SegmentedControl, Textarea } from '@mantine/core';
import { useDebouncedValue, useHotkeys, useLocalStorage } from '@mantine/hooks';
import { useRef, useState } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { useTakeSampleBack } from '../../api/evidence';
import { useAbout, useJudge, useZone } from '../../api/queries';
import { Mark } from '../../shared/mark';
import { Trouble } from '../../shared/State';
import { TakeBack, TakenBack } from '../../shared/TakeBack';
import { BesideAnother } from './BesideAnother';
import { SimulatedCallipers, afterReading } from './Callipers';
import { useKeepSample } from './changes';
import styles from './Class.module.css';
import { DrawTen } from './DrawTen';
import { VerdictView } from './VerdictView';
import { ofSchool } from '../../shared/school';

type Custom = Api['SampleCustom'];

/** Pieces typed as they are measured, judged while typing, kept with one key. */
export function MeasurePanel({
  station,
  exercise,
}: {
  station: Api['Station'];
  exercise: Api['ClassExercise'];
}) {
  const attempts = station.attempts.filter((each) => each.exercise_id === exercise.id);
  // The number stays when the program gives the attempt its id.
  return (
    <Measuring
      key={attempts.length}
      station={station}
      exercise={exercise}
      attempt={attempts.at(-1)}
      number={attempts.length}
    />
  );
}

/**
 * Pieces that were typed and not saved yet. They stay on the device through a look at another student and a
 * new start of the page, until they are saved or thrown away.
 */
function useTyped(attempt: Api['Attempt'] | undefined, number: number) {
  const of = attempt && [attempt.lesson_id, attempt.exercise_id, attempt.student_id, number].join(' ');
  const key = ofSchool(`yard-notch-pieces ${of ?? 'none'}`);
  const [text, setText] = useLocalStorage({
    key,
    defaultValue: '',
    getInitialValueInEffect: false,
    serialize: String,
    deserialize: (kept) => kept ?? '',
  });
  // Lines that were typed while the others were being saved stay. By then another student may be looked at.
  const drop = (saved: string) => {
    const now = localStorage.getItem(key) ?? '';
    const rest = now.startsWith(saved) ? now.slice(saved.length).replace(/^\s+/, '') : now;
    localStorage.setItem(key, rest);
    setText(rest);
  };
  return [attempt ? text : '', setText, drop] as const;
}

interface MeasuringProps {
  station: Api['Station'];
  exercise: Api['ClassExercise'];
  attempt: Api['Attempt'] | undefined;
  /** Which attempt of the student at this exercise it is, from 1. */
  number: number;
}

function Measuring({ station, exercise, attempt, number }: MeasuringProps) {
  const field = useRef<HTMLTextAreaElement>(null);
  const [text, setText, drop] = useTyped(attempt, number);
  // The program judges, and does not know an attempt that is not sent yet.
  const known = attempt && attempt.id > 0 ? attempt.id : undefined;
  const [custom, setCustom] = useState<Custom>('blind_ten');
  const [asCut, setAsCut] = useState(false);
  const [callipers, setCallipers] = useLocalStorage({ key: 'yard-notch-callipers', defaultValue: false });
  const about = useAbout().data;
  const madeUp = Boolean(about?.demo || about?.made_up);
  const order = asCut ? 'as_cut' : 'mixed';
  const [typed] = useDebouncedValue(text, 40);
  const judged = useJudge(known, { custom, order, text: typed });
  useHotkeys([['m', () => field.current?.focus()]]);
  const keep = useKeepSample(drop);
  const problem = [keep.error, text.trim() ? judged.error : null].find(
    (error) => error instanceof ApiProblem,
  );
  const wrong = problem instanceof ApiProblem ? (problem.at('/text') ?? problem.message) : undefined;
  const zone = useZone(station.student.course_id);
  const fresh = text.trim() && judged.data && !judged.error ? judged.data : undefined;
  const submit = () => {
    if (known && text.trim() && !keep.isPending) keep.mutate({ id: known, body: { custom, order, text } });
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
                } else if (event.key === 'Enter' && callipers) {
                  // Callipers end each reading with Enter.
                  event.preventDefault();
                  setText(afterReading(text, exercise.columns.length));
                }
              }}
              error={wrong}
            />
            {custom === 'blind_ten' && <DrawTen usual={exercise.pieces_each} />}
            <Checkbox
              label="Callipers type the sizes"
              checked={callipers}
              onChange={(event) => setCallipers(event.currentTarget.checked)}
            />
            {callipers && madeUp && <SimulatedCallipers exercise={exercise} text={text} onType={setText} />}
            <Checkbox
              label="Measured in the order they were cut"
              checked={asCut}
              onChange={(event) => setAsCut(event.currentTarget.checked)}
            />
            <Button onClick={submit} loading={keep.isPending} disabled={!text.trim() || !known}>
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
      <Shown fresh={fresh?.verdict} student={station.student} attempt={attempt} waits={!known} zone={zone} />
    </section>
  );
}

interface ShownProps {
  student: Api['Student'];
  fresh: Api['Verdict'] | undefined;
  attempt: Api['Attempt'] | undefined;
  /** The attempt has not reached the program yet. */
  waits: boolean;
  zone: string;
}

/** The verdict of what is typed, or else of what was kept last. */
function Shown({ fresh, student, attempt, waits, zone }: ShownProps) {
  const takeBack = useTakeSampleBack();
  const kept = attempt?.samples.at(-1);
  return (
    <div aria-live="polite" className="tight">
      {fresh ? (
        <VerdictView verdict={fresh} />
      ) : kept ? (
        <>
          <p className="quiet">Kept from the last attempt:</p>
          <VerdictView verdict={kept.verdict} />
          {attempt && (
            <BesideAnother key={`beside ${kept.id}`} student={student} attempt={attempt} sample={kept} />
          )}
          <TakeBack
            key={kept.id}
            what="this sample"
            pending={takeBack.isPending}
            onTakeBack={(said, told) => takeBack.mutate({ id: kept.id, said }, told)}
          />
        </>
      ) : (
        attempt && (
          <p className="quiet">
            Millimetres, or inches as 1/8. Paste a column from a spreadsheet.{' '}
            {waits
              ? 'The verdict comes once this attempt has reached the program.'
              : 'The verdict follows while you type.'}
          </p>
        )
      )}
      {attempt?.taken_back?.map(
        (sample) =>
          sample.taken_back && (
            <TakenBack key={sample.id} taken={sample.taken_back} zone={zone} what="A sample was" />
          ),
      )}
    </div>
  );
}
