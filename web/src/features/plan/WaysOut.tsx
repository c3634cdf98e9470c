import { Button } from '@mantine/core';
import type { Api } from '../../api/client';
import styles from './Plan.module.css';

/** Ways that are seen without opening the others. */
const SEEN = 3;

interface Props {
  rule: Api['TimeRule'];
  onTake: (way: Api['WayOut']) => void;
}

/** What to drop first when a lesson is too long, each with its reason. */
export function WaysOut({ rule, onTake }: Props) {
  const ways = rule.ways_out;
  if (ways.length === 0) return null;
  return (
    <section className="card" aria-label="What to drop first">
      <h2>What to drop first</h2>
      <Ways ways={ways.slice(0, SEEN)} onTake={onTake} />
      {ways.length > SEEN && (
        <details className={styles.making}>
          <summary>{ways.length - SEEN} more, which cost the class more</summary>
          <Ways ways={ways.slice(SEEN)} onTake={onTake} />
        </details>
      )}
    </section>
  );
}

function Ways({ ways, onTake }: { ways: Api['WayOut'][] } & Pick<Props, 'onTake'>) {
  return (
    <ul className={styles.ways}>
      {ways.map((way) => (
        <li key={way.words}>
          <Button variant="default" onClick={() => onTake(way)}>
            {way.words}
          </Button>
          <span className="quiet">{way.reason}</span>
        </li>
      ))}
    </ul>
  );
}
