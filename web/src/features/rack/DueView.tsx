import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { useRack } from '../../api/queries';
import { Dock, Reason } from '../../shared/dock';
import type { MarkKind } from '../../shared/mark';
import { Mark } from '../../shared/mark';
import { capital } from '../../shared/format';
import { Failed, Loading } from '../../shared/State';
import styles from './Rack.module.css';

const MARKS: Record<Api['DueKind'], MarkKind> = {
  failed: 'stop',
  stone_now: 'caution',
  stone_this_week: 'caution',
  send_out: 'caution',
  away: 'note',
  hone_today: 'todo',
  test_today: 'todo',
};

/** The due list: hone today, stone this week, replace or send out, each with its reason. */
export function DueView({ courseId, tabs }: { courseId: number; tabs: React.ReactNode }) {
  const rack = useRack(courseId);
  if (!rack.data)
    return rack.isError ? <Failed error={rack.error} again={() => void rack.refetch()} /> : <Loading />;
  const due = rack.data.due_lines;
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>What is due</h1>
            <p className="quiet">
              {due.length === 0
                ? 'Nothing: every edge is cared for'
                : `${rack.data.due} of ${rack.data.count} knives${rack.data.class_today ? ', with a class today' : ''}`}
            </p>
          </div>
          {tabs}
        </div>
        <ul className={styles.lines} aria-label="Due">
          {due.map((line) => (
            <li key={`${line.what} ${line.knives[0]?.id ?? 0}`} className="card">
              <div className={styles.line}>
                <Mark kind={MARKS[line.what]} size={20} label />
                <div>
                  <strong>
                    {capital(line.title)}: {line.label}
                  </strong>
                  <p className="quiet">{line.why}</p>
                </div>
                <div className={styles.numbers}>
                  {line.knives.map((knife) => (
                    <Link
                      key={knife.id}
                      className={styles.number}
                      to={`/courses/${courseId}/rack?knife=${knife.id}`}
                      aria-label={`No. ${knife.number}, ${line.label}`}
                    >
                      <span className="mono">{knife.number}</span>
                    </Link>
                  ))}
                </div>
              </div>
            </li>
          ))}
        </ul>
      </main>
      <Dock label="How it is reckoned">
        <h2>How it is reckoned</h2>
        <ul>
          <Reason kind="note" title="Wear">
            is the minutes in class since the knife was ground, more on firm food and hard boards, plus what
            bad habits cost.
          </Reason>
          <Reason kind="note" title="The steel">
            straightens an edge on the morning of each class; the stone sharpens it, about weekly in heavy
            use.
          </Reason>
          <Reason kind="note" title="Teeth">
            are neither steeled nor ground on a flat stone: replaced, or sent out.
          </Reason>
          <Reason kind="caution" title="Dull is the dangerous one:">
            it needs force and slips. A knife that fails its test is out of class until it passes.
          </Reason>
        </ul>
      </Dock>
    </>
  );
}
