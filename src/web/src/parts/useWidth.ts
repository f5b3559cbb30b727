import { useEffect, useState } from 'react';

/** The width of an element in whole steps, so that small changes ask for nothing new. */
export function useWidth<T extends Element>(step = 20) {
  const [element, ref] = useState<T | null>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    if (!element) return;
    const observer = new ResizeObserver(([entry]) =>
      setWidth(Math.max(200, Math.floor((entry?.contentRect.width ?? 0) / step) * step)),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, [element, step]);
  return [ref, width] as const;
}
