// A kitchen that keeps itself: every change is sent once it has stood still, and what cannot be is said at its field. What
// somebody else changed meanwhile is taken over; where both changed the same, the baker says which holds.
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { readKitchen, useKeepKitchen, wasChanged, type Kitchen, type Marked } from '../api/kitchen';
import type { Schemas } from '../api/http';

export type { Kitchen };
type Field = keyof Kitchen;

/** Changed here and elsewhere, each otherwise. */
export type Crossed = { theirs: Kitchen; fields: Field[] };

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

const withTheirs = (mine: Kitchen, theirs: Kitchen, fields: Field[]): Kitchen => ({
  ...mine,
  ...Object.fromEntries(fields.map((f) => [f, theirs[f]])),
});

export function useKitchen(first: Marked) {
  const [kitchen, setKitchen] = useState(first.kitchen);
  const [problems, setProblems] = useState<Schemas['ProblemView'][]>([]);
  const [crossed, setCrossed] = useState<Crossed | null>(null);
  const [state, setState] = useState<'kept' | 'typing' | 'refused' | 'away'>('kept');
  const sent = useRef(first);
  const { make } = useKeepKitchen();

  const meet = (there: Marked) => {
    const [before, theirs] = [sent.current.kitchen, there.kitchen];
    const changed = (Object.keys({ ...theirs, ...kitchen }) as Field[]).filter((f) => !isSame(theirs[f], before[f]));
    const both = changed.filter((f) => !isSame(kitchen[f], before[f]) && !isSame(kitchen[f], theirs[f]));
    sent.current = there;
    const fields = changed.filter((f) => !both.includes(f));
    setKitchen((k) => withTheirs(k, theirs, fields));
    if (both.length > 0) setCrossed({ theirs, fields: both });
  };

  const keep = useEffectEvent(async () => {
    const { answer, trouble } = await make({ kitchen, mark: sent.current.mark });
    if (trouble?.status === wasChanged) return readKitchen().then(meet, () => setState('away'));
    setProblems(trouble?.problems ?? []);
    if (trouble) return setState(trouble.status === undefined ? 'away' : 'refused');
    setState('kept');
    sent.current = { kitchen, mark: answer.mark };
  });

  useEffect(() => {
    if (crossed || isSame(kitchen, sent.current.kitchen)) return;
    const timer = setTimeout(() => void keep(), 400);
    return () => clearTimeout(timer);
  }, [kitchen, crossed]);

  const change = (to: Partial<Kitchen>) => {
    setState('typing');
    setKitchen((k) => ({ ...k, ...to }));
  };
  const settle = (takeTheirs: boolean) => {
    if (takeTheirs && crossed) setKitchen((k) => withTheirs(k, crossed.theirs, crossed.fields));
    setCrossed(null);
  };
  return { kitchen, change, problems, state, crossed, settle };
}
