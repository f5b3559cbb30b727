// What is wrong with the day, and the better day in one touch; or left as it is.
import { useState } from 'react';
import { bakesChanged, http, type Schemas } from '../api/client';
import { clockTime } from '../api/clock';
import { useDay } from './useDay';

export function Troubles() {
  const { data } = useDay(800);
  return data ? <TroublesOf day={data} /> : null;
}

export function TroublesOf({ day }: { day: Schemas['DayView'] }) {
  const [declined, setDeclined] = useState(() => sessionStorage.getItem('declined'));
  const [busy, setBusy] = useState(false);
  const { findings, proposal } = day;
  if (findings.length === 0) return null;
  const offered = proposal && proposal.key !== declined ? proposal : null;
  async function take() {
    setBusy(true);
    await http.POST('/api/day/arrange');
    setBusy(false);
    bakesChanged();
  }
  async function fix(line: Schemas['FixLine']) {
    setBusy(true);
    await http.POST('/api/day/fix', { body: line });
    setBusy(false);
    bakesChanged();
  }
  return (
    <section className="card troubles" aria-label="In one another’s way">
      <ul className="lines">
        {findings.map((f) => (
          <li key={f.at + f.text} className={f.impossible ? 'late' : ''}>
            <b className="num">{clockTime(f.at)}</b> {f.text}
          </li>
        ))}
      </ul>
      {offered && (
        <div className="offer">
          <h3>Laid out anew</h3>
          <ul className="lines">
            {offered.moves.map((m) => (
              <li key={m.bake + m.text + m.to}>
                {m.text} <span className="muted">({m.title})</span>:{' '}
                <b className="num">
                  {clockTime(m.from)} → {clockTime(m.to)}
                </b>
              </li>
            ))}
          </ul>
          {offered.left.length > 0 && (
            <p className="muted">Still: {offered.left.map((f) => `${clockTime(f.at)} ${f.text}`).join(' ')}</p>
          )}
          <div className="choices">
            <button className="button do" disabled={busy} onClick={() => void take()}>
              Lay the day out so
            </button>
            <button
              className="button"
              onClick={() => {
                sessionStorage.setItem('declined', offered.key);
                setDeclined(offered.key);
              }}
            >
              Leave it as it is
            </button>
          </div>
        </div>
      )}
      {day.fixes.length > 0 && (
        <div className="choices" role="group" aria-label="One change that would do">
          <span>One change that would do:</span>
          {day.fixes.map((f) => (
            <button key={f.bake + f.text} className="button" disabled={busy} onClick={() => void fix(f)}>
              {f.text} {f.at && clockTime(f.at)}
            </button>
          ))}
        </div>
      )}
    </section>
  );
}
