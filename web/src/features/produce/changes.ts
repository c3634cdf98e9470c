import type { Api } from '../../api/client';
import { answer, api } from '../../api/client';
import { useChange } from '../../api/changes';

/** Keeps what is said about the food of a lesson. */
export const useKeepProduce = (lesson: number, version: number, onKept: () => void) =>
  useChange(
    'lesson',
    (fields: Api['ProduceFields']) =>
      answer(
        api.PUT('/api/lessons/{id}/produce', { params: { path: { id: lesson } }, body: { version, fields } }),
      ),
    { onSuccess: onKept },
  );
