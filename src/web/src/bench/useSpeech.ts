// Whether the bench speaks, and what it says; one choice for the whole app, kept on this device.
import { useEffect } from 'react';
import { shared } from '../api/shared';
import { speak } from './sound';

const key = 'speak';
const spoken = shared(localStorage.getItem(key) === 'yes');

function choose(on: boolean) {
  localStorage.setItem(key, on ? 'yes' : 'no');
  spoken.set(on);
}

export const isSpeaking = () => spoken.get();
export const useSpeech = () => [spoken.useShared(), choose] as const;

/** Says it when it changes, if the bench speaks. */
export function useSaid(words: string) {
  const [on] = useSpeech();
  useEffect(() => {
    if (on && words) speak(words);
  }, [on, words]);
}
