// When nobody is in: kept in the kitchen, and every day is laid out around it.
import { useState } from 'react';
import { useKeepHours } from '../api/changes';
import { api, type Schemas } from '../api/http';
import { calendarDay, clockTime, houseNow } from '../api/clock';
import { TimeField } from './TimeField';
import * as words from './words';

const hour = 3600000;

export function Away() {
  const { data } = api.useQuery('get', '/api/kitchen/setup');
  const { make } = useKeepHours();
  if (!data) return null;
  const gone = (data.gone ?? []).filter((g) => Date.parse(g.to) > houseNow());
  const up = (data.up ?? []).filter((u) => Date.parse(u) > houseNow());
  const keep = (to: Schemas['TimeBand'][], earlier = up) => make({ ...data, gone: to, up: earlier });
  return (
    <section className="card" aria-label={words.nobodyIn}>
      <h2>{words.nobodyIn}</h2>
      <ul className="lines">
        {gone.map((g, i) => (
          <Band
            key={g.from + g.to}
            band={g}
            set={(to) => void keep(gone.with(i, to))}
            drop={() => void keep(gone.filter((x) => x !== g))}
          />
        ))}
      </ul>
      {up.length > 0 && (
        <p>
          {words.upSooner}{' '}
          {up.map((u) => (
            <span key={u}>
              {calendarDay(u)} <b className="num">{clockTime(u)}</b>{' '}
            </span>
          ))}
          <button className="button small quiet" onClick={() => void keep(data.gone ?? [], [])}>
            {words.asUsual}
          </button>
        </p>
      )}
      <button
        className="button small"
        onClick={() => {
          const from = Math.ceil(houseNow() / hour) * hour;
          void keep([...gone, { from: new Date(from).toISOString(), to: new Date(from + hour).toISOString() }]);
        }}
      >
        {words.awayForAWhile}
      </button>
    </section>
  );
}

function Band({ band, set, drop }: { band: Schemas['TimeBand']; set: (to: Schemas['TimeBand']) => void; drop: () => void }) {
  const [wrong, setWrong] = useState(false);
  const change = (to: Schemas['TimeBand']) => {
    setWrong(Date.parse(to.to) <= Date.parse(to.from));
    if (Date.parse(to.to) > Date.parse(to.from)) set(to);
  };
  return (
    <li>
      {words.from(calendarDay(band.from))}{' '}
      <TimeField label={words.awayFrom} at={band.from} set={(from) => change({ ...band, from })} /> {words.to}{' '}
      <TimeField label={words.awayUntil} at={band.to} set={(to) => change({ ...band, to })} />{' '}
      <button className="button small quiet" onClick={drop} aria-label={words.notAwayAt(clockTime(band.from))}>
        {words.inAfterAll}
      </button>
      {wrong && <span className="problem"> {words.fromOneTimeToA}</span>}
    </li>
  );
}
