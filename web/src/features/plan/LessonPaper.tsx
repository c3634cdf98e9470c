import { Button } from '@mantine/core';
import { Link, useParams } from 'react-router';
import type { Api } from '../../api/client';
import { useCourse, usePlan, useProduce } from '../../api/queries';
import { Section } from '../../shared/drawing';
import { capital, day, grams, hour, minutes, useUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Failed, Loading } from '../../shared/State';
import styles from './Paper.module.css';
import { sizeIn } from './size';

/** The lesson on one page, for the wall of the kitchen and the instructor's pocket. */
export default function LessonPaper() {
  const { courseId, lessonId } = useParams();
  const plan = usePlan(Number(lessonId));
  const course = useCourse(Number(courseId));
  const produce = useProduce(Number(lessonId), undefined);
  if (!plan.data || !course.data || !produce.data)
    return plan.isError ? <Failed error={plan.error} again={() => void plan.refetch()} /> : <Loading />;
  return (
    <main className={styles.desk}>
      <div className={`row ${styles.bar}`}>
        <Button onClick={() => window.print()}>Print</Button>
        <Button variant="default" component={Link} to={`/courses/${courseId}/plan/${lessonId}`}>
          Change the lesson
        </Button>
        <Button variant="default" component={Link} to={`/courses/${courseId}/course`}>
          The whole course
        </Button>
        <Button variant="default" component={Link} to={`/courses/${courseId}/set-up`}>
          Course and students
        </Button>
      </div>
      <Page plan={plan.data} view={course.data} order={produce.data.order} />
    </main>
  );
}

interface PageProps {
  plan: Api['PlanView'];
  view: Api['CourseView'];
  order: Api['OrderLine'][];
}

function Page({ plan, view, order }: PageProps) {
  const { lesson, course, time_rule: rule } = plan;
  const students = [...view.students]
    .filter((student) => !student.archived)
    .sort((a, b) => a.station - b.station);
  return (
    <article className={styles.page}>
      <header className={styles.head}>
        <div>
          <h1>{lesson.title}</h1>
          <p>
            {course.name} · {course.school} · {course.place}
          </p>
        </div>
        <p className={styles.when}>
          <strong>{day(lesson.starts_at)}</strong>, {hour(lesson.starts_at)} to{' '}
          {hour(lesson.starts_at, lesson.minutes)}
          <br />
          lesson {lesson.number} of {view.lessons.length} · {course.boards} boards · {plan.students} students
        </p>
      </header>
      <div className={styles.columns}>
        <div>
          {plan.exercises.map((planned) => (
            <Exercise key={planned.exercise.id} planned={planned} />
          ))}
          {order.length > 0 && (
            <section>
              <h2>To buy</h2>
              <ul className={styles.list}>
                {order.map((line) => (
                  <li key={line.what}>
                    <strong>{line.what}</strong>, about {grams(line.grams)}
                    {line.allergens.length > 0 && ` · allergen: ${line.allergens.join(', ')}`}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
        <div>
          <section>
            <h2>Time</h2>
            <table className={styles.time}>
              <tbody>
                {rule.segments.map((segment, index) => (
                  <tr key={index} data-kind={segment.kind}>
                    <td className="mono">{hour(lesson.starts_at, segment.starts)}</td>
                    <td>{titleOf(plan, segment) ?? segment.name}</td>
                    <td className="mono">{segment.minutes}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          {students.length > 0 && (
            <section>
              <h2>Stations</h2>
              <ol className={styles.stations}>
                {students.map((student) => (
                  <li key={student.id} value={student.station}>
                    {student.name}
                    {student.hand === 'left' && <em> left hand</em>}
                    {student.allergies.length > 0 && <strong> no {student.allergies.join(', ')}</strong>}
                  </li>
                ))}
              </ol>
            </section>
          )}
        </div>
      </div>
      <footer>{plan.disclaimer}</footer>
    </article>
  );
}

/** What is practised in a segment. */
const titleOf = (plan: Api['PlanView'], segment: Api['SegmentOnRule']) =>
  plan.exercises.find((planned) => planned.exercise.id === segment.exercise_id)?.advice?.title;

/** Cautions that fit on the page, the gravest first. */
const CAUTIONS = 3;

function Exercise({ planned }: { planned: Api['PlannedExercise'] }) {
  const { advice, exercise } = planned;
  const [unit] = useUnit();
  if (!advice) return <p>{planned.problems.map((problem) => problem.message).join(' ')}</p>;
  const { figures, setup } = advice;
  return (
    <section className={styles.exercise}>
      {advice.section && (
        <Section drawing={advice.section} size={58} tint={undefined} label={`Section of ${exercise.food}`} />
      )}
      <div>
        <h2>
          {advice.title} <span className="mono">{sizeIn(advice.target, unit)}</span>
        </h2>
        {setup && (
          <p>
            <strong>{setup.knife_name}</strong> · {setup.words}
          </p>
        )}
        <p>
          {capital(amountOf(advice.amount, figures.unit))} each
          {figures.minutes_each ? ` · ${minutes(figures.minutes_each)} min each` : ''}
          {figures.rounds > 1 ? ` · ${figures.rounds} rounds` : ''}
        </p>
        {advice.others.map((other) => (
          <p key={other.knife ?? 'none'}>
            {other.students.join(', ')}: {other.knife ?? 'no knife that fits, dry drill'}
          </p>
        ))}
        <ul className={styles.list}>
          {advice.cautions.slice(0, CAUTIONS).map((caution) => (
            <li key={caution.id}>
              <Mark kind={caution.severity === 'stop' ? 'stop' : 'caution'} size={12} />{' '}
              <strong>
                <Said>{caution.title}</Said>
              </strong>{' '}
              <Said>{caution.text}</Said>
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

function amountOf(amount: Api['Amount'], unit: string): string {
  if (amount.kind === 'pieces') return `${amount.count} pieces`;
  if (amount.kind === 'grams') return `${amount.count} g`;
  return amount.count === 1 ? `one ${unit}` : `${amount.count} × ${unit}`;
}
