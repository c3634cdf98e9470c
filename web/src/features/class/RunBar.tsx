import { Button } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import type { Api } from '../../api/client';
import { useRun } from '../../api/queries';
import { Mark } from '../../shared/mark';
import { Trouble } from '../../shared/State';
import styles from './Run.module.css';
import { useRunStep, useUndoRunStep } from './changes';
import { useServerNow } from '../../shared/useServerNow';

/** What is said in place of the part while none runs. */
const HEADS: Partial<Record<Api['RunState'], string>> = {
  not_begun: 'Not begun yet',
  unused: 'Its clock was not used',
  over: 'The lesson is over',
};

/** Minutes that one touch gives the part that runs. */
const MORE = 2;

/**
 * The clock of the lesson. The instructor looks at it standing, for a second, when a part is nearly over: go on now,
 * give it two minutes more, or make up for what was lost.
 */
export function RunBar({ lessonId }: { lessonId: number }) {
  const run = useRun(lessonId);
  const step = useRunStep(lessonId);
  const undo = useUndoRunStep(lessonId);
  if (!run.data) return run.isError ? <Trouble error={run.error} /> : null;
  const { state, part, next, last } = run.data;
  const running = part == null ? undefined : run.data.parts[part];
  const after = next == null ? undefined : run.data.parts[next];
  const busy = step.isPending || undo.isPending;
  const take = (body: Api['RunStep']) => step.mutate(body);
  return (
    <section className={styles.run} aria-label="Clock of the lesson">
      <div className={styles.now}>
        <div className={styles.part}>
          {running ? (
            <>
              <strong>{running.name}</strong>
              <Left run={run.data} />
            </>
          ) : (
            <strong>{HEADS[state]}</strong>
          )}
          <span className="quiet">{after && `then ${after.name}, ${after.minutes} min`}</span>
        </div>
        <div className={styles.deeds}>
          {(state === 'not_begun' || state === 'unused') && (
            <Button
              h={46}
              variant={run.data.about_time ? 'filled' : 'default'}
              loading={busy}
              onClick={() => take({ step: 'begin' })}
            >
              Begin the lesson
            </Button>
          )}
          {part != null && (
            <>
              <Button
                variant="default"
                h={46}
                disabled={busy}
                onClick={() => take({ step: state === 'resting' ? 'go_on' : 'pause' })}
              >
                {state === 'resting' ? 'Clock goes on' : 'Stop clock'}
              </Button>
              <Button
                variant="default"
                h={46}
                disabled={busy}
                onClick={() => take({ step: 'longer', part, minutes: MORE })}
              >
                +{MORE} min
              </Button>
              <Button h={46} loading={busy} onClick={() => take({ step: 'next', part })}>
                {after ? `On to ${after.short}` : 'End the lesson'}
              </Button>
            </>
          )}
        </div>
      </div>
      <Parts run={run.data} />
      <Ways run={run.data} busy={busy} onTake={(parts) => take({ step: 'rest', parts })}>
        <span className="row" role="status">
          {run.data.behind > 0 && state !== 'over' && <Mark kind="caution" label />} {run.data.words}
        </span>
        {last && (
          <Button h={44} px={10} variant="subtle" disabled={busy} onClick={() => undo.mutate(last.id)}>
            Undo: {last.words}
          </Button>
        )}
      </Ways>
      <Trouble error={step.error ?? undo.error} />
    </section>
  );
}

/** What the part that runs has left, counted down between two readings. */
function Left({ run }: { run: Api['RunView'] }) {
  const now = useServerNow(run.state === 'running');
  const passed = run.state === 'running' ? Math.floor((now - Date.parse(run.now)) / 1000) : 0;
  const left = (run.left_seconds ?? 0) - Math.max(0, passed);
  const [minutes, seconds] = [Math.floor(Math.abs(left) / 60), Math.abs(left) % 60];
  return (
    <span className={styles.left} data-over={left < 0} role="timer" aria-label="Time left">
      {left < 0 && '+'}
      {minutes}:{String(seconds).padStart(2, '0')}
      <small>{run.state === 'resting' ? ' clock stopped' : left < 0 ? ' over' : ' left'}</small>
    </span>
  );
}

/** All parts in their width; what is over, what runs, what comes. */
function Parts({ run }: { run: Api['RunView'] }) {
  const shown = run.parts.filter((part) => part.state !== 'left_out');
  return (
    <ol className={styles.parts} aria-label="Parts of the lesson">
      {shown.map((part, index) => (
        <li
          key={`${index} ${part.name}`}
          data-state={part.state}
          aria-current={part.state === 'now' ? 'step' : undefined}
          style={{ flexGrow: Math.max(1, part.minutes) }}
          title={`${part.name}, ${part.minutes} min${part.minutes === part.planned ? '' : `, ${part.planned} planned`}`}
        >
          <span>{part.short}</span>
        </li>
      ))}
    </ol>
  );
}

/** How it stands, with the gentlest way to end in time beside it; the others on request. */
function Ways({
  run,
  busy,
  onTake,
  children,
}: {
  run: Api['RunView'];
  busy: boolean;
  onTake: (parts: Api['PartMinutes'][]) => void;
  children: React.ReactNode;
}) {
  const [open, { toggle }] = useDisclosure();
  const [first, ...others] = run.ways;
  return (
    <>
      <div className={styles.stands}>
        {children}
        {first && !open && (
          <Button
            variant="default"
            h={44}
            disabled={busy}
            title={first.reason}
            onClick={() => onTake(first.parts)}
          >
            {first.words}
          </Button>
        )}
        {others.length > 0 && (
          <Button h={44} px={10} variant="subtle" aria-expanded={open} onClick={toggle}>
            {open ? 'Only the gentlest' : `${others.length} other ways`}
          </Button>
        )}
      </div>
      {open && first && (
        <ul className={styles.ways} aria-label="How to end in time">
          {run.ways.map((way) => (
            <li key={way.words}>
              <span>
                {way.words} <span className="quiet">{way.reason}</span>
              </span>
              <Button variant="default" h={44} disabled={busy} onClick={() => onTake(way.parts)}>
                Do it
              </Button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
