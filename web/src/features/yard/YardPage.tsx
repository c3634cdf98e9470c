import { Button } from '@mantine/core';
import { Link, useSearchParams } from 'react-router';
import type { Api } from '../../api/client';
import { useYard } from '../../api/queries';
import { day } from '../../shared/format';
import { Mark } from '../../shared/mark';
import type { MarkKind } from '../../shared/mark';
import { NotchRule } from '../../shared/rule';
import { Failed, Loading } from '../../shared/State';
import { Said } from '../../shared/Said';
import { useHere } from '../frame';
import { StudentDock } from './StudentDock';
import styles from './Yard.module.css';

const STRANDS = ['Chop', 'Dice', 'Julienne', 'Slice'];

/** The shape that goes with a next step. */
export const markOf = (kind: Api['NextKind']): MarkKind =>
  kind === 'safe_first'
    ? 'stop'
    : kind === 'longer_blade'
      ? 'watch'
      : kind === 'complete' || kind === 'harder_cut' || kind === 'hold'
        ? 'held'
        : 'todo';

/** Where everyone stands, between two lessons: who repeats, who goes on, who is watched. */
export default function YardPage() {
  const { courseId, course } = useHere();
  const yard = useYard(courseId);
  const [search, setSearch] = useSearchParams();
  if (!course.data) return <Loading />;
  if (!yard.data)
    return yard.isError ? <Failed error={yard.error} again={() => void yard.refetch()} /> : <Loading />;
  const rows = yard.data;
  const asked = Number(search.get('student') ?? Number.NaN);
  const selected = rows.find((row) => row.student.id === asked)?.student.id ?? rows[0]?.student.id;
  const held = course.data.lessons.filter((lesson) => lesson.when === 'past').length;
  if (rows.length === 0) {
    return (
      <main className={styles.work}>
        <h1>Nobody in the yard yet</h1>
        <p>
          Add your students with their hands and stations. Their rules fill with notches as you run classes.
        </p>
        <Button component={Link} to={`/courses/${courseId}/set-up`} w="fit-content">
          Add students
        </Button>
      </main>
    );
  }
  return (
    <>
      <main className={styles.work}>
        <div>
          <h1>Where everyone stands</h1>
          <p className="quiet">after lesson {held} · five notches a rule: safe, true, even, paced, held</p>
        </div>
        {/* A scrolling region must be reachable by keyboard. */}
        {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
        <div className={styles.scroll} tabIndex={0} role="region" aria-label="Students and their rules">
          <table className={styles.table}>
            <thead>
              <tr>
                <th scope="col">Student</th>
                {STRANDS.map((strand) => (
                  <th key={strand} scope="col">
                    {strand}
                  </th>
                ))}
                <th scope="col">Next</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <Row
                  key={row.student.id}
                  row={row}
                  selected={row.student.id === selected}
                  onSelect={() => setSearch({ student: String(row.student.id) }, { replace: true })}
                />
              ))}
            </tbody>
          </table>
        </div>
        <Legend />
      </main>
      {selected !== undefined && <StudentDock key={selected} courseId={courseId} id={selected} />}
    </>
  );
}

function Row({ row, selected, onSelect }: { row: Api['YardRow']; selected: boolean; onSelect: () => void }) {
  const { next } = row.standing;
  return (
    // The name's button does the same for the keyboard.
    <tr data-selected={selected} onClick={onSelect}>
      <th scope="row">
        <button type="button" aria-pressed={selected} onClick={onSelect}>
          {row.student.name}
        </button>
        <span className="quiet">{row.last_seen ? `seen ${day(row.last_seen)}` : 'not seen yet'}</span>
      </th>
      {row.standing.strands.map((rule) => (
        <td key={rule.strand}>
          <NotchRule rule={rule} />
        </td>
      ))}
      <td>
        <span className={styles.next}>
          <Mark kind={markOf(next.kind)} />
          <strong>
            <Said>{next.title}</Said>
          </strong>
        </span>
      </td>
    </tr>
  );
}

function Legend() {
  return (
    <p className={`quiet ${styles.legend}`}>
      <svg width="20" height="14" aria-hidden>
        <path d="M2 1h16l-8 12z" fill="var(--wood-deep)" stroke="var(--ink)" strokeWidth="1.5" />
      </svg>
      cut
      <svg width="14" height="14" aria-hidden>
        <circle cx="7" cy="7" r="3" fill="none" stroke="var(--ink)" strokeWidth="1.3" />
      </svg>
      open
      <svg width="20" height="14" aria-hidden>
        <path d="M2 1h16l-8 12zM2 13 18 2" fill="var(--stop-tint)" stroke="var(--stop)" strokeWidth="1.7" />
      </svg>
      lapsed: closed by a Stop fault until three clean attempts follow
    </p>
  );
}
