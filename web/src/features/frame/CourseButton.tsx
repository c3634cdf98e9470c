import type { ComponentPropsWithRef } from 'react';
import type { Api } from '../../api/client';
import styles from './Frame.module.css';

/** The course in hand; its menu comes a moment after the view. */
export function CourseButton({
  view,
  className,
  ...rest
}: { view: Api['CourseView'] } & ComponentPropsWithRef<'button'>) {
  const count = view.students.length;
  return (
    <button type="button" className={`${styles.course} ${className ?? ''}`} {...rest}>
      <strong>{view.course.name}</strong>
      <span className="quiet">
        {view.course.school} · {count} {count === 1 ? 'student' : 'students'}
      </span>
    </button>
  );
}
