import { useElementSize } from '@mantine/hooks';
import type { Api } from '../../api/client';
import { Wood } from '../../shared/rule';
import { useServerNow } from '../../shared/useServerNow';
import styles from './Wall.module.css';

/** The minutes of the part that runs, as a rule that shortens. */
export function MinutesLeft({ run }: { run: Api['RunView'] }) {
  const { ref, width } = useElementSize();
  const now = useServerNow(run.state === 'running');
  const part = run.part == null ? undefined : run.parts[run.part];
  const after = run.next == null ? undefined : run.parts[run.next];
  if (!part)
    return <p className={styles.part}>{run.state === 'over' ? 'The lesson is over' : 'Not begun yet'}</p>;
  const passed = run.state === 'running' ? Math.max(0, (now - Date.parse(run.now)) / 60_000) : 0;
  const left = Math.max(0, (run.left_seconds ?? 0) / 60 - passed);
  const whole = Math.max(part.minutes, left, 1);
  const long = width || 800;
  const px = (at: number) => (at / whole) * long;
  return (
    <div ref={ref}>
      <svg width="100%" height={46} viewBox={`0 0 ${long} 46`} aria-hidden>
        {left > 0.05 && (
          <Wood from={0} to={left} width={Math.max(1, px(left))} height={46} x={px} fine={false} />
        )}
      </svg>
      <p className={styles.part} role="timer" aria-label="Time left">
        <strong>{part.name}</strong>
        <span className="mono">{Math.ceil(left)} min</span>
        {run.state === 'resting' && <span>the clock rests</span>}
        {after && <span className="quiet">then {after.name}</span>}
      </p>
    </div>
  );
}
