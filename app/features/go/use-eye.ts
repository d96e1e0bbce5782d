import useSWR, { mutate } from 'swr';
import { setSetting, setting } from '../../data/store';

const KEY = 'whose-phone';

/** Whose phone this is, where somebody said so; it stays on the device. */
export function useEye(): [eye: string | undefined, look: (eye: string | undefined) => void] {
  const { data } = useSWR(KEY, () => setting(KEY), { refreshInterval: 0 });
  const look = (eye: string | undefined) => void setSetting(KEY, eye ?? '').then(() => mutate(KEY));
  return [typeof data === 'string' && data !== '' ? data : undefined, look];
}
