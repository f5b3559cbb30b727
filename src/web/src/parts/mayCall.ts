// Whether this device may call when something is due and another page is in front. It is asked once, at the first Start.
import { useSyncExternalStore } from 'react';

type May = 'granted' | 'denied' | 'default' | 'never';

const now = (): May => ('Notification' in window ? Notification.permission : 'never');
const listeners = new Set<() => void>();

/** Asks, where nobody was asked before. */
export function askToCall() {
  if (now() !== 'default') return;
  void Notification.requestPermission().then(() => listeners.forEach((l) => l()));
}

export const useMayCall = () =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, now);
