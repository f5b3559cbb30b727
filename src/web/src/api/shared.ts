// What changes outside of any view, and is seen by all that use it.
import { useSyncExternalStore } from 'react';

/** Something shared, as it is now. */
export function shared<T>(first: T) {
  let now = first;
  const listeners = new Set<() => void>();
  const listen = (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };
  const get = () => now;
  return {
    get,
    /** Until what it gives back is called. */
    listen,
    set: (to: T) => {
      now = to;
      listeners.forEach((l) => l());
    },
    useShared: () => useSyncExternalStore(listen, get),
  };
}
