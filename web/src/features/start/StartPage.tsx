import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link, Navigate } from 'react-router';
import type { Api } from '../../api/client';
import { useAbout, useCourses } from '../../api/queries';
import { useLookAtMadeUp } from '../../api/session';
import { Wood } from '../../shared/rule/Wood';
import { Failed, Loading, Trouble } from '../../shared/State';
import { FirstEvening } from './FirstEvening';
import { FromFile } from './FromFile';
import { useDoors } from './changes';
import styles from './Start.module.css';

/** To the first course; on the first evening, to the ways in. */
export function StartPage() {
  const courses = useCourses();
  if (!courses.data)
    return courses.isError ? (
      <Failed error={courses.error} again={() => void courses.refetch()} />
    ) : (
      <Loading />
    );
  const first = courses.data[0];
  return <Navigate to={first ? `/courses/${first.id}/yard` : '/start'} replace />;
}

/** Courses of a known kind drawn as rules with their sessions notched, and a blank one. */
export function Doors() {
  const doors = useDoors();
  const [kind, choose] = useState<string>();
  if (!doors.data)
    return doors.isError ? <Failed error={doors.error} again={() => void doors.refetch()} /> : <Loading />;
  const chosen = doors.data.kinds.find((each) => each.id === kind);
  return (
    <main className={styles.start}>
      <h1>{doors.data.school ? 'A new course' : 'Welcome to Yard Notch'}</h1>
      <p>
        Choose what you teach. With the names and the knives the first lesson is drafted, ready to print; all
        of it can be changed.
      </p>
      <div className={styles.doors} role="group" aria-label="Ways in">
        {doors.data.kinds.map((each) => (
          <Door key={each.id} kind={each} chosen={each.id === kind} onChoose={() => choose(each.id)} />
        ))}
        <Link to="/courses/new" className={styles.door}>
          <Rule sessions={0} />
          <strong>A course of my own</strong>
          <span>Every choice yours, from an empty page.</span>
        </Link>
      </div>
      {chosen && <FirstEvening key={chosen.id} kind={chosen} doors={doors.data} />}
      <div className={styles.also}>
        <FromFile />
        <MadeUp />
      </div>
    </main>
  );
}

function Door({ kind, chosen, onChoose }: { kind: Api['Door']; chosen: boolean; onChoose: () => void }) {
  return (
    <button type="button" className={styles.door} aria-pressed={chosen} onClick={onChoose}>
      <Rule sessions={kind.sessions} />
      <strong>{kind.name}</strong>
      <span>{kind.text}</span>
      <span className="quiet">{kind.lesson_minutes} minutes each</span>
    </button>
  );
}

const WIDTH = 216;

/** A short rule, one notch a session. */
function Rule({ sessions }: { sessions: number }) {
  const place = Math.min(40, WIDTH / Math.max(1, sessions));
  return (
    <svg width="100%" viewBox={`0 0 ${WIDTH} 24`} aria-hidden>
      <Wood from={0} to={8} width={WIDTH} height={24} x={(at) => at * 27} figures={false} fine={false} />
      {Array.from({ length: sessions }, (_, index) => {
        const x = (WIDTH - sessions * place) / 2 + (index + 0.5) * place;
        return (
          <path
            key={index}
            d={`M${x - 8} 0.5h16l-8 14z`}
            fill="var(--wood-deep)"
            stroke="var(--beech-ink)"
            strokeWidth={1.4}
          />
        );
      })}
    </svg>
  );
}

/** A made-up school to look around in, left again with one key. */
function MadeUp() {
  const about = useAbout();
  const look = useLookAtMadeUp();
  if (!about.data?.made_up) return null;
  return (
    <div className="row">
      <Button variant="default" loading={look.isPending} onClick={() => look.mutate(undefined)}>
        Look at the made-up school
      </Button>
      <span className="quiet">
        Fourteen trainees in the middle of their course, in a folder of its own. <kbd>x</kbd> brings you back.
      </span>
      <Trouble error={look.error} />
    </div>
  );
}
