import type { Api } from '../../api/client';
import { answer, api } from '../../api/client';
import { useChange } from '../../api/changes';

/** Keeps what the course does where practitioners disagree. */
export const useSaveDoctrines = ({ id, version }: Api['Course']) =>
  useChange('course', (doctrines: Api['Doctrines']) =>
    answer(
      api.PUT('/api/courses/{id}/doctrines', { params: { path: { id } }, body: { version, doctrines } }),
    ),
  );

/** Keeps an own value, from the version that it had, or as a new one. */
export const useKeepOwn = (onKept: (own: Api['OwnView']) => void) =>
  useChange(
    'own',
    (body: { version: number | null; value: Api['OwnValue'] }) => answer(api.POST('/api/own', { body })),
    { onSuccess: onKept },
  );

/** Drops an own value, so that the shipped one stands again. */
export const useDropOwn = ({ kind, id, version }: Api['DropOwn']) =>
  useChange('own', () => answer(api.POST('/api/own/drop', { body: { kind, id, version } })));
