import { useInterval } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import { bySchool } from '../api/clock';

/**
 * The school's present moment in milliseconds, ticking each second while `ticking`: attempts are
 * timed by the school's clock, which in the demo is not the browser's.
 */
export function useServerNow(ticking: boolean): number {
  const [now, setNow] = useState(() => bySchool(Date.now()));
  const { start, stop } = useInterval(() => setNow(bySchool(Date.now())), 1000);
  useEffect(() => {
    if (ticking) start();
    return stop;
  }, [ticking, start, stop]);
  return now;
}
