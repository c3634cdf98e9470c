import { Button, Select } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { Api } from '../../api/client';
import { useAbout, useCatalogue } from '../../api/queries';
import { touch } from '../../api/touches/queue';
import { Disclaimer, Dock } from '../../shared/dock';
import { clock, counted, useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { BeatButton } from './BeatButton';
import styles from './Class.module.css';
import { Marks } from './Marks';
import { Running } from './Running';
import { useServerNow } from '../../shared/useServerNow';

interface Props {
  view: Api['ClassView'];
  station: Api['Station'];
  exercise: Api['ClassExercise'];
  onNext: () => void;
  /** What was touched, where the dock lies over the rest. */
  sent: ReactNode;
}

/** One student at work: start, stop, ticks and faults, each with its cue. */
export function AttemptDock({ view, station, exercise, onNext, sent }: Props) {
  const { student, running } = station;
  const [unit] = useUnit();
  const now = useServerNow(Boolean(running));
  const free = view.knives.filter(
    (k) => station.knives.includes(k.id) && (k.in_use_by ?? student.id) === student.id,
  );
  const ordered = station.knives.map((id) => free.find((k) => k.id === id)).filter((k) => k !== undefined);
  const [chosen, setChosen] = useState<string | null>(null);
  const knife =
    chosen && ordered.some((k) => String(k.id) === chosen)
      ? chosen
      : ordered[0]
        ? String(ordered[0].id)
        : null;
  const toggle = () => {
    if (running)
      touch(view.lesson.id, { kind: 'stop', body: { student_ids: [student.id] } }, `${student.name}: stop`);
    else if (knife && !station.stop && !station.briefing_due) {
      const start = { student_id: student.id, exercise_id: exercise.id, knife_id: Number(knife) };
      touch(view.lesson.id, { kind: 'start', body: { starts: [start] } }, `${student.name}: start`);
    }
  };
  useHotkeys([['s', toggle]]);
  const latest = running ?? station.attempts.at(-1);
  const handed = view.knives.find((k) => k.id === latest?.knife_id);
  // On a phone the marks come first: they are within reach of the thumb.
  const extras = (
    <>
      <Expected exercise={exercise} />
      <BeatButton key={station.beat.per_minute} beat={station.beat} dry={!running} />
    </>
  );
  return (
    <Dock label={`Station ${student.station}, ${student.name}`} wide near>
      <div className="spread">
        <div>
          <h2>
            {student.station} · {student.name}
          </h2>
          <p className="quiet">
            {running && handed
              ? handed.name
              : `${student.hand} hand, cleared to ${withUnit(student.clearance, unit)}`}
          </p>
        </div>
        <Button variant="default" onClick={onNext} rightSection={<kbd>]</kbd>}>
          Next
        </Button>
      </div>
      {station.watch.map((reason) => (
        <p key={reason.kind} className="row">
          <Mark kind="watch" size={18} label /> <Said>{reason.words}</Said>
        </p>
      ))}
      {station.stop && <Paused view={view} station={station} stop={station.stop} />}
      {running ? (
        <div className="spread" style={{ alignItems: 'center' }}>
          <span className={styles.clock} role="timer" aria-label="Time of the attempt">
            <Running since={running.started_at} now={now} />
          </span>
          <Button size="md" h={48} onClick={toggle} rightSection={<kbd>s</kbd>}>
            Stop the attempt
          </Button>
        </div>
      ) : (
        <Begin
          knives={ordered}
          knife={knife}
          again={station.attempts.length > 0}
          paused={Boolean(station.stop) || station.briefing_due}
          onKnife={setChosen}
          onStart={toggle}
        />
      )}
      {station.briefing_due && (
        <p className="row" style={{ flexWrap: 'nowrap' }}>
          <Mark kind="stop" label /> No knife before a passed briefing: this course asks for two minutes of
          Ask me first.
        </p>
      )}
      {!sent && extras}
      {sent}
      {latest ? (
        <Marks attempt={latest} lessonId={view.lesson.id} student={student} />
      ) : (
        <p className="quiet">Ticks and faults open with the first attempt.</p>
      )}
      {sent && extras}
      <Disclaimer>
        {view.first_aid} {view.disclaimer}
      </Disclaimer>
    </Dock>
  );
}

/** What the geometry has the student make of the set amount. */
function Expected({ exercise }: { exercise: Api['ClassExercise'] }) {
  if (!exercise.pieces_each) return null;
  return (
    <p className="quiet">
      The share gives about {counted(exercise.pieces_each)} pieces
      {exercise.strokes_each ? ` in ${counted(exercise.strokes_each)} strokes` : ''}
      {exercise.reference_seconds ? `, ${clock(exercise.reference_seconds)} at the reference pace` : ''}.
    </p>
  );
}

interface BeginProps {
  knives: Api['ClassKnife'][];
  knife: string | null;
  again: boolean;
  paused: boolean;
  onKnife: (knife: string | null) => void;
  onStart: () => void;
}

/** Which knife the student takes, and the start. */
function Begin({ knives, knife, again, paused, onKnife, onStart }: BeginProps) {
  return (
    <div className="tight">
      <Select
        label="Knife in hand"
        data={knives.map((k) => ({ value: String(k.id), label: k.name }))}
        value={knife}
        onChange={onKnife}
        allowDeselect={false}
        error={
          knives.length === 0
            ? 'No knife on the rack that fits, is sharp, free and within this student’s clearance.'
            : undefined
        }
      />
      <Button size="md" h={48} onClick={onStart} disabled={!knife || paused} rightSection={<kbd>s</kbd>}>
        {again ? 'Start another attempt' : 'Start the attempt'}
      </Button>
    </div>
  );
}

/** After a Stop fault the student waits until an instructor has looked at it with them. */
function Paused({
  view,
  station,
  stop,
}: {
  view: Api['ClassView'];
  station: Api['Station'];
  stop: Api['Mark'];
}) {
  const catalogue = useCatalogue();
  const role = useAbout().data?.who?.role;
  const seen = stop.what.kind === 'fault' ? stop.what.fault : undefined;
  const fault = catalogue.data?.faults.find((each) => each.id === seen);
  const { student } = station;
  const clear = () =>
    touch(
      view.lesson.id,
      { kind: 'mark', body: { student_id: student.id, what: { kind: 'cleared' } } },
      `${student.name}: cleared`,
    );
  return (
    <section className={styles.paused} aria-label="Paused">
      <p className="row">
        <Mark kind="stop" label /> <strong>Paused: {fault?.short ?? 'a Stop fault'}</strong>
      </p>
      {role === 'assistant' ? (
        <p>Knife down, hands off the board. An instructor looks at it with {student.name} and clears it.</p>
      ) : (
        <>
          <p>Knife down, hands off the board. Look at it together; then clear it.</p>
          <Button h={46} onClick={clear}>
            Looked at together: go on
          </Button>
        </>
      )}
    </section>
  );
}
