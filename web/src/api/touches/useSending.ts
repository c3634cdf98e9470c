import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { readAgain } from '../changes';
import { useAbout } from '../queries';
import { beginSending, useTouches, wake } from './queue';

/** Sends what is touched on this device, as long as the page is open. */
export function useSending() {
  const client = useQueryClient();
  const name = useAbout().data?.who?.name ?? '';
  const who = useRef(name);
  useEffect(() => {
    who.current = name;
    wake();
  }, [name]);
  useEffect(
    () => beginSending({ read: () => readAgain(client, 'attempt'), who: () => who.current }),
    [client],
  );
  // Where the browser keeps nothing, closing the page would lose what is unsent: it asks first.
  const { unsent, keeps } = useTouches();
  const wouldLose = unsent.length > 0 && !keeps;
  useEffect(() => {
    if (!wouldLose) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [wouldLose]);
}
