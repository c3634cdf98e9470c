import { Button } from '@mantine/core';
import { Link } from 'react-router';
import styles from './Class.module.css';

/** What Class shows in place of the stations. */
export type Shows = 'sharp_dull' | 'ask' | 'closing';

interface Props {
  courseId: number;
  lessonId: number;
  onShow: (shows: Shows) => void;
  onIncident: () => void;
}

/** What is reached from a class now and then, in the order of the evening. */
export function Tools({ courseId, lessonId, onShow, onIncident }: Props) {
  const course = `/courses/${courseId}`;
  return (
    <nav className={styles.tools} aria-label="More of this class">
      <Button variant="default" component={Link} to={`${course}/plan/${lessonId}/rotation`}>
        Late or absent…
      </Button>
      <Button variant="default" onClick={() => onShow('ask')}>
        Ask me
      </Button>
      <Button variant="default" onClick={() => onShow('sharp_dull')}>
        Sharp and dull…
      </Button>
      <Button variant="default" component={Link} to={`${course}/wall/${lessonId}`}>
        Wall screen
      </Button>
      <Button variant="default" onClick={onIncident}>
        Nick or near-miss…
      </Button>
      <Button variant="default" onClick={() => onShow('closing')}>
        Before you close…
      </Button>
    </nav>
  );
}
