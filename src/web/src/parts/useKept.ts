// What is typed survives a reload, Back and another page of this tab; it is forgotten once it is kept where it belongs.
import { useEffect, useState, type Dispatch, type SetStateAction } from 'react';

const place = (key: string) => `typed/${key}`;

function found<T>(key: string): T | undefined {
  try {
    const text = sessionStorage.getItem(place(key));
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

/** Like useState. What was typed before under this key comes first; `forget` it when it is kept. */
export function useKept<T>(key: string, first: T | (() => T)): [T, Dispatch<SetStateAction<T>>, () => void] {
  const [value, set] = useState<{ now: T; typed: boolean }>(() => {
    const before = found<T>(key);
    return before === undefined
      ? { now: first instanceof Function ? first() : first, typed: false }
      : { now: before, typed: true };
  });
  useEffect(() => {
    if (value.typed) sessionStorage.setItem(place(key), JSON.stringify(value.now));
  }, [key, value]);
  const change: Dispatch<SetStateAction<T>> = (to) => set((v) => ({ now: to instanceof Function ? to(v.now) : to, typed: true }));
  const forget = () => {
    sessionStorage.removeItem(place(key));
    set((v) => ({ ...v, typed: false }));
  };
  return [value.now, change, forget];
}

/** Whether something was typed under this key and not kept. */
export const wasTyped = (key: string) => found(key) !== undefined;
