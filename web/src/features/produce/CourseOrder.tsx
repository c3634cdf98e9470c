import { Button } from '@mantine/core';
import { parseAsString, useQueryStates } from 'nuqs';
import { Link } from 'react-router';
import { useCourseOrder } from '../../api/queries';
import type { Day } from '../../api/time';
import { capital, day } from '../../shared/format';
import { Failed, Loading } from '../../shared/State';
import { OrderTable } from './OrderTable';
import styles from './Produce.module.css';
import { inSchool } from '../../shared/school';

/** One order over the lessons of a course, for who buys: what comes on which day. */
export function CourseOrder({ courseId }: { courseId: number }) {
  const [span, setSpan] = useQueryStates({ from: parseAsString, until: parseAsString });
  const order = useCourseOrder(courseId, span);
  if (!order.data)
    return order.isError ? (
      <Failed error={order.error} again={() => void setSpan({ from: null, until: null })} />
    ) : (
      <Loading />
    );
  const view = order.data;
  const query = new URLSearchParams({ from: view.from, until: view.until });
  const dayField = (label: string, key: 'from' | 'until') => (
    <label className={styles.date}>
      {label}
      <input
        type="date"
        value={view[key]}
        onChange={(event) => void setSpan({ [key]: event.currentTarget.value || null })}
      />
    </label>
  );
  return (
    <>
      <div className="row" style={{ alignItems: 'flex-end' }}>
        {dayField('Lessons from', 'from')}
        {dayField('until', 'until')}
        <Button
          variant="default"
          component="a"
          href={inSchool(`/api/courses/${courseId}/order/table?${query.toString()}`)}
          download="order.csv"
        >
          As a table
        </Button>
        <p className="quiet">
          {view.delivery_days.length > 0
            ? `Food comes on ${view.delivery_days.map(capital).join(', ')}.`
            : 'Food comes the day before each lesson.'}{' '}
          <Link to={`/courses/${courseId}/set-up`}>Change that</Link>
          {view.cost != null && ` · All of it costs about ${view.cost.toFixed(2)}.`}
        </p>
      </div>
      {view.deliveries.length === 0 && <p>Nothing is cut in these days: choose others, or plan a lesson.</p>}
      {view.deliveries.map((delivery) => (
        <section key={delivery.on} className="card stack" aria-label={`Comes ${day(delivery.on as Day)}`}>
          <h2>{day(delivery.on as Day)}</h2>
          <p className="quiet">
            For{' '}
            {delivery.lessons
              .map((lesson) => `lesson ${lesson.number}, ${lesson.title} (${day(lesson.on as Day)})`)
              .join(' · ')}
          </p>
          <OrderTable lines={delivery.lines} cost={delivery.cost} />
        </section>
      ))}
    </>
  );
}
