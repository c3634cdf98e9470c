import { Link, useLocation } from 'react-router';
import type { Api } from '../../api/client';
import { day } from '../../shared/format';
import { Wood } from '../../shared/rule/Wood';
import styles from './CourseRule.module.css';

const PLACE = 34;

/** The course as a small rule, one notch a lesson: cut when it was held, dotted while to come. */
export function CourseRule({
  view,
  lesson,
}: {
  view: Api['CourseView'];
  lesson: Api['LessonPlace'] | undefined;
}) {
  const { pathname } = useLocation();
  const place = pathname.split('/')[3] === 'class' ? 'class' : 'plan';
  const width = Math.max(1, view.lessons.length) * PLACE;
  if (view.lessons.length === 0) return null;
  return (
    <div className={styles.rule} style={{ minWidth: width }}>
      <svg width={width} height={17} aria-hidden>
        <Wood
          from={0}
          to={view.lessons.length}
          width={width}
          height={17}
          x={(value) => value * PLACE}
          figures={false}
          fine={false}
        />
      </svg>
      <ol className={styles.lessons} aria-label="Lessons">
        {view.lessons.map((each) => {
          const here = each.id === lesson?.id;
          const state = each.when === 'past' ? 'held' : each.when === 'next' ? 'next' : 'to come';
          return (
            <li key={each.id}>
              <Link
                to={`/courses/${view.course.id}/${place}/${each.id}`}
                aria-current={here ? 'step' : undefined}
                aria-label={`Lesson ${each.number}, ${each.title}, ${day(each.starts_at)}, ${state}`}
                title={`${each.number} · ${each.title} · ${day(each.starts_at)}`}
              >
                <svg width="20" height="13" viewBox="0 0 20 13" aria-hidden>
                  <path
                    d="M2 0.5h16L10 12z"
                    fill={here ? 'var(--accent)' : each.when === 'past' ? 'var(--beech-ink)' : 'none'}
                    stroke={here ? 'var(--accent)' : 'var(--beech-ink)'}
                    strokeDasharray={each.when === 'past' || here ? undefined : '2 2'}
                    strokeWidth="1.4"
                  />
                </svg>
              </Link>
            </li>
          );
        })}
      </ol>
      {lesson && (
        <span className={styles.label}>
          Lesson {lesson.number} of {view.lessons.length} · {day(lesson.starts_at)}
        </span>
      )}
    </div>
  );
}
