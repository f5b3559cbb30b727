// Whether the bench speaks, and what it says; one choice for the whole app, kept on this device.
import { useEffect, useSyncExternalStore } from 'react';
import { speak } from './sound';

const key = 'speak';
const listeners = new Set<() => void>();

const isOn = () => localStorage.getItem(key) === 'yes';

function choose(on: boolean) {
  localStorage.setItem(key, on ? 'yes' : 'no');
  listeners.forEach((l) => l());
}

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const useSpeech = () => [useSyncExternalStore(subscribe, isOn), choose] as const;

/** Says it when it changes, if the bench speaks. */
export function useSaid(words: string) {
  const [on] = useSpeech();
  useEffect(() => {
    if (on && words) speak(words);
  }, [on, words]);
}
