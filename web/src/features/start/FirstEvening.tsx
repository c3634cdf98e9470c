import { Button, Checkbox, TextInput, Textarea } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import type { Day } from '../../api/time';
import { day } from '../../shared/format';
import { Knife } from '../../shared/drawing';
import { KnifeItems } from '../../shared/KnifeItems';
import { LengthInput } from '../../shared/LengthInput';
import { RosterLines, students } from '../../shared/RosterLines';
import { Trouble } from '../../shared/State';
import { useStart, useTyped } from './changes';
import styles from './Start.module.css';

type Setting = Pick<Api['Started'], 'school' | 'at' | 'names' | 'knives'> & {
  first: string;
  skip: string[];
  newcomers: number | null;
  unknown: boolean;
};

interface Part {
  setting: Setting;
  set: (change: Partial<Setting>) => void;
}

/** Names and knives of the first evening; what was understood stands beside them at once. */
export function FirstEvening({ kind, doors }: { kind: Api['Door']; doors: Api['Doors'] }) {
  const navigate = useNavigate();
  const [setting, change] = useState<Setting>({
    school: doors.school ?? 'Our school',
    first: doors.first,
    skip: [],
    newcomers: kind.newcomers,
    at: doors.at.slice(0, 5),
    names: '',
    knives: '',
    unknown: false,
  });
  const set = (next: Partial<Setting>) => change((now) => ({ ...now, ...next }));
  const { names, knives, unknown, skip } = setting;
  const first = setting.first === '' ? null : (setting.first as Day);
  const [typed] = useDebouncedValue({ kind: kind.id, first, skip, names, knives }, 120);
  const read = useTyped(typed);
  const roster = typed.names.trim() === '' ? undefined : read.data?.names;
  const list = typed.knives.trim() === '' || unknown ? undefined : read.data?.knives;
  const start = useStart(({ course_id, lesson_id }) =>
    navigate(`/courses/${course_id}/plan/${lesson_id}/paper`),
  );
  return (
    <form
      className="card stack"
      onSubmit={(event) => {
        event.preventDefault();
        const { school, at, newcomers } = setting;
        if (!first) return;
        const when = { first, at: `${at}:00`, skip, newcomers };
        start.mutate({
          kind: kind.id,
          school,
          ...when,
          names,
          skip_wrong: false,
          knives: unknown ? '' : knives,
        });
      }}
    >
      <h2>{kind.name}</h2>
      <When setting={setting} set={set} />
      {kind.sessions > 1 && <Days days={read.data?.days ?? []} setting={setting} set={set} />}
      <div className={styles.beside}>
        <Names setting={setting} set={set} />
        <div aria-live="polite">
          {roster ? (
            <RosterLines roster={roster} />
          ) : (
            <p className="quiet">What is understood of each line stands here. Names can come later too.</p>
          )}
        </div>
        <Knives setting={setting} set={set} counted={kind.knives} />
        <div aria-live="polite">
          {list ? (
            <KnifeItems list={list} />
          ) : (
            <p className="quiet">
              Without knives it is planned on one of each type, until the rack is known.
            </p>
          )}
        </div>
      </div>
      <div className="row" style={{ alignItems: 'flex-end' }}>
        <div style={{ width: 270 }}>
          <LengthInput
            label="Newcomers hold blades up to"
            value={setting.newcomers}
            onChange={(newcomers) => set({ newcomers })}
            error={start.error instanceof ApiProblem ? start.error.at('/newcomers') : undefined}
          />
        </div>
        <p className="quiet" style={{ flex: '1 1 300px' }}>
          From the first evening, watched: you hand them out and answer for it. It can be changed for each
          student on the course’s page.
        </p>
      </div>
      <div className="row">
        <Button
          type="submit"
          loading={start.isPending}
          disabled={(roster?.wrong ?? 0) > 0 || (list?.wrong ?? 0) > 0}
        >
          Draft the lessons{roster && roster.sound > 0 ? ` for ${students(roster.sound)}` : ''}
        </Button>
        <Trouble error={start.error} />
      </div>
    </form>
  );
}

function When({ setting, set }: Part) {
  return (
    <div className="row" style={{ alignItems: 'flex-end' }}>
      <TextInput
        label="School"
        required
        w={220}
        value={setting.school}
        onChange={(event) => set({ school: event.currentTarget.value })}
      />
      <TextInput
        label="First session"
        type="date"
        required
        w={160}
        value={setting.first}
        onChange={(event) => set({ first: event.currentTarget.value })}
      />
      <TextInput
        label="Begins at"
        type="time"
        required
        w={130}
        value={setting.at}
        onChange={(event) => set({ at: event.currentTarget.value })}
      />
    </div>
  );
}

/** The days as the rule has them; a day that is tapped has no session, and the rule goes on after the last. */
function Days({ days, setting, set }: Part & { days: string[] }) {
  const all = [...days, ...setting.skip].sort();
  if (days.length === 0) return null;
  return (
    <div className="tight" role="group" aria-label="Sessions">
      <span className="quiet">{days.length} sessions, a week apart. Tap a day on which there is none.</span>
      <div className="row" style={{ gap: 6 }}>
        {all.map((each) => {
          const skipped = setting.skip.includes(each);
          return (
            <button
              key={each}
              type="button"
              className={styles.day}
              aria-pressed={!skipped}
              onClick={() =>
                set({
                  skip: skipped ? setting.skip.filter((other) => other !== each) : [...setting.skip, each],
                })
              }
            >
              {day(each as Day)}
            </button>
          );
        })}
      </div>
    </div>
  );
}

function Names({ setting, set }: Part) {
  return (
    <Textarea
      label="Names"
      description="One a line, or pasted from a spreadsheet, with hand, hand size and allergies in any order"
      placeholder={'Maren Oake, left, small\nPell Quist (celery allergy)\nJuno Pike'}
      autosize
      minRows={5}
      maxRows={14}
      spellCheck={false}
      value={setting.names}
      onChange={(event) => set({ names: event.currentTarget.value })}
    />
  );
}

/** One more of a knife in a list by count. */
function oneMore(list: string, words: string): string {
  const items = list
    .split(',')
    .map((item) => item.trim())
    .filter(Boolean);
  const at = items.findIndex((item) => item.replace(/^\d+\s+/, '') === words);
  const count = Number(/^\d+/.exec(items[at] ?? '')?.[0] ?? 0) + 1;
  if (at === -1) items.push(`1 ${words}`);
  else items[at] = `${count} ${words}`;
  return items.join(', ');
}

/** Knives by count: said, or tapped. */
function Knives({ setting, set, counted }: Part & { counted: Api['CountedByTouch'][] }) {
  return (
    <div className="tight">
      <TextInput
        label="Knives"
        description="By count, typed or tapped; numbers are given by themselves"
        placeholder="6 chef's 200, 4 paring 90, 1 bread"
        disabled={setting.unknown}
        value={setting.knives}
        onChange={(event) => set({ knives: event.currentTarget.value })}
      />
      <div className={styles.knives} role="group" aria-label="One more of">
        {counted.map((knife) => (
          <button
            key={knife.words}
            type="button"
            className={styles.knife}
            disabled={setting.unknown}
            aria-label={`One more ${knife.words}`}
            onClick={() => set({ knives: oneMore(setting.knives, knife.words) })}
          >
            <Knife silhouette={knife.silhouette} scale={0.3} label="" />
            <span>{knife.words}</span>
          </button>
        ))}
      </div>
      <Checkbox
        label="I do not know my knives yet"
        checked={setting.unknown}
        onChange={(event) => set({ unknown: event.currentTarget.checked })}
      />
    </div>
  );
}
