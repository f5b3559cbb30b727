import { useEffect, useState } from 'react';

/** A value once it has stood still for a moment: typing asks once, not at every key. */
export function useLater<T>(value: T, wait = 150) {
  const [later, setLater] = useState(value);
  const text = JSON.stringify(value);
  useEffect(() => {
    const timer = setTimeout(() => setLater(JSON.parse(text) as T), wait);
    return () => clearTimeout(timer);
  }, [text, wait]);
  return later;
}
