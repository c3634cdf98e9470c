import { useLocalStorage } from '@mantine/hooks';

/** Who works at this device: typed once, offered wherever a name is asked for. */
export const useWho = () =>
  useLocalStorage<string>({ key: 'yard-notch-who', defaultValue: '', getInitialValueInEffect: false });
