import type { Api } from './client';
import { answer, api } from './client';
import { useChange } from './changes';

type Fields = Api['StudentFields'];

/** The fields of a student without what the record adds. */
export function studentFields(from: Fields): Fields {
  const { name, station, hand, hand_size, clearance, special_clearance, allergies, notes } = from;
  return { name, station, hand, hand_size, clearance, special_clearance, allergies, notes };
}

const change = (student: Api['Student'], next: Partial<Fields>) =>
  answer(
    api.PUT('/api/students/{id}', {
      params: { path: { id: student.id } },
      body: { version: student.version, fields: { ...studentFields(student), ...next } },
    }),
  );

/** Changes some fields of a student. */
export const useChangeStudent = (student: Api['Student']) =>
  useChange('student', (next: Partial<Fields>) => change(student, next));

/** Saves a student who is there, or a new one. */
export const useSaveStudent = (course: number, student: Api['Student'] | undefined, done?: () => void) =>
  useChange(
    'student',
    (fields: Fields) =>
      student
        ? change(student, fields)
        : answer(api.POST('/api/courses/{id}/students', { params: { path: { id: course } }, body: fields })),
    { onSuccess: () => done?.() },
  );
