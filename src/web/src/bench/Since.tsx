// It happened before now: at which time.
import { clockTime, houseNow } from '../api/clock';
import type { AtBeat } from './AtTheBeat';

export function Since({ beat, since, setSince }: AtBeat) {
  const words = beat.phrase.earlier;
  if (since === null)
    return (
      <button
        className="link muted at-start reach"

        onClick={() => setSince(clockTime(houseNow()))}
      >
        {words} …
      </button>
    );
  return (
    <label>
      {words} <input type="time" className="typed time" value={since} onChange={(e) => setSince(e.target.value || null)} />{' '}
      <button className="link" onClick={() => setSince(null)}>
        no, now
      </button>
    </label>
  );
}
