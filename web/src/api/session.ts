import { answer, api } from './client';
import { useChange } from './changes';
import { forgetRoom } from './worker';
import { inSchool } from '../shared/school';

/** Signs this browser in; the name may be left out where only one person has a passphrase. */
export const useSignIn = () =>
  useChange('sign-in', (body: { name: string | undefined; passphrase: string }) =>
    answer(api.POST('/api/sign-in', { body })),
  );

/** Takes an invitation: the passphrase is chosen, this browser signed in, and the start shown. */
export const useJoin = (secret: string) =>
  useChange(
    'sign-in',
    (passphrase: string) =>
      answer(api.POST('/api/join/{secret}', { params: { path: { secret } }, body: { passphrase } })),
    { onSuccess: () => window.location.assign(inSchool('/')) },
  );

/** The page is loaded anew: nothing of one school stays on the screen of another. */
const anew = () => {
  forgetRoom();
  window.location.assign(inSchool('/'));
};

/** Looks at the made-up school, in a folder of its own. */
export const useLookAtMadeUp = () =>
  useChange('sign-in', () => answer(api.POST('/api/made-up')), { onSuccess: anew });

/** Leaves the made-up school. */
export function useLeaveMadeUp() {
  const { mutate } = useChange('sign-in', () => answer(api.DELETE('/api/made-up')), { onSuccess: anew });
  return () => mutate();
}

/** Signs this browser out; nothing that was read stays on the device. */
export const useSignOut = () =>
  useChange('sign-in', () => answer(api.DELETE('/api/sign-in')), { onSuccess: forgetRoom });
