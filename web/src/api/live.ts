import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { inSchool } from '../shared/school';
import { readOthers } from './changes';
import type { Api } from './client';
import { isOurs, wake } from './touches/queue';

/** Changes that come so soon after another are read together. */
const TOGETHER_MS = 60;

/** How long is waited before it is listened again, where the browser does not do so by itself. */
const AGAIN_MS = 3_000;

/** Reads again what other devices change, while the page is looked at. */
export function useLive() {
  const client = useQueryClient();
  useEffect(() => {
    let source: EventSource | undefined;
    let again: ReturnType<typeof setTimeout> | undefined;
    let together: ReturnType<typeof setTimeout> | undefined;
    let changed = new Set<Api['LiveChange']['subject']>();
    // One reading goes on at a time: on a slow machine they would pile up.
    const read = async () => {
      while (changed.size > 0) {
        const subjects = [...changed];
        changed = new Set();
        await Promise.all(subjects.map((subject) => readOthers(client, subject).catch(() => undefined)));
      }
      together = undefined;
    };
    const listen = () => {
      clearTimeout(again);
      source?.close();
      source = undefined;
      if (document.visibilityState === 'hidden') return;
      source = new EventSource(inSchool('/api/live'));
      source.onmessage = (event: MessageEvent<string>) => {
        const change = JSON.parse(event.data) as Api['LiveChange'];
        if (change.touch && isOurs(change.touch)) return;
        // The program answers again, and what was read meanwhile may be old.
        if (!change.subject) wake();
        changed.add(change.subject);
        together ??= setTimeout(() => void read(), TOGETHER_MS);
      };
      source.onerror = () => {
        if (source?.readyState !== EventSource.CLOSED) return;
        again = setTimeout(listen, AGAIN_MS);
      };
    };
    listen();
    document.addEventListener('visibilitychange', listen);
    return () => {
      document.removeEventListener('visibilitychange', listen);
      clearTimeout(again);
      clearTimeout(together);
      source?.close();
    };
  }, [client]);
}
