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
  return {
    changes,
    add: (change: Change) => keep([...changes, change]),
    back: () => keep(changes.slice(0, -1)),
    forget: () => keep([]),
  };
}
