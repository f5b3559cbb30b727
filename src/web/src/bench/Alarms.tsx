// What is due calls here, on every page, until somebody has heard it anywhere.
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { tellHeard } from '../api/change';
import { api, type Schemas } from '../api/http';
import { clockTime, isClockKnown, useNow } from '../api/clock';
import { useLive } from '../api/live';
import { nameCall } from '../parts/title';
import { hush, listenForTouch, ring } from './sound';
import * as words from './words';
import css from './bench.module.css';

listenForTouch();

export function Alarms() {
  const { data } = api.useQuery('get', '/api/today', undefined, { refetchInterval: 10000, refetchIntervalInBackground: true });
  const { connected } = useLive();
  const now = useNow(1000);
  const [heardAt, hear] = useState(0);
  // While nobody answers it calls by what was last known, and by the house's clock: never by this device's own.
  const isDue = (line: Schemas['StepLine']) => Date.parse(line.start) <= now && Date.parse(line.start) > heardAt;
  const bakes =
    data?.bakes.map((b) => (connected || !isClockKnown() ? b : { ...b, calling: [...b.calling, ...b.willCall].filter(isDue) })) ??
    [];
  const calling = bakes.filter((b) => b.calling.length > 0);
  const what = calling.flatMap((b) => b.calling.map((c) => `${b.id} ${c.step}`)).join(' ');
  const said = calling[0]?.calling[0]?.short;

  useEffect(() => {
    if (!what) return;
    ring();
    nameCall(said ?? '');
    if ('Notification' in window && Notification.permission === 'granted' && document.hidden)
      new Notification(said ?? words.jollyKnot);
    return () => {
      hush();
      nameCall(null);
    };
  }, [what, said]);

  if (calling.length === 0) return null;
  // One line, whatever calls: the others are said once this is heard, and all of them stand on the first screen.
  const [first] = calling;
  const [call] = first?.calling ?? [];
  const more = calling.flatMap((b) => b.calling).length - 1;
  return (
    <div className={css.alarm} role="alert">
      <span>
        {first && call && (
          <Link to={`/bench/${first.id}`}>
            {call.short}, {clockTime(call.start)}
          </Link>
        )}{' '}
        <small className={css.whose}>{first?.title}</small>{' '}
        {more > 0 && <small className={css.more}>{words.andMore(more)}</small>}
      </span>
      <button
        className="button"
        onClick={() => {
          hear(now);
          calling.forEach(tellHeard);
        }}
      >
        {words.heard}
      </button>
    </div>
  );
}
