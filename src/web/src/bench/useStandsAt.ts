// After each step the keyboard stands at the sentence, unless somebody is typing.
import { useEffect, useRef } from 'react';
import { standAt } from '../parts/useArrival';

// The beat that was stood at last, on whatever page of the bench.
let stood = '';

/** `at`: what changes with every step. */
export function useStandsAt(at: string) {
  const sentence = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    const isTyping = document.activeElement?.closest('input, textarea, select, [role=combobox], [role=dialog]');
    if (stood !== '' && stood !== at && !isTyping && sentence.current) standAt(sentence.current);
    stood = at;
  }, [at]);
  return sentence;
}
