// A kitchen that keeps itself: every change is sent once it has stood still, and what cannot be is said at its field.
import { useEffect, useRef, useState } from 'react';
import { http, queries, type Schemas, type Trouble } from '../api/client';

export type Kitchen = Schemas['Kitchen'];

export function useKitchen(first: Kitchen) {
  const [kitchen, setKitchen] = useState(first);
  const [problems, setProblems] = useState<Schemas['ProblemView'][]>([]);
  const [state, setState] = useState<'kept' | 'typing' | 'refused' | 'away'>('kept');
  const sent = useRef(JSON.stringify(first));

  useEffect(() => {
    const text = JSON.stringify(kitchen);
    if (text === sent.current) return;
    const timer = setTimeout(() => {
      void http
        .PUT('/api/kitchen/setup', { body: kitchen })
        .catch(() => ({ data: undefined, error: undefined }))
        .then(({ data, error }) => {
          setProblems((error as Trouble | undefined)?.problems ?? []);
          setState(data ? 'kept' : error ? 'refused' : 'away');
          if (!data) return;
          sent.current = text;
          void queries.invalidateQueries();
        });
    }, 400);
    return () => clearTimeout(timer);
  }, [kitchen]);

  const change = (to: Partial<Kitchen>) => {
    setState('typing');
    setKitchen((k) => ({ ...k, ...to }));
  };
  return { kitchen, change, problems, state };
}
