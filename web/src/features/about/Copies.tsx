import { Button, NumberInput, Table } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useCopies } from '../../api/queries';
import type { Moment } from '../../api/time';
import { civil, day, hour } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useKeepCopies, useMakeCopy } from './changes';
import styles from './About.module.css';

/** How the copies of the school stand, one more now, and how many are kept. */
export function Copies({ zone }: { zone: string }) {
  const copies = useCopies();
  const make = useMakeCopy();
  if (!copies.data)
    return copies.isError ? <Failed error={copies.error} again={() => void copies.refetch()} /> : <Loading />;
  const { state, copies: all, keep } = copies.data;
  return (
    <section className={styles.copies} aria-label="Copies of the school">
      <h2>Copies of the school</h2>
      <p role="status">
        <Mark kind={state.caution ? 'caution' : all.length > 0 ? 'held' : 'note'} label={state.caution} />{' '}
        <Said>{state.words}</Said>
      </p>
      <p className="quiet">
        The program makes one each day while it runs, and one before a newer program changes the file. They
        lie in the folder <code>copies</code> beside the school: take one to another disk now and then.
      </p>
      <div className="row">
        <Button loading={make.isPending} onClick={() => make.mutate(undefined)}>
          Make a copy now
        </Button>
      </div>
      <Trouble error={make.error} />
      {all.length > 0 && <List copies={all} zone={zone} />}
      <Keep key={JSON.stringify(keep)} keep={keep} />
      <p className="quiet">
        To go back to one, stop the program and type{' '}
        <code>yard-notch restore FOLDER/copies/FILE --data FOLDER</code>: it is looked over first, says what
        changes, and what was there is kept aside.
      </p>
    </section>
  );
}

function made(at: string, zone: string): string {
  const there = civil(at as Moment, zone);
  return `${day(there)} ${there.slice(0, 4)}, ${hour(there)}`;
}

function List({ copies, zone }: { copies: Api['KeptCopy'][]; zone: string }) {
  return (
    <Table withTableBorder verticalSpacing={4} className={styles.list}>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>Made</Table.Th>
          <Table.Th>File</Table.Th>
          <Table.Th style={{ textAlign: 'right' }}>Size</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {copies.map((copy) => (
          <Table.Tr key={copy.name}>
            <Table.Td>
              {made(copy.at, zone)}
              {copy.before_change && (
                <span className="quiet"> · before a newer program changed the file</span>
              )}
            </Table.Td>
            <Table.Td>
              <code>{copy.name}</code>
            </Table.Td>
            <Table.Td style={{ textAlign: 'right' }}>{Math.ceil(copy.bytes / 1024)} kB</Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}

const FIELDS = [
  { key: 'daily', label: 'Days', least: 1, most: 60 },
  { key: 'weekly', label: 'Weeks', least: 0, most: 60 },
  { key: 'monthly', label: 'Months', least: 0, most: 120 },
] as const;

/** How many copies are kept: the newest of each day, week and month. */
function Keep({ keep }: { keep: Api['KeepCopies'] }) {
  const [fields, setFields] = useState(keep);
  const change = useKeepCopies();
  const changed = FIELDS.some(({ key }) => fields[key] !== keep[key]);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate(fields);
      }}
    >
      <fieldset className={styles.keep}>
        <legend>Kept: the newest copy of each of the latest</legend>
        {FIELDS.map(({ key, label, least, most }) => (
          <NumberInput
            key={key}
            label={label}
            size="xs"
            w={90}
            min={least}
            max={most}
            allowDecimal={false}
            clampBehavior="none"
            value={fields[key]}
            onChange={(value) => setFields({ ...fields, [key]: Math.round(Number(value) || 0) })}
          />
        ))}
        <Button type="submit" variant="default" size="xs" disabled={!changed} loading={change.isPending}>
          Keep so many
        </Button>
      </fieldset>
      <Trouble error={change.error} />
    </form>
  );
}
