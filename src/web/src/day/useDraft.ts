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
  // The same thing changed twice is changed once, the last time; but a tray less is a tray less each time.
  const same = (a: Change, b: Change) =>
    a.kind !== 'fewer-trays' &&
    a.bake === b.bake &&
    (a.kind === b.kind || (a.kind === 'pin' && b.kind === 'unpin') || (a.kind === 'unpin' && b.kind === 'pin')) &&
    (a.kind === 'pin' || a.kind === 'unpin' ? a.id === b.id : true);
  return {
    changes,
    add: (change: Change) => keep([...changes.filter((c) => !same(c, change)), change]),
    back: () => keep(changes.slice(0, -1)),
    forget: () => keep([]),
  };
}
