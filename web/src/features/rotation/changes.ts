import type { Api } from '../../api/client';
import { answer, api } from '../../api/client';
import { useChange } from '../../api/changes';

/** Announces the rotation with this news of the day. */
export const useAnnounce = (lesson: number, version: number, onAnnounced: () => void) =>
  useChange(
    'rotation',
    (fields: Api['RotationFields']) =>
      answer(
        api.PUT('/api/lessons/{id}/rotation', {
          params: { path: { id: lesson } },
          body: { version, fields },
        }),
      ),
    { onSuccess: onAnnounced },
  );
