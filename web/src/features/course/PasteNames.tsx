import { Button, FileButton, Select, Textarea } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useCatalogue, useReadRoster } from '../../api/queries';
import { useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { RosterLines, students } from '../../shared/RosterLines';
import { Trouble } from '../../shared/State';
import { useTakeRoster } from './changes';
import styles from './Names.module.css';
import { textOf } from './textOf';

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
            <RosterLines
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

function Taken({ taken }: { taken: Api['RosterTaken'] }) {
  return (
    <span role="status" className="chip" data-kind="held">
      <Mark kind="held" /> {students(taken.added)} added
      {taken.left > 0 && `; ${taken.left === 1 ? 'one line is' : `${taken.left} lines are`} left to mend`}
    </span>
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
