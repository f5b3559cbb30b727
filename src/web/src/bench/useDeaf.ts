// After a press the big control is deaf for a moment, to touch, keys and a foot switch alike: a second tap of the same finger
// does no second step.
import { useEffect, useState } from 'react';

const moment = 700;
let pressed = -moment;

const left = () => Math.max(0, moment - (performance.now() - pressed));

/** Does it, unless it was pressed a moment ago. */
export function press(act: () => void) {
  if (left() > 0) return;
  pressed = performance.now();
  act();
}

/** `at`: what changes with every step. */
export function useDeaf(at: string) {
  const [heard, hear] = useState(() => (left() > 0 ? '' : at));
  useEffect(() => {
    const timer = setTimeout(() => hear(at), left());
    return () => clearTimeout(timer);
  }, [at]);
  return heard !== at && left() > 0;
}
