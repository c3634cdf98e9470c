import { useState } from 'react';
import type { Api } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import { touch } from '../../api/touches/queue';
import { clock } from '../../shared/format';
import { Mark } from '../../shared/mark';
import type { MarkKind } from '../../shared/mark';
import styles from './Class.module.css';
import { Made } from './Made';

const shapeOf: Record<Api['FaultSeverity'], MarkKind> = { stop: 'stop', hold: 'caution', polish: 'todo' };
const headOf: Record<Api['FaultSeverity'], string> = { stop: 'Stop', hold: 'Hold', polish: 'Polish' };

interface Props {
  attempt: Api['Attempt'];
  lessonId: number;
  student: Api['Student'];
}

/** What is seen of a student at work, one touch each. A fault shows its cue at once, to say aloud. */
export function Marks({ attempt, lessonId, student }: Props) {
  const catalogue = useCatalogue();
  const [cue, setCue] = useState<string>();
  const made = (attempt.made ?? []).filter((mark) => !mark.taken_back);
  const times = (what: Api['MarkKind']) => made.filter((mark) => sameMark(mark.what, what)).length;
  const put = (what: Api['MarkKind'], words: string) =>
    touch(lessonId, { kind: 'mark', body: { student_id: student.id, what } }, `${student.name}: ${words}`);
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
      <div className={styles.good}>
        {GOOD.map(({ kind, name, done }) => {
          const seen = times({ kind });
          return (
            <button
              key={kind}
              type="button"
              className={styles.fault}
              data-severity="sound"
              aria-pressed={seen > 0}
              onClick={() => (kind === 'praise' || seen === 0) && put({ kind }, done)}
            >
              <Mark kind={seen > 0 ? 'held' : 'todo'} /> {name} {seen > 1 && <Times seen={seen} />}
            </button>
          );
        })}
      </div>
      {(['stop', 'hold', 'polish'] as const).map((severity) => (
        <div key={severity}>
          <h3 style={{ marginBottom: 6 }}>{headOf[severity]}</h3>
          <div className={styles.faults}>
            {faults
              .filter((fault) => fault.severity === severity)
              .map((fault) => {
                const seen = times({ kind: 'fault', fault: fault.id });
                return (
                  <button
                    key={fault.id}
                    type="button"
                    className={styles.fault}
                    data-severity={severity}
                    aria-pressed={seen > 0}
                    title={fault.name}
                    onClick={() => {
                      setCue(fault.cue);
                      put({ kind: 'fault', fault: fault.id }, fault.short);
                    }}
                  >
                    <Mark kind={shapeOf[severity]} /> {fault.short} {seen > 1 && <Times seen={seen} />}
                  </button>
                );
              })}
          </div>
        </div>
      ))}
      <Made attempt={attempt} student={student} faults={faults} />
    </section>
  );
}

/** What can be seen good; a grip or a hold is good once, praise is given as often as it is earned. */
const GOOD = [
  { kind: 'grip', name: 'Grip sound', done: 'grip sound' },
  { kind: 'hold', name: 'Hold sound', done: 'hold sound' },
  { kind: 'praise', name: 'Praise', done: 'praise' },
] as const;

const Times = ({ seen }: { seen: number }) => (
  <span className="mono" aria-label={`seen ${seen} times`}>
    ×{seen}
  </span>
);

const sameMark = (one: Api['MarkKind'], other: Api['MarkKind']) =>
  one.kind === other.kind && (one.kind !== 'fault' || (other.kind === 'fault' && one.fault === other.fault));
