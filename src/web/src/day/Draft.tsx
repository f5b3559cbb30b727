// The day as it would be, beside the day as it is: what moves, what is still wrong, and done or taken back.
import { useArrangeDay } from '../api/changes';
import { type Schemas } from '../api/http';
import { clockTime, span } from '../api/clock';
import type { Change } from './useDraft';
import * as words from './words';
import css from './day.module.css';

const figures = (f: Schemas['DayFigures']) =>
  [
    f.late > 0 ? words.late(span(f.late * 1000)) : words.inTime,
    f.waits > 0 ? words.breadWaits(span(f.waits * 1000)) : words.nothingWaits,
    words.fromToAt(clockTime(f.begins), clockTime(f.ends)),
  ].join(' · ');

export function Draft({
  changes,
  proposal,
  problem,
  looking,
  back,
  forget,
}: {
  changes: Change[];
  proposal: Schemas['Proposal'] | null;
  problem: string | undefined;
  looking: boolean;
  back: () => void;
  forget: () => void;
}) {
  const { make, busy } = useArrangeDay();
  async function take() {
    const { answer } = await make(changes);
    if (answer) forget();
  }
  return (
    <section className="card stack" aria-label={words.asItWouldBe}>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {proposal && !problem && (
        <>
          <table className="plain compare">
            <tbody>
              <tr>
                <th>{words.asItIs}</th>
                <td>{figures(proposal.was)}</td>
              </tr>
              <tr>
                <th>{words.asItWouldBe}</th>
                <td>
                  <b>{figures(proposal.then)}</b>
                </td>
              </tr>
            </tbody>
          </table>
          <Moves moves={proposal.moves} />
          <Left left={proposal.left} />
          {looking && <p className="muted">{words.lookingForABetterOne}</p>}
        </>
      )}
      <div className="choices">
        <button className="button do" disabled={busy || !proposal || !!problem} onClick={() => void take()}>
          {words.layTheDayOutSo}
        </button>
        <button className="button" onClick={back}>
          {words.takeTheLastChangeBack}
        </button>
        {changes.length > 1 && (
          <button className="button" onClick={forget}>
            {words.leaveAllAsItIs}
          </button>
        )}
      </div>
    </section>
  );
}

export function Moves({ moves }: { moves: Schemas['MoveLine'][] }) {
  if (moves.length === 0) return <p className="muted">{words.nothingElseMoves}</p>;
  return (
    <ul className={`lines ${css.moves}`}>
      {moves.map((m) => (
        <li key={m.bake + m.text + m.to}>
          {m.text} <span className="muted">({m.title})</span>:{' '}
          <b className="num">
            {clockTime(m.from)} → {clockTime(m.to)}
          </b>
        </li>
      ))}
    </ul>
  );
}

export function Left({ left }: { left: Schemas['FindingLine'][] }) {
  if (left.length === 0) return null;
  return (
    <ul className="lines" aria-label={words.still}>
      {left.map((f) => (
        <li key={f.at + f.text} className={f.impossible ? 'late' : ''}>
          {words.still} <b className="num">{clockTime(f.at)}</b> {f.text}
        </li>
      ))}
    </ul>
  );
}
