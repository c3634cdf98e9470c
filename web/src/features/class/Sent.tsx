import { Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { clockAhead } from '../../api/clock';
import { useAbout } from '../../api/queries';
import { seen, undo, useTouches } from '../../api/touches/queue';
import { Mark } from '../../shared/mark';
import styles from './Class.module.css';

/** A clock that is off by less is nobody's concern: it is set right anyway. */
const TOLD_MS = 120_000;

/** What was touched last and can be undone, and how much of it the program does not have yet. */
export function Sent({ lessonId }: { lessonId: number }) {
  const { recent, refused } = useTouches();
  const last = recent.filter((each) => each.lesson === lessonId).at(-1);
  useHotkeys([['u', () => last && undo(last)]]);
  return (
    <section className={styles.sent} aria-label="What was touched">
      <div className="spread">
        <Unsent />
        {last && (
          <Button h={46} variant="default" onClick={() => undo(last)} rightSection={<kbd>u</kbd>}>
            Undo: {last.words}
          </Button>
        )}
      </div>
      {refused.map(({ touch, why }) => (
        <p key={touch.id} className={styles.refused} role="alert">
          <Mark kind="caution" />
          <span>
            Not taken: {touch.words}. {why}
          </span>
          <Button size="xs" variant="default" onClick={() => seen(touch.id)}>
            Seen
          </Button>
        </p>
      ))}
    </section>
  );
}

/** Always says whether something is still unsent, and what it waits for. */
function Unsent() {
  const { unsent, held, heldFor, keeps } = useTouches();
  const demo = useAbout().data?.demo;
  const off = Math.round(clockAhead() / 60_000);
  const many = unsent.length === 1 ? '1 touch' : `${unsent.length} touches`;
  return (
    <span role="status">
      {unsent.length === 0 ? (
        <span className="quiet">Everything is sent.</span>
      ) : (
        <strong>
          {many} not sent yet
          {held === 'program' && ': no answer from the program'}
          {held === 'sign_in' && ': sign in again, then they are sent'}
          {held === 'other' && `: they wait until ${heldFor} signs in here`}
          {keeps ? '.' : '. This browser keeps nothing: leave the page open.'}
        </strong>
      )}
      {!demo && Math.abs(clockAhead()) > TOLD_MS && (
        <span className="quiet">
          {' '}
          This device’s clock is {Math.abs(off)} min {off > 0 ? 'behind' : 'ahead'}; times are set right.
        </span>
      )}
    </span>
  );
}
