// Whether this device may call when something is due and another page is in front. It is asked once, at the first Start.
import { shared } from '../api/shared';

type May = 'granted' | 'denied' | 'default' | 'never';

const now = (): May => ('Notification' in window ? Notification.permission : 'never');
const may = shared(now());

/** Asks, where nobody was asked before. */
export function askToCall() {
  if (now() !== 'default') return;
  void Notification.requestPermission().then(() => may.set(now()));
}

export const useMayCall = may.useShared;
