// The one line to the server: typed calls, cached answers, and telling events so that none is lost.
import { MutationCache, QueryClient, useMutation, useQueryClient } from '@tanstack/react-query';
import createFetchClient from 'openapi-fetch';
import createClient from 'openapi-react-query';
import type { components, paths } from './schema';
import { version } from './version';

export type Schemas = components['schemas'];
export type BenchView = Schemas['BenchView'];
export type BakeEvent = Schemas['BakeEvent'];
export type Trouble = { title: string; status?: number; field?: string; problems?: Schemas['ProblemView'][] };

export const http = createFetchClient<paths>({ baseUrl: window.location.origin });
http.use(version);
export const api = createClient(http);

export const queries = new QueryClient({
  defaultOptions: { queries: { staleTime: 2000, retry: 2, refetchOnWindowFocus: true, networkMode: 'always' } },
  mutationCache: new MutationCache(),
});

export const newId = () => crypto.randomUUID();

const benchKey = (id: string) => ['get', '/api/bakes/{id}', { params: { path: { id } } }];

/** Who is up, or away; not told with every change, so that a kitchen somebody is typing in stays as it is. */
export const kitchenChanged = () => queries.invalidateQueries({ predicate: (q) => q.queryKey[1] === '/api/kitchen/setup' });

/** Makes every screen ask again about bakes. */
export function bakesChanged() {
  for (const path of [
    '/api/today',
    '/api/day',
    '/api/today/picture',
    '/api/bakes/{id}',
    '/api/bakes/{id}/picture',
    '/api/logbook',
    '/api/logbook/{id}',
  ])
    void queries.invalidateQueries({ predicate: (q) => q.queryKey[1] === path });
}

class Refused extends Error {
  constructor(readonly trouble: Trouble) {
    super(trouble.title);
  }
}

/** Tells an event. The same id is sent until the server answers, so a lost line loses nothing and doubles nothing. */
export function useTell(bake: string) {
  const client = useQueryClient();
  return useMutation<Schemas['TellAnswer'], Error, { event: BakeEvent; basedOn: number; id: string }>({
    networkMode: 'always',
    mutationFn: async ({ event, basedOn, id }) => {
      const { data, error } = await http.POST('/api/bakes/{id}/events', {
        params: { path: { id: bake } },
        body: { id, basedOn, event },
      });
      if (data) return data;
      throw new Refused(error as Trouble);
    },
    retry: (count, error) => !(error instanceof Refused) && count < 600,
    retryDelay: 1000,
    onSuccess: (answer) => client.setQueryData(benchKey(bake), answer.bench),
    onSettled: bakesChanged,
  });
}
