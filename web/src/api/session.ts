import { answer, api } from './client';
import { useChange } from './changes';

/** Signs this browser in with the instructor's passphrase. */
export const useSignIn = () =>
  useChange('sign-in', (passphrase: string) => answer(api.POST('/api/sign-in', { body: { passphrase } })));

/** Signs this browser out. */
export const useSignOut = () => useChange('sign-in', () => answer(api.DELETE('/api/sign-in')));
