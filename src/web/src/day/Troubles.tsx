// What is wrong with the day, and the better day in one touch; or left as it is. And the one change that would do.
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useArrangeDay } from '../api/changes';
import { type Schemas } from '../api/http';
import { clockTime } from '../api/clock';
import { Left, Moves } from './Draft';
import { useDay } from './useDay';
import { useDraft, type Change } from './useDraft';
import * as words from './words';
import css from './day.module.css';

// More than these nobody reads.
const most = 4;

/** On the first screen: a change that would do opens the day with it. */
export function Troubles() {
  const { data } = useDay(800);
  const draft = useDraft();
  const navigate = useNavigate();
  function change(to: Change) {
    draft.add(to);
    void navigate('/day');
  }
  return data ? (
    <>
      <TroublesOf day={data} />
      <Offered day={data} change={change} />
    </>
  ) : null;
}

// A better day, unless it was declined; taken, or declined, in one touch.
function useOffer(day: Schemas['DayView'] | undefined) {
  const [declined, setDeclined] = useState(() => sessionStorage.getItem('declined'));
  const { make, busy } = useArrangeDay();
  const proposal = day?.proposal;
  return {
    offered: proposal && proposal.key !== declined ? proposal : null,
    busy,
    take: async () => void (await make([])),
    decline: (key: string) => {
      sessionStorage.setItem('declined', key);
      setDeclined(key);
    },
  };
}

function TakeOrLeave({
  busy,
  take,
  leave,
  small,
}: {
  busy: boolean;
  take: () => Promise<void>;
  leave: () => void;
  small?: boolean;
}) {
  return (
    <div className="choices">
      <button className={small ? 'button small' : 'button do'} disabled={busy} onClick={() => void take()}>
        {words.layTheDayOutSo}
      </button>
      <button className={small ? 'button small quiet' : 'button'} onClick={leave}>
        {words.leaveItAsItIs}
      </button>
    </div>
  );
}

/** At the bench: what would go better, in one line. */
export function Announcement() {
  const { data } = useDay(800);
  const { offered, busy, take, decline } = useOffer(data);
  const [first, ...more] = (offered?.moves ?? []).toSorted((a, b) => a.to.localeCompare(b.to));
  if (!offered || !first) return null;
  const why = offered.why ?? (offered.otherwise && words.otherwise(offered.otherwise));
  return (
    <section className={`card ${css.announcement}`} role="status" aria-label={words.theDayWouldGoBetter}>
      <p>
        {first.text} <span className="muted">({first.title})</span>{' '}
        <b className="num">
          {clockTime(first.from)} → {clockTime(first.to)}
        </b>
        {more.length > 0 && (
          <>
            , <Link to="/day">{words.andMore(more.length)}</Link>
          </>
        )}
        {why && <span className="muted"> · {why}</span>}
      </p>
      <TakeOrLeave busy={busy} take={take} leave={() => decline(offered.key)} small />
    </section>
  );
}

export function TroublesOf({ day }: { day: Schemas['DayView'] }) {
  const { findings } = day;
  if (findings.length === 0) return null;
  return (
    <section className="card" aria-label={words.inOneAnothersWay}>
      <ul className="lines">
        {findings.slice(0, most).map((f) => (
          <li key={f.at + f.text} className={f.impossible ? 'late' : ''}>
            <b className="num">{clockTime(f.at)}</b> {f.text}
          </li>
        ))}
        {findings.length > most && <li className="muted">{words.andMoreLikeThese(findings.length - most)}</li>}
      </ul>
    </section>
  );
}

/** A better day, and the one change that would do. It is found out later, so it stands below what is there already. */
export function Offered({ day, change }: { day: Schemas['DayView']; change: (to: Change) => void }) {
  const { offered, busy, take, decline } = useOffer(day);
  if (day.findings.length === 0 || (!offered && day.fixes.length === 0)) return null;
  return (
    <section className="card stack" aria-label={words.whatWouldDo}>
      {offered && (
        <>
          <h2 className="small-head">{words.laidOutAnew}</h2>
          {offered.why && <p className="tight">{offered.why}</p>}
          <Moves moves={offered.moves} />
          <Left left={offered.left} />
          <TakeOrLeave busy={busy} take={take} leave={() => decline(offered.key)} />
        </>
      )}
      <Fixes fixes={day.fixes} change={change} />
    </section>
  );
}

export function Fixes({ fixes, change }: { fixes: Schemas['FixLine'][]; change: (to: Change) => void }) {
  if (fixes.length === 0) return null;
  return (
    <div className="choices" role="group" aria-label={words.oneChangeThatWouldDo}>
      <span>{words.oneChange}</span>
      {fixes.map((f) => (
        <button key={f.change.bake + f.text} className="button" onClick={() => change(f.change)}>
          {f.text} {f.change.at && clockTime(f.change.at)}
        </button>
      ))}
    </div>
  );
}
