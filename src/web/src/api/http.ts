// The one line to the server: typed calls. Only this folder makes them.
import { del } from 'idb-keyval';
import createFetchClient from 'openapi-fetch';
import createClient from 'openapi-react-query';
import type { components, paths } from './schema';
import { version } from './version';

export type Schemas = components['schemas'];
export type BenchView = Schemas['BenchView'];
export type BakeEvent = Schemas['BakeEvent'];
export type Trouble = {
  title: string;
  status?: number;
  field?: string;
  position?: number | null;
  problems?: Schemas['ProblemView'][];
};

export const http = createFetchClient<paths>({ baseUrl: window.location.origin });
http.use(version);
// Who was sent away, or came in by an old passphrase, forgets what was last known and is asked for it again.
http.use({
  async onResponse({ response }) {
    if (response.status !== 401) return;
    await del(lastKnown).catch(() => undefined);
    window.location.assign('/house');
  },
});

/** Asks, and keeps the answer as long as it is fresh. */
export const api = createClient(http);

/** The shelf in this browser that what was last known lies on. */
export const lastKnown = 'last-known';

export const newId = () => crypto.randomUUID();
