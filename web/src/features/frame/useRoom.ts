import { useEffect } from 'react';
import type { Api } from '../../api/client';
import { useWorker } from '../../api/worker';
import { inSchool } from '../../shared/school';

/** What a class needs on the way: read once, so that the worker has it when the network fails. */
function roomOf(view: Api['CourseView'], lesson: Api['LessonPlace'] | undefined): string[] {
  const course = `/api/courses/${view.course.id}`;
  const ofLesson = lesson
    ? [
        'class',
        'drawings',
        'wall',
        'closing',
        'run',
        'plan',
        'rotation',
        'check',
        'count',
        'ready',
        'produce',
        'sharp-dull',
      ].map((part) => `/api/lessons/${lesson.id}/${part}`)
    : [];
  return [
    '/api/about',
    '/api/catalogue',
    '/api/courses',
    course,
    `${course}/yard`,
    ...ofLesson,
    `/api/rack?course=${view.course.id}`,
    '/api/rack',
    ...view.students.map((student) => `/api/students/${student.id}/evidence`),
  ];
}

/** Has the worker keep what this lesson needs, one after the other, when the page has come to rest. */
export function useRoom(view: Api['CourseView'] | undefined, lesson: Api['LessonPlace'] | undefined) {
  const { keeps } = useWorker();
  const addresses = keeps && view ? roomOf(view, lesson).join('\n') : '';
  useEffect(() => {
    if (!addresses) return;
    const broken = new AbortController();
    const timer = setTimeout(async () => {
      for (const address of addresses.split('\n')) {
        if (broken.signal.aborted) return;
        // Read to its end: an answer that is broken off is not kept.
        await fetch(inSchool(address), { signal: broken.signal })
          .then((response) => response.arrayBuffer())
          .catch(() => undefined);
      }
    }, 1_500);
    return () => {
      broken.abort();
      clearTimeout(timer);
    };
  }, [addresses]);
}
