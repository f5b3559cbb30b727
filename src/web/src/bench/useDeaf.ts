// After a step the big control is deaf for a moment: a second tap of the same finger does no second step.
import { useEffect, useState } from 'react';

const moment = 700;

/** `at`: what changes with every step. */
export function useDeaf(at: string) {
  const [heard, hear] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => hear(at), moment);
    return () => clearTimeout(timer);
  }, [at]);
  return heard !== at;
}
