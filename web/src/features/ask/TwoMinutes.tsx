import { useElementSize, useInterval } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import { Wood } from '../../shared/rule';

/** The time that is left, as a rule that shortens; nothing ends when it is over. */
export function TwoMinutes({ seconds, begun }: { seconds: number; begun: number }) {
  const { ref, width } = useElementSize();
  const [passed, setPassed] = useState(0);
  const { start, stop } = useInterval(() => setPassed((performance.now() - begun) / 1000), 1000);
  useEffect(() => {
    start();
    return stop;
  }, [start, stop]);
  const left = Math.max(0, Math.round(seconds - passed));
  const long = width || 600;
  const px = (at: number) => (at / seconds) * long;
  return (
    <div ref={ref} role="timer" aria-label="Time left">
      <svg width="100%" height={30} viewBox={`0 0 ${long} 30`} aria-hidden>
        {left > 1 && (
          <Wood from={0} to={left} width={Math.max(1, px(left))} height={30} x={px} fine={false} figures />
        )}
      </svg>
      <span className="quiet">{left > 0 ? `${left} seconds` : 'Two minutes are over'}</span>
    </div>
  );
}
