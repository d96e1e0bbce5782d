import { useEffect, useMemo, useState } from 'react';
import { getAvailableVoicesAsync, speak, stop, type WebVoice } from 'expo-speech';

/** A voice that is on this device: no sentence of a trip goes to a service to be spoken. */
const own = (voices: readonly WebVoice[]) =>
  voices.find((v) => v.localService && v.language.startsWith('en'))?.identifier;

/**
 * Reads aloud with a voice of this device, where it has one.
 * @returns undefined where it has none
 */
export function useAloud(): { say: (text: string) => void; hush: () => void } | undefined {
  const [voice, setVoice] = useState<string>();
  useEffect(() => {
    let here = true;
    if (typeof window === 'undefined' || !('speechSynthesis' in window)) return undefined;
    void getAvailableVoicesAsync().then((voices) => {
      if (here) setVoice(own(voices as WebVoice[]));
    });
    return () => {
      here = false;
      void stop();
    };
  }, []);
  return useMemo(
    () =>
      voice === undefined
        ? undefined
        : {
            say: (text: string) => void stop().then(() => speak(text, { voice, language: 'en' })),
            hush: () => void stop(),
          },
    [voice],
  );
}
