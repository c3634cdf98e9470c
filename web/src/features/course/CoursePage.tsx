import { useState } from 'react';
import { useParams } from 'react-router';
import { useCourse } from '../../api/queries';
import { Failed, Loading } from '../../shared/State';
import { CourseForm } from './CourseForm';
import { Students } from './Students';
import { TakenElsewhere } from './TakenElsewhere';

/** The course's choices and its students, at the start of a term. */
export default function CoursePage() {
  const { courseId } = useParams();
  if (courseId === undefined) {
    return (
      <main className="stack" style={{ maxWidth: 720, margin: '4vh auto', padding: 24 }}>
        <h1>New course</h1>
        <CourseForm />
      </main>
    );
  }
  return <ExistingCourse id={Number(courseId)} />;
}

function ExistingCourse({ id }: { id: number }) {
  const course = useCourse(id);
  const [saved, setSaved] = useState<number>();
  if (!course.data)
    return course.isError ? <Failed error={course.error} again={() => void course.refetch()} /> : <Loading />;
  return (
    <main className="stack" style={{ padding: '20px 24px', overflowY: 'auto', flex: 1 }}>
      <div className="spread">
        <h1>Course and students</h1>
        <TakenElsewhere courseId={id} />
      </div>
      <CourseForm
        key={course.data.course.version}
        course={course.data.course}
        saved={saved === course.data.course.version}
        onSaved={setSaved}
      />
      <Students courseId={id} students={course.data.students} />
    </main>
  );
}
