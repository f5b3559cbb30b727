// What was last known, kept in this browser. It is shown only while the server does not answer: never instead of what it says.
import { dehydrate, hydrate, type DehydratedState } from '@tanstack/react-query';
import { get, set } from 'idb-keyval';
import { queries } from './change';
import { clockKept, takeClock } from './clock';
import { lastKnown } from './http';

const patience = 2500;
const rest = 3000;

type Known = { clock: ReturnType<typeof clockKept>; answers: DehydratedState };

// Read to its end: an answer nobody reads keeps its line until patience ends.
const isThere = () =>
  fetch('/api/clock', { signal: AbortSignal.timeout(patience) })
    .then((answer) => answer.text())
    .then(
      () => true,
      () => false,
    );

/** Takes what was last known, where nobody answers. */
export async function recallLastKnown() {
  if (await isThere()) return;
  const known = await get<Known>(lastKnown).catch(() => undefined);
  if (!known) return;
  takeClock(known.clock);
  hydrate(queries, known.answers);
}

/** Keeps what is known, a while after it changed. */
export function keepLastKnown() {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const keep = () => {
    timer = undefined;
    const answers = dehydrate(queries, { shouldDehydrateQuery: (q) => q.state.status === 'success' && q.queryKey[0] === 'get' });
    void set(lastKnown, { clock: clockKept(), answers } satisfies Known).catch(() => undefined);
  };
  queries.getQueryCache().subscribe((event) => {
    if (event.type === 'updated' && event.action.type === 'success') timer ??= setTimeout(keep, rest);
  });
}
