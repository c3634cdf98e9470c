import { Button, Select } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { keys, useAbout, useCatalogue } from '../../api/queries';
import { Disclaimer, Dock } from '../../shared/dock';
import { clock, useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import type { MarkKind } from '../../shared/mark';
import { Trouble } from '../../shared/State';
import { Said } from '../../shared/Said';
import { useMark, useStart, useStop } from './changes';
import styles from './Class.module.css';
import { Running } from './Running';
import { useServerNow } from './useServerNow';

interface Props {
  view: Api['ClassView'];
  station: Api['Station'];
  exercise: Api['ClassExercise'];
  onNext: () => void;
}

/** One student at work: start, stop, ticks and faults, each with its cue. */
export function AttemptDock({ view, station, exercise, onNext }: Props) {
  const { student, running } = station;
  const [unit] = useUnit();
  const about = useAbout();
  const now = useServerNow(about.data?.now, Boolean(running));
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
  const start = useStart();
  const stop = useStop();
  const toggle = () => {
    if (running) stop.mutate(running.id);
    else if (knife)
      start.mutate({ student_id: student.id, exercise_id: exercise.id, knife_id: Number(knife) });
  };
  useHotkeys([['s', toggle]]);
  const latest = running ?? station.attempts.at(-1);
  const handed = view.knives.find((k) => k.id === latest?.knife_id);
  return (
    <Dock label={`Station ${student.station}, ${student.name}`} wide>
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
      {running ? (
        <div className="spread" style={{ alignItems: 'center' }}>
          <span className={styles.clock} role="timer" aria-label="Time of the attempt">
            <Running since={running.started_at} now={now} />
          </span>
          <Button size="md" h={48} onClick={toggle} loading={stop.isPending} rightSection={<kbd>s</kbd>}>
            Stop the attempt
          </Button>
        </div>
      ) : (
        <Begin
          knives={ordered}
          knife={knife}
          again={station.attempts.length > 0}
          pending={start.isPending}
          onKnife={setChosen}
          onStart={toggle}
        />
      )}
      <Trouble error={start.error ?? stop.error} />
      {latest ? (
        <Marks key={latest.id} attempt={latest} lessonId={view.lesson.id} />
      ) : (
        <p className="quiet">Ticks and faults open with the first attempt.</p>
      )}
      <Disclaimer>
        {view.first_aid} {view.disclaimer}
      </Disclaimer>
    </Dock>
  );
}

interface BeginProps {
  knives: Api['ClassKnife'][];
  knife: string | null;
  again: boolean;
  pending: boolean;
  onKnife: (knife: string | null) => void;
  onStart: () => void;
}

/** Which knife the student takes, and the start. */
function Begin({ knives, knife, again, pending, onKnife, onStart }: BeginProps) {
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
      <Button
        size="md"
        h={48}
        onClick={onStart}
        disabled={!knife}
        loading={pending}
        rightSection={<kbd>s</kbd>}
      >
        {again ? 'Start another attempt' : 'Start the attempt'}
      </Button>
    </div>
  );
}

const shapeOf: Record<Api['FaultSeverity'], MarkKind> = { stop: 'stop', hold: 'caution', polish: 'todo' };
const headOf: Record<Api['FaultSeverity'], string> = { stop: 'Stop', hold: 'Hold', polish: 'Polish' };

function Marks({ attempt, lessonId }: { attempt: Api['Attempt']; lessonId: number }) {
  const catalogue = useCatalogue();
  const client = useQueryClient();
  const [marks, setMarks] = useState(attempt.marks);
  const [cue, setCue] = useState<string>();
  const save = useMark(attempt);
  const put = (next: Api['AttemptMarks']) => {
    setMarks(next);
    save.mutate(next, {
      onError: () => {
        client.removeQueries({ queryKey: keys.attemptVersion(attempt.id) });
        void client.invalidateQueries({ queryKey: keys.class(lessonId) });
        setMarks(attempt.marks);
      },
    });
  };
  const toggle = (fault: Api['Fault']) => {
    const on = !marks.faults.includes(fault.id);
    setCue(on ? fault.cue : undefined);
    put({
      ...marks,
      faults: on ? [...marks.faults, fault.id] : marks.faults.filter((id) => id !== fault.id),
    });
  };
  const faults = catalogue.data?.faults ?? [];
  return (
    <section className="stack" aria-label="Marks of this attempt">
      {attempt.seconds !== null && attempt.seconds !== undefined && (
        <p className="quiet">
          Last attempt <span className="mono">{clock(attempt.seconds)}</span>
          {attempt.reference_seconds ? (
            <>
              {' '}
              · reference <span className="mono">{clock(attempt.reference_seconds)}</span>
            </>
          ) : null}
        </p>
      )}
      {cue && (
        <p className={styles.cue} role="status">
          “{cue}”
        </p>
      )}
      <div className={styles.faults}>
        <Sound
          name="Grip sound"
          ticked={marks.grip_ticked}
          onTick={() => put({ ...marks, grip_ticked: !marks.grip_ticked })}
        />
        <Sound
          name="Hold sound"
          ticked={marks.hold_ticked}
          onTick={() => put({ ...marks, hold_ticked: !marks.hold_ticked })}
        />
      </div>
      {(['stop', 'hold', 'polish'] as const).map((severity) => (
        <div key={severity}>
          <h3 style={{ marginBottom: 6 }}>{headOf[severity]}</h3>
          <div className={styles.faults}>
            {faults
              .filter((fault) => fault.severity === severity)
              .map((fault) => (
                <button
                  key={fault.id}
                  type="button"
                  className={styles.fault}
                  data-severity={severity}
                  aria-pressed={marks.faults.includes(fault.id)}
                  title={fault.name}
                  onClick={() => toggle(fault)}
                >
                  <Mark kind={shapeOf[severity]} /> {fault.short}
                </button>
              ))}
          </div>
        </div>
      ))}
      <Trouble error={save.error} />
    </section>
  );
}

/** A tick for what was sound. */
function Sound({ name, ticked, onTick }: { name: string; ticked: boolean; onTick: () => void }) {
  return (
    <button
      type="button"
      className={styles.fault}
      data-severity="sound"
      aria-pressed={ticked}
      onClick={onTick}
    >
      <Mark kind={ticked ? 'held' : 'todo'} /> {name}
    </button>
  );
}
