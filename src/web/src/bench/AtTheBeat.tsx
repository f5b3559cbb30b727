// One beat: the ending it has decides what is asked, and stands in a component of its own.
import { useCallback, useState, type ReactNode } from 'react';
import type { BakeEvent, BenchView, Schemas } from '../api/http';
import { houseNow, timeOfDay, useNow } from '../api/clock';
import { Answered } from './endings/Answered';
import { Divided } from './endings/Divided';
import { Done } from './endings/Done';
import { Felt } from './endings/Felt';
import { Looked } from './endings/Looked';
import { NotYet } from './endings/NotYet';
import { Reviewed } from './endings/Reviewed';
import { TakenOut } from './endings/TakenOut';
import { Weighed } from './endings/Weighed';
import { useSend } from './useSend';

type Beat = Schemas['Beat'];

/** A beat of a bake, and what an ending can do with it. */
export type AtBeat = {
  bake: BenchView;
  beat: Beat;
  /** The beat was picked from the list, not the next one. */
  chosen: boolean;
  /** Back to the next beat. */
  back: () => void;
  showAll: () => void;
  next: ReactNode;
  tell: ReturnType<typeof useSend>['tell'];
  /** Tells an event as of now. */
  send: (event: BakeEvent) => void;
  /** Tells an event as of the time that was typed for it, if one was. */
  told: (event: BakeEvent) => void;
  since: string | null;
  setSince: (time: string | null) => void;
};

const endings: Record<Beat['ending'], (at: AtBeat) => ReactNode> = {
  done: Done,
  'yes-no': Answered,
  mass: Weighed,
  parts: Divided,
  feel: Felt,
  look: Looked,
  'take-out': TakenOut,
  review: Reviewed,
};

export function AtTheBeat({
  bake,
  beat,
  chosen,
  choose,
  showAll,
  next,
}: {
  bake: BenchView;
  beat: Beat;
  chosen: string | null;
  choose: (step: string | null) => void;
  showAll: () => void;
  next: ReactNode;
}) {
  const back = useCallback(() => choose(null), [choose]);
  const { tell, send } = useSend(bake, back);
  const now = useNow();
  const [early, setEarly] = useState(false);
  const [since, setSince] = useState<string | null>(null);

  const told = (event: BakeEvent) => send(since === null ? event : { ...event, at: lastTimeItWas(since) });
  const at: AtBeat = { bake, beat, chosen: chosen !== null, back, showAll, next, tell, send, told, since, setSince };

  const due = beat.isDue || Date.parse(beat.due) <= now;
  if (!due && !early && chosen === null) return <NotYet {...at} begin={() => setEarly(true)} />;
  const Ending = endings[beat.ending];
  return <Ending {...at} />;
}

// A time of day typed here is the latest such time that has passed.
function lastTimeItWas(typed: string) {
  const [h, m] = typed.split(':').map(Number);
  const times = [0, -1].map((days) => timeOfDay(houseNow(), days, h ?? 0, m ?? 0));
  return new Date(times.find((time) => time <= houseNow()) ?? houseNow()).toISOString();
}
