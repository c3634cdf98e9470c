import { useLocalStorage } from '@mantine/hooks';
import { useAbout } from '../api/queries';
import { ofSchool } from './school';

/** Who works at this device: signed in, or typed once; offered wherever a name is asked for. */
export function useWho() {
  const who = useAbout().data?.who;
  return useLocalStorage<string>({
    key: ofSchool(who?.staff_id ? `yard-notch-who-${who.staff_id}` : 'yard-notch-who'),
    defaultValue: who?.name ?? '',
    getInitialValueInEffect: false,
  });
}
