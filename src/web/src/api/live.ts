// The live line: what changed, and what the scale shows.
import { bakesChanged } from './change';
import { type Schemas } from './http';
import { syncClock } from './clock';
import { shared } from './shared';

export type LiveReading = {
  bake: string | null;
  /** Whole scale units; null when the scale says nothing. */
  units: number | null;
  /** What one unit weighs, in grams. */
  step: number;
  settled: boolean;
  verdict: Schemas['Verdict'];
  off: number;
  /** Pieces that lie on the pan already. */
  beside: number;
  /** What is new belongs to the last piece taken. */
  trimmings: boolean;
  /** What stands under it, untared. */
  under: string | null;
  auto: boolean;
  /** Grams taken when the baker says it is in; null when nothing stands on the scale or it still moves. */
  taken: number | null;
};
type Line = {
  connected: boolean;
  /** It was tried, and nobody answers. */
  silent: boolean;
  reading: LiveReading | null;
};

const line = shared<Line>({ connected: false, silent: false, reading: null });
const set = (change: Partial<Line>) => line.set({ ...line.get(), ...change });

const refresh = () => {
  set({ connected: true, silent: false });
  void syncClock();
  bakesChanged();
};

// Fetched once the first page is shown.
async function connection() {
  const { HubConnectionBuilder, LogLevel } = await import('@microsoft/signalr');
  const hub = new HubConnectionBuilder()
    .withUrl('/live')
    .withAutomaticReconnect({ nextRetryDelayInMilliseconds: () => 1000 })
    .configureLogging(LogLevel.None)
    .build();
  hub.on('BakeChanged', () => bakesChanged());
  hub.on('ClockSet', () => void syncClock().then(bakesChanged));
  hub.on('Scale', (reading: LiveReading) => set({ reading }));
  hub.onreconnecting(() => set({ connected: false, silent: true }));
  hub.onreconnected(refresh);
  return hub;
}
let hub: ReturnType<typeof connection> | undefined;

export async function startLive() {
  try {
    await (await (hub ??= connection())).start();
    refresh();
  } catch {
    set({ silent: true });
    setTimeout(() => void startLive(), 1000);
  }
}

export const judge = async (bake: string, units: number, number: number | null) =>
  (await hub)?.invoke<LiveReading | null>('Judge', bake, units, number) ?? null;

/** The scale's figure once it stands still; null when it does not within a few seconds. */
export const whenSettled = () =>
  new Promise<number | null>((resolve) => {
    const done = (units: number | null) => {
      clearTimeout(timer);
      leave();
      resolve(units);
    };
    const look = () => {
      const { reading } = line.get();
      if (reading?.settled) done(reading.units);
    };
    const timer = setTimeout(() => done(null), 4000);
    const leave = line.listen(look);
    look();
  });

export const useLive = line.useShared;
