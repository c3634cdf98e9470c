import { Button } from '@mantine/core';
import { Link, Navigate } from 'react-router';
import { useCourses } from '../../api/queries';
import { Failed, Loading } from '../../shared/State';

/** The first course; on the first evening, what to do. */
export function StartPage() {
  const courses = useCourses();
  if (!courses.data)
    return courses.isError ? (
      <Failed error={courses.error} again={() => void courses.refetch()} />
    ) : (
      <Loading />
    );
  const first = courses.data[0];
  if (first) return <Navigate to={`/courses/${first.id}/yard`} replace />;
  return (
    <main className="stack" style={{ maxWidth: 620, margin: '8vh auto', padding: 24 }}>
      <h1>Welcome to Yard Notch</h1>
      <p>
        Plan a knife-skills lesson, run the class, measure what students cut, and see what each of them does
        next. Begin with a course: its name, who it is for, and how exact you want them to be. Then put your
        knives on the rack.
      </p>
      <div className="row">
        <Button component={Link} to="/courses/new">
          Make the first course
        </Button>
      </div>
      <p className="quiet">
        To look around first, stop the program and start the demo with <kbd>make demo</kbd>: a made-up school,
        kept in a folder of its own.
      </p>
    </main>
  );
}
