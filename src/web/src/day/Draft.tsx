// The day as it would be, beside the day as it is: what moves, what is still wrong, and done or taken back.
import { useArrangeDay } from '../api/changes';
import { type Schemas } from '../api/http';
import { clockTime, span } from '../api/clock';
import type { Change } from './useDraft';
import css from './day.module.css';

const figures = (f: Schemas['DayFigures']) =>
  [
    f.late > 0 ? `${span(f.late * 1000)} late` : 'in time',
    f.waits > 0 ? `bread waits ${span(f.waits * 1000)}` : 'nothing waits',
    `from ${clockTime(f.begins)} to ${clockTime(f.ends)}`,
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
    <section className="card stack" aria-label="As it would be">
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
                <th>As it is</th>
                <td>{figures(proposal.was)}</td>
              </tr>
              <tr>
                <th>As it would be</th>
                <td>
                  <b>{figures(proposal.then)}</b>
                </td>
              </tr>
            </tbody>
          </table>
          <Moves moves={proposal.moves} />
          <Left left={proposal.left} />
          {looking && <p className="muted">Looking for a better one …</p>}
        </>
      )}
      <div className="choices">
        <button className="button do" disabled={busy || !proposal || !!problem} onClick={() => void take()}>
          Lay the day out so
        </button>
        <button className="button" onClick={back}>
          Take the last change back
        </button>
        {changes.length > 1 && (
          <button className="button" onClick={forget}>
            Leave all as it is
          </button>
        )}
      </div>
    </section>
  );
}

export function Moves({ moves }: { moves: Schemas['MoveLine'][] }) {
  if (moves.length === 0) return <p className="muted">Nothing else moves.</p>;
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
    <ul className="lines" aria-label="Still">
      {left.map((f) => (
        <li key={f.at + f.text} className={f.impossible ? 'late' : ''}>
          Still <b className="num">{clockTime(f.at)}</b> {f.text}
        </li>
      ))}
    </ul>
  );
}
