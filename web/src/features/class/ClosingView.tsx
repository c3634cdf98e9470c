import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { useClosing } from '../../api/queries';
import { touch, useTouches } from '../../api/touches/queue';
import { mendingPath } from '../../shared/mending';
import { Mark } from '../../shared/mark';
import type { MarkKind } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Failed, Loading } from '../../shared/State';
import styles from './Class.module.css';

const shapeOf: Record<Api['ClosingState'], MarkKind> = {
  stop: 'stop',
  to_do: 'todo',
  done: 'held',
  note: 'note',
};

interface Props {
  courseId: number;
  lessonId: number;
  onLeave: () => void;
}

/**
 * Read at the end of the evening, in two minutes, with the knives in the sink: what is still open, then what to know.
 * What is decided from it: whether everybody may go home.
 */
export function ClosingView({ courseId, lessonId, onLeave }: Props) {
  const closing = useClosing(lessonId);
  const { unsent } = useTouches();
  if (!closing.data)
    return closing.isError ? (
      <Failed error={closing.error} again={() => void closing.refetch()} />
    ) : (
      <Loading />
    );
  const { title, items, closed } = closing.data;
  const open = items.filter((item) => item.state === 'stop' || item.state === 'to_do').length;
  const count = `/courses/${courseId}/rack/${lessonId}?view=count`;
  return (
    <main className={styles.work}>
      <div className="spread">
        <div>
          <h1>Before you close: {title}</h1>
          <p className="quiet" role="status">
            {closed ? 'This class is closed.' : open > 0 ? `${open} open` : 'Nothing is open.'}
          </p>
        </div>
        <div className="row">
          <Button variant="default" h={46} onClick={onLeave}>
            Back to the class
          </Button>
          <Button h={46} component={Link} to={count}>
            {closed ? 'See how it was closed' : 'Count and close'}
          </Button>
        </div>
      </div>
      <ul className={styles.closing} aria-label="What to look at">
        {unsent.length > 0 && (
          <li>
            <Mark kind="todo" size={20} label />
            <span>
              {unsent.length} {unsent.length === 1 ? 'touch' : 'touches'} on this device not sent yet. They go
              out when the connection is back: leave the page open.
            </span>
          </li>
        )}
        {items.map((item, at) => (
          <li key={at} data-state={item.state}>
            <Mark kind={shapeOf[item.state]} size={20} label />
            <span>
              <Said>{item.words}</Said>
            </span>
            {item.running.length > 0 && (
              <Button
                h={46}
                onClick={() =>
                  touch(lessonId, { kind: 'stop', body: { student_ids: item.running } }, 'Everybody: stop')
                }
              >
                Stop all
              </Button>
            )}
            {item.way && (
              <Button
                h={46}
                variant="default"
                component={Link}
                to={mendingPath(item.way, courseId, lessonId)}
              >
                {item.way.words}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </main>
  );
}
