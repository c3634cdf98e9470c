import { useQueryClient } from '@tanstack/react-query';
import type { Api } from '../../api/client';
import { answer, api } from '../../api/client';
import { useChange } from '../../api/changes';
import { keys } from '../../api/queries';

/** Hands a knife out and starts the clock. */
export const useStart = () =>
  useChange(
    'attempt',
    (body: { student_id: number; exercise_id: number; knife_id: number }) =>
      answer(api.POST('/api/attempts', { body })),
    { refreshOnError: true },
  );

/** Stops the clock of an attempt. */
export function useStop() {
  const client = useQueryClient();
  return useChange(
    'attempt',
    (id: number) => answer(api.POST('/api/attempts/{id}/stop', { params: { path: { id } } })),
    {
      refreshOnError: true,
      onSuccess: (kept) => client.setQueryData(keys.attemptVersion(kept.id), kept.version),
    },
  );
}

/** Keeps faults and grades. Ticks go out one after the other, each from the version that the one before made. */
export function useMark(attempt: Api['Attempt']) {
  const client = useQueryClient();
  return useChange(
    'attempt',
    async (marks: Api['AttemptMarks']) => {
      const known = client.getQueryData<number>(keys.attemptVersion(attempt.id)) ?? attempt.version;
      const kept = await answer(
        api.PUT('/api/attempts/{id}/marks', {
          params: { path: { id: attempt.id } },
          body: { version: Math.max(known, attempt.version), marks },
        }),
      );
      client.setQueryData(keys.attemptVersion(attempt.id), kept.version);
      return kept;
    },
    { scope: `marks ${attempt.id}` },
  );
}

/** Keeps measured pieces of an attempt. */
export function useKeepSample(onKept: (text: string) => void) {
  const client = useQueryClient();
  return useChange('attempt', async ({ id, body }: { id: number; body: Api['TypedSample'] }) => {
    const marked = await answer(api.POST('/api/attempts/{id}/samples', { params: { path: { id } }, body }));
    client.setQueryData(keys.attemptVersion(marked.id), marked.version);
    onKept(body.text);
    return marked;
  });
}

/** A step of the lesson's clock. What another device did meanwhile is shown where it does not fit. */
export function useRunStep(lesson: number) {
  const client = useQueryClient();
  return useChange(
    'run',
    (body: Api['RunStep']) =>
      answer(api.POST('/api/lessons/{id}/run', { params: { path: { id: lesson } }, body })),
    { refreshOnError: true, onSuccess: (run) => client.setQueryData(keys.run(lesson), run) },
  );
}

/** Takes a step of the clock back. */
export function useUndoRunStep(lesson: number) {
  const client = useQueryClient();
  return useChange(
    'run',
    (id: number) => answer(api.POST('/api/run-steps/{id}/undo', { params: { path: { id } } })),
    { refreshOnError: true, onSuccess: (run) => client.setQueryData(keys.run(lesson), run) },
  );
}

/** Writes a nick or near-miss down. */
export const useWriteIncident = (lesson: number, onWritten: () => void) =>
  useChange(
    'incident',
    (body: Api['IncidentFields']) =>
      answer(api.POST('/api/lessons/{id}/incidents', { params: { path: { id: lesson } }, body })),
    { onSuccess: onWritten },
  );

/** Keeps what was shown with a sharp and a dulled knife. */
export const useKeepDemonstration = (id: number, onKept: () => void) =>
  useChange(
    'demonstration',
    (body: Api['DemonstrationFields']) =>
      answer(api.POST('/api/lessons/{id}/sharp-dull', { params: { path: { id } }, body })),
    { onSuccess: onKept },
  );

/** Takes back what was shown. */
export const useTakeDemonstrationBack = () =>
  useChange('demonstration', ({ id, said }: { id: number; said: Api['TakeBack'] }) =>
    answer(api.POST('/api/demonstrations/{id}/take-back', { params: { path: { id } }, body: said })),
  );
