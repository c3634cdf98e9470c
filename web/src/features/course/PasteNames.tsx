import { Button, Checkbox, FileButton, Select, Textarea } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useCatalogue, useReadRoster } from '../../api/queries';
import { useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Trouble } from '../../shared/State';
import { useTakeRoster } from './changes';
import styles from './Names.module.css';
import { textOf } from './textOf';

/** Lines that are shown; a longer list is told by its number. */
const SHOWN = 200;

/** A class list as it is pasted: what was understood stands beside it, line by line, before it is kept. */
export function PasteNames({ courseId }: { courseId: number }) {
  const [text, setText] = useState('');
  const [apart, setApart] = useState<number[]>([]);
  const [clearance, setClearance] = useState<number>();
  const [asked] = useDebouncedValue(text, 120);
  const read = useReadRoster(courseId, { text: asked, apart, ...(clearance ? { clearance } : {}) });
  const roster = asked.trim() === '' ? undefined : read.data;
  const stale = asked !== text || read.isFetching;
  // What was not understood stays, to be mended.
  const take = useTakeRoster(courseId, () => {
    const left = roster?.lines.filter((line) => !line.fields).map((line) => line.text) ?? [];
    setText(left.join('\n'));
    setApart([]);
  });
  return (
    <section className="card stack" aria-label="Paste the names">
      <h3>Paste the names</h3>
      <div className={styles.beside}>
        <Textarea
          label="One student a line"
          description="a name, and what you know: left or right, small or large hands, allergies; in any order"
          placeholder={'Maren Oake, left, small\nPell Quist (celery allergy)\nJuno Pike'}
          autosize
          minRows={6}
          maxRows={18}
          spellCheck={false}
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
        />
        <div aria-live="polite">
          {roster ? (
            <Lines
              roster={roster}
              apart={apart}
              onApart={(line, apart) =>
                setApart((now) => (apart ? [...now, line] : now.filter((each) => each !== line)))
              }
            />
          ) : (
            <p className="quiet">What is understood of each line stands here before it is kept.</p>
          )}
        </div>
      </div>
      {read.error && asked.trim() !== '' && <Trouble error={read.error} />}
      <div className="row">
        <Clearance value={clearance} onChange={setClearance} />
        <FileButton
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          onChange={(file) => void (file && textOf(file).then(setText))}
        >
          {(props) => (
            <Button variant="default" {...props}>
              Choose a file…
            </Button>
          )}
        </FileButton>
        <Button
          disabled={!roster || roster.sound === 0 || stale}
          loading={take.isPending}
          onClick={() =>
            roster &&
            take.mutate({ text, apart, skip_wrong: roster.wrong > 0, ...(clearance ? { clearance } : {}) })
          }
        >
          {roster && roster.sound > 0 ? `Add ${students(roster.sound)}` : 'Add them'}
        </Button>
        {take.data && <Taken taken={take.data} />}
      </div>
      <Trouble error={take.error} />
    </section>
  );
}

const students = (count: number) => (count === 1 ? '1 student' : `${count} students`);

function Taken({ taken }: { taken: Api['RosterTaken'] }) {
  return (
    <span role="status" className="chip" data-kind="held">
      <Mark kind="held" /> {students(taken.added)} added
      {taken.left > 0 && `; ${taken.left === 1 ? 'one line is' : `${taken.left} lines are`} left to mend`}
    </span>
  );
}

interface LinesProps {
  roster: Api['Roster'];
  apart: number[];
  onApart: (line: number, apart: boolean) => void;
}

function Lines({ roster, apart, onApart }: LinesProps) {
  return (
    <>
      <p role="status">
        <strong>
          {students(roster.sound)}
          {roster.wrong > 0 && `, ${roster.wrong === 1 ? 'one line' : `${roster.wrong} lines`} to mend`}
        </strong>
        {roster.left_out.length > 0 && (
          <span className="quiet"> Not read: {roster.left_out.join(', ')}.</span>
        )}
      </p>
      <ol className={styles.lines} aria-label="Lines read">
        {roster.lines.slice(0, SHOWN).map((line) => (
          <li key={line.line} value={line.line}>
            {line.fields ? (
              <>
                <Mark kind="held" /> <strong>{line.fields.name}</strong>{' '}
                <span className="quiet">
                  <Said>{line.said}</Said>
                </span>
                {(line.person_id !== null || apart.includes(line.line)) && (
                  <Checkbox
                    label={`Somebody else of the name ${line.fields.name}`}
                    checked={apart.includes(line.line)}
                    onChange={(event) => onApart(line.line, event.currentTarget.checked)}
                  />
                )}
              </>
            ) : (
              line.problems.map((problem) => (
                <div key={problem.message}>
                  <Mark kind="stop" label /> <Said>{problem.sentence}</Said>
                </div>
              ))
            )}
          </li>
        ))}
      </ol>
      {roster.lines.length > SHOWN && <p className="quiet">and {roster.lines.length - SHOWN} more lines</p>}
    </>
  );
}

/** The blade that newcomers are cleared for: the instructor's decision, for all at once. */
function Clearance({ value, onChange }: { value: number | undefined; onChange: (length: number) => void }) {
  const [unit] = useUnit();
  const catalogue = useCatalogue();
  const rungs = catalogue.data?.clearances ?? [];
  return (
    <Select
      aria-label="Newcomers are cleared to"
      allowDeselect={false}
      w={230}
      data={rungs.map((length) => ({
        value: String(length),
        label: `Newcomers: to ${withUnit(length, unit)}`,
      }))}
      value={String(value ?? rungs[0] ?? '')}
      onChange={(length) => onChange(Number(length))}
    />
  );
}
