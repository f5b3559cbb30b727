// The one way to change anything: sent again while nobody answers; what fails is said, and can be tried again.
import { MutationCache, QueryClient, useMutation } from '@tanstack/react-query';
import { houseNow } from './clock';
import { newId, type BenchView, type Schemas, type Trouble } from './http';
import { shared } from './shared';
import { Refused, startOutbox, tell, type Told } from './outbox';

/** How often a change is sent again, a second apart, before its failure is said. */
const patience = 5;

const troubleOf = (error: unknown): Trouble =>
  error instanceof Refused ? error.trouble : { title: 'The kitchen server does not answer. Nothing is lost: try again.' };

type Unkept = { said: string; again: () => void };
const unkept = shared<Unkept | null>(null);

/** The change that failed last and was not said where it was made; and leaving it at that. */
export const useUnkept = () => [unkept.useShared(), () => unkept.set(null)] as const;

export const queries = new QueryClient({
  defaultOptions: { queries: { staleTime: 2000, retry: 2, refetchOnWindowFocus: true, networkMode: 'always' } },
  mutationCache: new MutationCache({
    onError: (error, input, _, mutation) => {
      if (mutation.meta?.saysItself) return;
      const again = () => {
        unkept.set(null);
        void mutation.execute(input).catch(() => undefined);
      };
      unkept.set({ said: troubleOf(error).title, again });
    },
  }),
});

/** What is wrong with which field; what belongs to no field has an empty one. */
export const problemsOf = (trouble: Trouble): Schemas['ProblemView'][] =>
  trouble.problems ?? [{ code: 'away', field: '', reason: trouble.title }];

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** What became of a change: the answer, or why not. */
export type Made<T> = { answer: T; trouble: null } | { answer: null; trouble: Trouble };

async function answered<T>(call: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await call;
  if (!response.ok) throw new Refused(error as Trouble);
  return data as T;
}

const sentAgain = (most: number) => ({
  networkMode: 'always' as const,
  retry: (count: number, error: Error) => !(error instanceof Refused) && count < most,
  retryDelay: 1000,
});

/** A change somebody can make. `saysItself`: its failure is shown where it is made, not at the top of the page. */
export function useChange<I, T>(
  call: (input: I) => Promise<Answer<T>>,
  { after, saysItself = false }: { after?: () => unknown; saysItself?: boolean } = {},
) {
  const mutation = useMutation<T, Error, I>({
    ...sentAgain(patience),
    mutationFn: (input) => answered(call(input)),
    onSuccess: () => void after?.(),
    meta: { saysItself },
  });
  const make = (input: I): Promise<Made<T>> =>
    mutation.mutateAsync(input).then(
      (answer) => ({ answer, trouble: null }),
      (error: unknown) => ({ answer: null, trouble: troubleOf(error) }),
    );
  return { make, busy: mutation.isPending };
}

/** Tells an event. It is kept in this browser until the server has heard it, so a lost line loses nothing and doubles nothing. */
export function useTell(bake: string) {
  return useMutation<Schemas['TellAnswer'], Error, Omit<Told, 'bake' | 'refused'>>({
    networkMode: 'always',
    mutationFn: (told) => tell({ ...told, bake }),
    onError: bakesChanged,
    meta: { saysItself: true },
  });
}

/** Tells that what calls was heard. */
export function tellHeard({ id: bake, position }: BenchView) {
  const told = { id: newId(), bake, event: { type: 'alarms-hushed' as const }, basedOn: position, said: 'Heard' };
  tell({ ...told, at: new Date(houseNow()).toISOString() }).then(bakesChanged, bakesChanged);
}

/** Sends what an earlier page was told, and shows at once what each that is heard did. */
export const startTelling = () =>
  startOutbox(({ bake }, answer) => {
    queries.setQueryData(benchKey(bake), answer.bench);
    bakesChanged();
  });

const benchKey = (id: string) => ['get', '/api/bakes/{id}', { params: { path: { id } } }];

const askAgain = (isMeant: (path: string) => boolean) =>
  queries.invalidateQueries({ predicate: (q) => isMeant(String(q.queryKey[1])) });

const aboutBakes = new Set([
  '/api/larder',
  '/api/today',
  '/api/day',
  '/api/today/picture',
  '/api/bakes/{id}',
  '/api/bakes/{id}/picture',
  '/api/logbook',
  '/api/logbook/{id}',
]);

let asking: ReturnType<typeof setTimeout> | undefined;
/** Makes every screen ask again about bakes; once, where the answer and the live line tell of the same change. */
export function bakesChanged() {
  asking ??= setTimeout(() => {
    asking = undefined;
    void askAgain((path) => aboutBakes.has(path));
  }, 40);
}
/** Who is up, or away; not told with every change, so that a kitchen somebody is typing in stays as it is. */
export const kitchenChanged = () => askAgain((path) => path === '/api/kitchen/setup' || path === '/api/kitchen/learned');
export const pantryChanged = () => askAgain((path) => path === '/api/pantry');
export const doughsChanged = () => askAgain((path) => path.startsWith('/api/doughs') || path.startsWith('/api/layouts'));
export const copiesChanged = () => askAgain((path) => path === '/api/copies');
export const houseChanged = () => askAgain((path) => path === '/api/house');
export const photosChanged = () => askAgain((path) => path === '/api/photos');
export const larderChanged = () => askAgain((path) => path.startsWith('/api/larder'));
export const allChanged = () => queries.invalidateQueries();
