import { useInterval } from '@mantine/hooks';
import { useEffect, useRef, useState } from 'react';

/**
 * The server's present moment in milliseconds, ticking each second while `ticking`: attempts are
 * timed by the server's clock, which in the demo is not the browser's.
 */
export function useServerNow(serverNow: string | undefined, ticking: boolean): number {
  const ahead = useRef(0);
  const [now, setNow] = useState(() => Date.now());
  const { start, stop } = useInterval(() => setNow(Date.now() + ahead.current), 1000);
  useEffect(() => {
    if (!serverNow) return;
    ahead.current = Date.parse(serverNow) - Date.now();
    setNow(Date.now() + ahead.current);
  }, [serverNow]);
  useEffect(() => {
    if (ticking) start();
    return stop;
  }, [ticking, start, stop]);
  return now;
}
