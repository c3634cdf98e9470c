import { useLocalStorage } from '@mantine/hooks';
import { useAbout } from '../api/queries';

/** Who works at this device: signed in, or typed once; offered wherever a name is asked for. */
export function useWho() {
  const who = useAbout().data?.who;
  return useLocalStorage<string>({
    key: who?.staff_id ? `yard-notch-who-${who.staff_id}` : 'yard-notch-who',
    defaultValue: who?.name ?? '',
    getInitialValueInEffect: false,
  });
}
