import type { Api } from './client';
import { answer, api } from './client';
import { useChange } from './changes';

/** Takes a sample back. */
export const useTakeSampleBack = () =>
  useChange('attempt', ({ id, said }: { id: number; said: Api['TakeBack'] }) =>
    answer(api.POST('/api/samples/{id}/take-back', { params: { path: { id } }, body: said })),
  );

/** Takes an incident back. */
export const useTakeIncidentBack = () =>
  useChange('incident', ({ id, said }: { id: number; said: Api['TakeBack'] }) =>
    answer(api.POST('/api/incidents/{id}/take-back', { params: { path: { id } }, body: said })),
  );
