import { NumberInput } from '@mantine/core';
import type { Api } from '../../api/client';
import { percent } from '../../shared/format';
import { Said } from '../../shared/Said';
import styles from './Produce.module.css';

interface Props {
  needs: Api['ExerciseNeed'][];
  fields: Api['ProduceFields'];
  onChange: (fields: Api['ProduceFields']) => void;
}

/** What each exercise takes and why; how many good pieces are wanted of it. */
export function Needs({ needs, fields, onChange }: Props) {
  const want = (exercise_id: number, typed: string | number) => {
    const others = (fields.good ?? []).filter((each) => each.exercise_id !== exercise_id);
    const count = Math.round(Number(typed));
    onChange({ ...fields, good: typed === '' ? others : [...others, { exercise_id, count }] });
  };
  return (
    <section className="card stack" aria-label="What each exercise takes">
      <h2>What each exercise takes</h2>
      {needs.map((need) => (
        <div key={need.exercise_id} className={styles.need}>
          <div>
            <h3>{need.title}</h3>
            {need.words.map((words, index) => (
              <p key={index} className={index > 0 ? 'quiet' : undefined}>
                <Said>{words}</Said>
              </p>
            ))}
            {need.students.length > 0 && <Students need={need} />}
          </div>
          {need.pieces_each != null && (
            <NumberInput
              label="Good pieces wanted of each"
              w={190}
              min={1}
              max={2000}
              placeholder="As they come"
              value={need.good_wanted ?? ''}
              onChange={(typed) => want(need.exercise_id, typed)}
            />
          )}
        </div>
      ))}
    </section>
  );
}

/** What each student is expected to get out of it. */
function Students({ need }: { need: Api['ExerciseNeed'] }) {
  return (
    <details>
      <summary>Student by student</summary>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Student</th>
            <th scope="col">Come out good</th>
            <th scope="col">Cuts</th>
            <th scope="col">Good, at least</th>
            {need.fed_by != null && <th scope="col">Of what was cut before</th>}
          </tr>
        </thead>
        <tbody>
          {need.students.map((student) => (
            <tr key={student.student_id}>
              <th scope="row">{student.name}</th>
              <td>
                {percent(student.share)}{' '}
                <span className="quiet">
                  {student.seen > 0 ? `of ${student.seen} blind pieces` : 'as the class'}
                </span>
              </td>
              <td className="mono">{student.to_cut}</td>
              <td className="mono">{student.good}</td>
              {need.fed_by != null && <td className="mono">{student.fed}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
