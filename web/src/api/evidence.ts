import { useQueryClient } from '@tanstack/react-query';
import type { Api } from './client';
import { answer, api } from './client';
import { useChange } from './changes';
import { keys } from './queries';

/** Takes a sample back. */
export function useTakeSampleBack() {
  const client = useQueryClient();
  return useChange(
    'attempt',
    ({ id, said }: { id: number; said: Api['TakeBack'] }) =>
      answer(api.POST('/api/samples/{id}/take-back', { params: { path: { id } }, body: said })),
    { onSuccess: (kept) => client.setQueryData(keys.attemptVersion(kept.id), kept.version) },
  );
}

/** Takes an incident back. */
export const useTakeIncidentBack = () =>
  useChange('incident', ({ id, said }: { id: number; said: Api['TakeBack'] }) =>
    answer(api.POST('/api/incidents/{id}/take-back', { params: { path: { id } }, body: said })),
  );
