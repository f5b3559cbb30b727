// This page is of one version of the API; a server that was updated meanwhile is of another.
import { shared } from './shared';

declare const __API_VERSION__: string;

const header = 'Jolly-Knot-Version';
const outdated = shared(false);

/** For every call: says this page's version, and hears the server's. */
export const version = {
  onRequest({ request }: { request: Request }) {
    request.headers.set(header, __API_VERSION__);
    return request;
  },
  onResponse({ response }: { response: Response }) {
    const theirs = response.headers.get(header);
    if (theirs === null || theirs === __API_VERSION__) return;
    if (!outdated.get()) outdated.set(true);
  },
};

/** Whether the server is of another version than this page. */
export const useOutdated = outdated.useShared;
