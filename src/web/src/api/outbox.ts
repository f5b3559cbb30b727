// What was told and not yet heard: kept in this browser, sent in its order and once, until the server answers or refuses. What
// it refuses stays until the baker says what holds.
import { http, type BakeEvent, type Schemas, type Trouble } from './http';
import { shared } from './shared';

export type Told = {
  /** Made here: the server keeps one of an id, however often it is sent. */
  id: string;
  bake: string;
  event: BakeEvent;
  /** The log as this screen had seen it. */
  basedOn: number;
  /** When it was told, by the house's clock. */
  at: string;
  /** The same in words. */
  said: string;
  /** Why it was not taken; null while it waits to be heard. */
  refused: Trouble | null;
};

export class Refused extends Error {
  constructor(readonly trouble: Trouble) {
    super(trouble.title);
  }
}

/** Somebody else was quicker. */
export const isCrossed = (error: Error) => error instanceof Refused && error.trouble.status === 409;

const shelf = 'told';
const waiting = new Map<string, { heard: (answer: Schemas['TellAnswer']) => void; refused: (why: Refused) => void }>();
const all = shared(kept());
const tries = shared(0);
let isSending = false;
let heardAt: (told: Told, answer: Schemas['TellAnswer']) => void = () => undefined;

function kept(): Told[] {
  try {
    return JSON.parse(localStorage.getItem(shelf) ?? '[]') as Told[];
  } catch {
    return [];
  }
}

function keep(to: Told[]) {
  if (to.length === 0) localStorage.removeItem(shelf);
  else localStorage.setItem(shelf, JSON.stringify(to));
  all.set(to);
}

const put = (id: string, to: Partial<Told>) => keep(all.get().map((t) => (t.id === id ? { ...t, ...to } : t)));
const away = (id: string) => keep(all.get().filter((t) => t.id !== id));

/** Tells what happened; the answer comes when the server has heard it, which may be after the page was loaded anew. */
export function tell(told: Omit<Told, 'refused'>) {
  keep([...all.get(), { ...told, refused: null }]);
  return new Promise<Schemas['TellAnswer']>((heard, refused) => {
    waiting.set(told.id, { heard, refused });
    void send();
  });
}

/** Begins to send what an earlier page was told; `heard` hears of each that arrived. */
export function startOutbox(heard: typeof heardAt) {
  heardAt = heard;
  // Another tab sends what it was told itself; after a reload what is left is this one's.
  window.addEventListener('storage', (e) => e.key === shelf && all.set(kept()));
  void send();
}

const second = 1000;

async function send() {
  if (isSending) return;
  isSending = true;
  const waitingNext = () => all.get().find((t) => !t.refused);
  for (let next = waitingNext(); next; next = waitingNext()) {
    const answer = await sent(next);
    if (answer) {
      hear(next, answer);
      continue;
    }
    tries.set(tries.get() + 1);
    await new Promise((on) => setTimeout(on, second));
  }
  // Said to wait until the last of them is heard.
  tries.set(0);
  isSending = false;
}

type Answer = { data?: Schemas['TellAnswer']; error?: unknown };

// The server is there, but can write nothing yet.
const noRoom = new Set([503, 507]);

// Null while nobody answers. What was told long before it is heard happened when it was told.
async function sent({ bake, event, basedOn, id, at }: Told): Promise<Answer | null> {
  const body = { event: tries.get() > 0 && !event.at ? { ...event, at } : event, basedOn, id };
  const answer = await http.POST('/api/bakes/{id}/events', { params: { path: { id: bake } }, body }).catch(() => null);
  return answer && noRoom.has(answer.response.status) ? null : answer;
}

function hear(told: Told, { data, error }: Answer) {
  const why = data ? null : new Refused(error as Trouble);
  // That a bell was heard holds whatever was told meanwhile.
  if (why && told.event.type === 'alarms-hushed' && why.trouble.position != null) {
    put(told.id, { basedOn: why.trouble.position });
    return;
  }
  const by = waiting.get(told.id);
  waiting.delete(told.id);
  if (why) {
    // What is wrong with it is said where it was typed; what crossed with another's stays, and so does what nobody waits for.
    if (isCrossed(why) || !by) put(told.id, { refused: why.trouble });
    else away(told.id);
    by?.refused(why);
    return;
  }
  if (!data) return;
  away(told.id);
  // What was told after it was based on the same sight.
  for (const t of all.get()) if (t.bake === told.bake && t.basedOn === told.basedOn) put(t.id, { basedOn: data.position });
  heardAt(told, data);
  by?.heard(data);
}

/** What is not yet heard, and what was refused; and how often it was tried in vain. */
export const useOutbox = () => ({ told: all.useShared(), tries: tries.useShared() });

/** It holds nevertheless: told again, on what the log is by now. */
export function tellAgain(id: string, basedOn: number) {
  put(id, { basedOn, refused: null });
  void send();
}

/** It does not hold. */
export const leave = away;
