import { Button } from '@mantine/core';
import type { Api } from '../../api/client';
import type { Moment } from '../../api/time';
import { civil, day, hour } from '../../shared/format';
import { Trouble } from '../../shared/State';
import { useEndSession } from './changes';
import styles from './Staff.module.css';

/** The browsers that are signed in, and the way to end one: a tablet that was left behind. */
export function Devices({ sessions, zone }: { sessions: Api['SignedIn'][]; zone: string }) {
  const end = useEndSession();
  const at = (moment: string) => {
    const there = civil(moment as Moment, zone);
    return `${day(there)}, ${hour(there)}`;
  };
  return (
    <section className={styles.section} aria-label="Signed-in devices">
      <h2>Signed-in devices</h2>
      <ul className={styles.people}>
        {sessions.map((session) => (
          <li key={session.id}>
            <span className={styles.name}>
              <strong>{session.name}</strong>
              <span className="quiet">
                {session.device} · since {at(session.begun_at)}
                {session.seen_at ? ` · last used ${at(session.seen_at)}` : ''}
              </span>
            </span>
            {session.this ? (
              <span>this device</span>
            ) : (
              <Button
                variant="default"
                onClick={() => end.mutate(session.id)}
                aria-label={`Sign out ${session.name}, ${session.device}`}
              >
                Sign out
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Trouble error={end.error} />
    </section>
  );
}
