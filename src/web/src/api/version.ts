// This page is of one version of the API; a server that was updated meanwhile is of another.
import { useSyncExternalStore } from 'react';

declare const __API_VERSION__: string;

const header = 'Jolly-Knot-Version';
let outdated = false;
const listeners = new Set<() => void>();

/** For every call: says this page's version, and hears the server's. */
export const version = {
  onRequest({ request }: { request: Request }) {
    request.headers.set(header, __API_VERSION__);
    return request;
  },
  onResponse({ response }: { response: Response }) {
    const theirs = response.headers.get(header);
    if (theirs === null || theirs === __API_VERSION__ || outdated) return;
    outdated = true;
    listeners.forEach((l) => l());
  },
};

/** Whether the server is of another version than this page. */
export const useOutdated = () =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => outdated,
  );
