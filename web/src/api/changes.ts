import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { QueryClient } from '@tanstack/react-query';
import type { Api } from './client';

/** Everything that is worked out from the rack, the students, the course's choices and the catalogue. */
const ADVICE = [
  'plan',
  'rotation',
  'produce',
  'paper',
  'ready',
  'course-plan',
  'class',
  'drawings',
  'playbook',
  'kit',
  'kit-answer',
  'advice',
  'bench',
  'bench-beside',
  'check',
  'count',
  'closing',
  'sharp-dull',
  'run',
];

/** Which readings a change makes old, by what is changed; their keys begin with these words. */
const TOUCHED = {
  course: [
    'courses',
    'course',
    'people',
    'rack',
    'care',
    'yard',
    'student',
    'try-doctrines',
    'judge',
    ...ADVICE,
  ],
  copies: ['copies'],
  staff: ['staff', 'changes', 'about'],
  student: ['course', 'people', 'read-roster', 'yard', 'student', ...ADVICE],
  knife: ['rack', 'care', 'read-table', 'read-list', ...ADVICE],
  lesson: [
    'course',
    'plan',
    'rotation',
    'produce',
    'paper',
    'ready',
    'course-plan',
    'class',
    'drawings',
    'check',
    'count',
    'closing',
    'kit',
    'rack',
    'care',
    'time-rule',
    'try-doctrines',
    'run',
  ],
  // Wear follows from the minutes in class.
  attempt: [
    'rotation',
    'produce',
    'paper',
    'ready',
    'course-plan',
    'class',
    'closing',
    'yard',
    'student',
    'rack',
    'care',
  ],
  incident: ['class', 'student', 'closing'],
  briefing: ['class', 'closing'],
  room: ['class'],
  demonstration: ['sharp-dull'],
  check: ['check', 'ready'],
  rotation: ['rotation', 'paper', 'ready'],
  count: ['count', 'closing'],
  run: ['run'],
} as const satisfies Record<Exclude<Api['Subject'], 'own'>, readonly string[]>;

/** What is changed; the school's own values and who is signed in touch everything. */
export type Subject = Api['Subject'] | 'sign-in';

const touches = (subject: Subject, key: unknown) =>
  subject === 'own' || subject === 'sign-in' || (TOUCHED[subject] as readonly unknown[]).includes(key);

/** Reads again what a change touches and is on the screen. */
export const readAgain = (client: QueryClient, subject: Subject) =>
  client.invalidateQueries({ predicate: (query) => touches(subject, query.queryKey[0]) });

/** What a class looks at: none of it is edited in a form, where what is typed stands on what was read. */
const LOOKED_AT: readonly unknown[] = [
  'class',
  'run',
  'yard',
  'student',
  'count',
  'closing',
  'check',
  'ready',
  'sharp-dull',
];

/** Reads again what another device changed, all that a class looks at where it is not known what that was. */
export const readOthers = (client: QueryClient, subject: Subject | null | undefined) =>
  client.invalidateQueries({
    predicate: ({ queryKey: [key] }) => LOOKED_AT.includes(key) && (!subject || touches(subject, key)),
  });

/**
 * A change. Once it is done, what it touches is read again. When it fails, what is on the screen stays, so
 * that nothing typed is lost; a change that keeps nothing typed can ask to see things as they are now
 * (`refreshOnError`).
 */
export function useChange<Input, Output>(
  subject: Subject,
  change: (input: Input) => Promise<Output>,
  options: { onSuccess?: (output: Output) => void; scope?: string; refreshOnError?: boolean } = {},
) {
  const client = useQueryClient();
  const refresh = () => readAgain(client, subject);
  return useMutation({
    mutationFn: change,
    scope: options.scope ? { id: options.scope } : undefined,
    onSuccess: (output) => {
      options.onSuccess?.(output);
      return refresh();
    },
    onError: () => (options.refreshOnError ? refresh() : undefined),
  });
}
