import type { Api } from '../../api/client';
import { answer, api } from '../../api/client';
import { useChange } from '../../api/changes';

/** Saves a course that is there, or a new one. */
export const useSaveCourse = (course: Api['Course'] | undefined, onSaved: (course: Api['Course']) => void) =>
  useChange(
    'course',
    (fields: Api['CourseFields']) =>
      course
        ? answer(
            api.PUT('/api/courses/{id}', {
              params: { path: { id: course.id } },
              body: { version: course.version, fields },
            }),
          )
        : answer(api.POST('/api/courses', { body: fields })),
    { onSuccess: onSaved },
  );

/** Takes the people of a class list into a course. */
export const useTakeRoster = (course: number, onTaken: () => void) =>
  useChange(
    'student',
    (body: Api['RosterText']) =>
      answer(api.POST('/api/courses/{id}/roster', { params: { path: { id: course } }, body })),
    { onSuccess: onTaken },
  );

/** Takes people of the school into a course. */
export const useTakeAlong = (course: number, onTaken: () => void) =>
  useChange(
    'student',
    (people: number[]) =>
      answer(api.POST('/api/courses/{id}/people', { params: { path: { id: course } }, body: { people } })),
    { onSuccess: onTaken },
  );

/** Takes a student out of the course, or back in; the record is kept. */
export const useArchiveStudent = (onDone: (student: Api['Student']) => void) =>
  useChange(
    'student',
    ({ student: { id, version }, archived }: { student: Api['Student']; archived: boolean }) =>
      answer(
        api.POST('/api/students/{id}/archive', { params: { path: { id } }, body: { version, archived } }),
      ),
    { onSuccess: onDone },
  );

/** Makes an address to which calendars subscribe, or takes it back. */
export const useShareCalendar = (course: number) =>
  useChange('course', (shared: boolean) =>
    answer(
      api.POST('/api/courses/{id}/calendar/address', { params: { path: { id: course } }, body: { shared } }),
    ),
  );
