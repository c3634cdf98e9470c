import { Button } from '@mantine/core';
import type { Api } from '../../api/client';
import { touch } from '../../api/touches/queue';
import styles from './Class.module.css';

/** Starts and stops everybody with one touch: the next round of the rotation, or all at the exercise that is shown. */
export function RoundBar({ view }: { view: Api['ClassView'] }) {
  const { number, starts, waits } = view.round;
  const round = number ? `Round ${number}` : 'Everybody';
  const running = view.stations.filter((station) => station.running).map((station) => station.student.id);
  const waiting = view.stations.filter((station) => waits.includes(station.student.id));
  const start = () => touch(view.lesson.id, { kind: 'start', body: { starts } }, `${round}: start`);
  const stop = () =>
    touch(view.lesson.id, { kind: 'stop', body: { student_ids: running } }, 'Everybody: stop');
  return (
    <div className={`spread ${styles.round}`} role="group" aria-label="The round">
      <p>
        <strong>{number ? round : 'All together'}</strong>
        <span className="quiet">
          {running.length > 0 && ` · ${running.length} at work`}
          {starts.length > 0 && ` · ${starts.length} next`}
          {waiting.length > 0 &&
            ` · no knife, board or watcher yet for ${waiting.map((station) => station.student.name).join(', ')}`}
        </span>
      </p>
      <div className="row">
        {starts.length > 0 && (
          <Button h={46} variant={running.length > 0 ? 'default' : 'filled'} onClick={start}>
            {number ? `Start round ${number}` : 'Start all'}: {starts.length}
          </Button>
        )}
        {running.length > 0 && (
          <Button h={46} onClick={stop}>
            Stop all: {running.length}
          </Button>
        )}
      </div>
    </div>
  );
}
