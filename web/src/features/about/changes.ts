import { useChange } from '../../api/changes';
import type { Api } from '../../api/client';
import { answer, api } from '../../api/client';

/** Makes a copy of the school now. */
export const useMakeCopy = () => useChange('copies', () => answer(api.POST('/api/copies')));

/** Says how many copies are kept. */
export const useKeepCopies = () =>
  useChange('copies', (body: Api['KeepCopies']) => answer(api.PUT('/api/copies/keep', { body })));
