// What a baker would change, one after the other; kept through a reload, and nobody else sees it until it is done.
import { useState } from 'react';
import type { Schemas } from '../api/http';

export type Change = Schemas['ChangeLine'];
const key = 'day-draft';

export function useDraft() {
  const [changes, set] = useState<Change[]>(() => JSON.parse(sessionStorage.getItem(key) ?? '[]') as Change[]);
  const keep = (to: Change[]) => {
    sessionStorage.setItem(key, JSON.stringify(to));
    set(to);
  };
  // A figure typed on, or a time dragged on, is one change.
  const goesOn = ({ bake, kind, id, at, heat, length }: Change) => {
    const last = changes.at(-1);
    return (at ?? heat ?? length ?? null) !== null && last?.bake === bake && last.kind === kind && last.id === id;
  };
  return {
    changes,
    add: (change: Change) => keep([...(goesOn(change) ? changes.slice(0, -1) : changes), change]),
    back: () => keep(changes.slice(0, -1)),
    forget: () => keep([]),
  };
}
