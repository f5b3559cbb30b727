// It happened before now: at which time.
import { clockTime, houseNow } from '../api/clock';
import type { AtBeat } from './AtTheBeat';
import * as words from './words';

export function Since({ beat, since, setSince }: AtBeat) {
  const earlier = beat.phrase.earlier;
  if (since === null)
    return (
      <button
        className="link muted at-start reach"

        onClick={() => setSince(clockTime(houseNow()))}
      >
        {earlier} …
      </button>
    );
  return (
    <label>
      {earlier} <input type="time" className="typed time" value={since} onChange={(e) => setSince(e.target.value || null)} />{' '}
      <button className="link" onClick={() => setSince(null)}>
        {words.noNow}
      </button>
    </label>
  );
}
