import { Button, FileButton, Textarea } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useReadTable } from '../../api/queries';
import { Dock, Reason } from '../../shared/dock';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Trouble } from '../../shared/State';
import { useTakeTable } from './changes';
import styles from './Rack.module.css';
import { inSchool } from '../../shared/school';

/** The rack as a table: out for a spreadsheet, in with every wrong row told before anything is kept. */
export function TableView({ tabs }: { tabs: React.ReactNode }) {
  const [text, setText] = useState('');
  const [asked] = useDebouncedValue(text, 150);
  const read = useReadTable(asked);
  const take = useTakeTable(() => setText(''));
  const table = asked.trim() === '' ? undefined : read.data;
  const stale = asked !== text || read.isFetching;
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>The rack as a table</h1>
            <p className="quiet">Comma-separated, in and out</p>
          </div>
          {tabs}
        </div>
        <div className="row">
          <FileButton
            accept=".csv,text/csv,text/plain"
            onChange={(file) => void file?.text().then((read) => setText(read))}
          >
            {(props) => (
              <Button variant="default" {...props}>
                Choose a file…
              </Button>
            )}
          </FileButton>
          <Button variant="default" component="a" href={inSchool('/api/rack/table')} download="rack.csv">
            Save the rack as a file
          </Button>
        </div>
        <Textarea
          label="Or paste rows"
          description="number, type and length are needed; the other columns are optional"
          placeholder={'number,type,length\n41,chefs,200\n42,paring,90'}
          autosize
          minRows={5}
          maxRows={10}
          classNames={{ input: 'mono' }}
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
        />
        {read.error && asked.trim() !== '' && <Trouble error={read.error} />}
        {take.data && text === '' && (
          <p className="chip" data-kind="held" role="status">
            <Mark kind="held" /> {take.data.added} knives are on the rack
            {take.data.left > 0 && `; ${take.data.left} rows were left`}
          </p>
        )}
        {table && !read.error && (
          <>
            <div className="row">
              <strong role="status">
                {table.sound} sound, {table.wrong} wrong
              </strong>
              <Button
                disabled={table.sound === 0 || stale}
                loading={take.isPending}
                onClick={() => take.mutate({ text, skip_wrong: table.wrong > 0 })}
              >
                {table.wrong > 0 ? `Add the ${table.sound} sound ones` : `Add ${table.sound} knives`}
              </Button>
            </div>
            <Trouble error={take.error} />
            <Rows rows={table.rows} />
          </>
        )}
      </main>
      <Columns />
    </>
  );
}

/** Each row with what was read in it, or what is wrong with it. */
function Rows({ rows }: { rows: Api['KnifeRow'][] }) {
  return (
    <table className={styles.table} aria-label="Rows read">
      <thead>
        <tr>
          <th scope="col">Line</th>
          <th scope="col">Row</th>
          <th scope="col">What was read</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.line}>
            <td className="mono">{row.line}</td>
            <td className="mono">{row.text}</td>
            <td>
              {row.fields ? (
                <span className="row" style={{ flexWrap: 'nowrap' }}>
                  <Mark kind="held" /> No. {row.fields.number}, {row.label}
                </span>
              ) : (
                row.problems.map((problem) => (
                  <span key={problem.message} className="row" style={{ flexWrap: 'nowrap' }}>
                    <Mark kind="stop" label /> <Said>{problem.sentence}</Said>
                  </span>
                ))
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What the columns may hold. */
function Columns() {
  return (
    <Dock label="Columns">
      <h2>Columns</h2>
      <ul>
        <Reason kind="note" title="number">
          on the handle, unlike all others
        </Reason>
        <Reason kind="note" title="type">
          by id or name, e.g. chefs, paring, “bird’s-beak knife”
        </Reason>
        <Reason kind="note" title="length, heel_height">
          millimetres, or inches such as 8 in
        </Reason>
        <Reason kind="note" title="hand">
          right, left or either; only a single bevel has one
        </Reason>
        <Reason kind="note" title="edge">
          sharp or dull
        </Reason>
        <Reason kind="note" title="edge_angle, bolster, tang, hollowed, handle, cost, stored, name, note">
          as far as they are known
        </Reason>
      </ul>
      <p className="quiet">Nothing is kept before you have seen every row.</p>
    </Dock>
  );
}
