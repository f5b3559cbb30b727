// A kitchen that keeps itself: every change is sent once it has stood still, and what cannot be is said at its field.
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useKeepKitchen } from '../api/changes';
import type { Schemas } from '../api/http';

export type Kitchen = Schemas['Kitchen'];

export function useKitchen(first: Kitchen) {
  const [kitchen, setKitchen] = useState(first);
  const [problems, setProblems] = useState<Schemas['ProblemView'][]>([]);
  const [state, setState] = useState<'kept' | 'typing' | 'refused' | 'away'>('kept');
  const sent = useRef(JSON.stringify(first));
  const { make } = useKeepKitchen();
  const keep = useEffectEvent(async (text: string) => {
    const { trouble } = await make(kitchen);
    setProblems(trouble?.problems ?? []);
    if (trouble) return setState(trouble.status === undefined ? 'away' : 'refused');
    setState('kept');
    sent.current = text;
  });

  useEffect(() => {
    const text = JSON.stringify(kitchen);
    if (text === sent.current) return;
    const timer = setTimeout(() => void keep(text), 400);
    return () => clearTimeout(timer);
  }, [kitchen]);

  const change = (to: Partial<Kitchen>) => {
    setState('typing');
    setKitchen((k) => ({ ...k, ...to }));
  };
  return { kitchen, change, problems, state };
}
