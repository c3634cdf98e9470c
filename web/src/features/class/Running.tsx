import type { Moment } from '../../api/time';

/** The clock of a running attempt. */
export function Running({ since, now }: { since: Moment; now: number }) {
  const seconds = Math.max(0, Math.floor((now - Date.parse(since)) / 1000));
  return (
    <span className="mono">
      {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}
    </span>
  );
}
