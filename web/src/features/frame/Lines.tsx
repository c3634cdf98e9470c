import { Button } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { onReachedAgain, useKeptAt } from '../../api/kept';
import { useAbout } from '../../api/queries';
import type { Moment } from '../../api/time';
import { nothingTyped, takeOver, useWorker } from '../../api/worker';
import { civil, day, hour } from '../../shared/format';
import { Mark } from '../../shared/mark';
import styles from './Frame.module.css';

/** So often the program is asked for while it does not answer. */
const AGAIN_MS = 5_000;

/** What must be known of the page itself: that what it shows is old, that a newer program waits. */
export function Lines({ zone }: { zone: string }) {
  const keptAt = useKeptAt();
  const { waiting, typed } = useWorker();
  const { pathname } = useLocation();
  useEffect(nothingTyped, [pathname]);
  const client = useQueryClient();
  const { refetch } = useAbout();
  useEffect(() => onReachedAgain(() => void client.invalidateQueries()), [client]);
  useEffect(() => {
    if (!keptAt) return;
    const timer = setInterval(() => void refetch(), AGAIN_MS);
    return () => clearInterval(timer);
  }, [keptAt, refetch]);
  const at = keptAt && civil(keptAt as Moment, zone);
  return (
    <>
      {at && (
        <p className={styles.line} data-kind="caution" role="status">
          <Mark kind="caution" />
          <span>
            No answer from the program: this is as of {hour(at)}, {day(at)}. Marks and attempts in Class are
            kept on this device and sent later; what you change elsewhere is not saved.
          </span>
        </p>
      )}
      {waiting && !at && (
        <p className={styles.line} data-kind="todo" role="status">
          <span>
            {typed
              ? 'A newer version of the program is here. It waits until what you typed is saved.'
              : 'A newer version of the program is here. It takes over when this page rests.'}
          </span>
          {!typed && (
            <Button size="xs" variant="default" onClick={takeOver}>
              Take over now
            </Button>
          )}
        </p>
      )}
    </>
  );
}
