// A figure far from what is believed is asked back once, and then told: another unit, or a digit too few.
import { useState } from 'react';

type Believed = { from: number; to: number } | null | undefined;

export function useAskedBack(believed: Believed) {
  const [asked, setAsked] = useState<number | null>(null);
  return {
    /** What is asked back; null for nothing. */
    asked,
    /** Does it, or asks first. Leaving the figure as it is and pressing again is a yes. */
    ask: (of: number | null, act: () => void) => {
      const isOdd = of !== null && believed && (of < believed.from || of > believed.to) && asked !== of;
      setAsked(isOdd ? of : null);
      if (!isOdd) act();
    },
  };
}
