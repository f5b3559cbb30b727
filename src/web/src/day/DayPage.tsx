// The day in full: every dough together, what is in whose way, minute by minute for the hands, what the ovens do, and why.
import { Link } from 'react-router';
import { clockTime, span } from '../api/clock';
import { Loading } from '../parts/Loading';
import { useWidth } from '../parts/useWidth';
import { StrandPicture } from '../strands/StrandPicture';
import { TroublesOf } from './Troubles';
import { useDay } from './useDay';

export default function DayPage() {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { data, error, refetch } = useDay(width);
  return (
    <>
      <div className="book-head">
        <h1>The day</h1>
        <Link className="button" to="/day/sheet" style={{ marginLeft: 'auto' }}>
          Bench sheet
        </Link>
        <a className="button" href="/api/day.ics">
          Calendar
        </a>
        <Link className="button do" to="/bench">
          To the bench
        </Link>
      </div>
      {data && <TroublesOf day={data} />}
      <div className="picture-box" ref={ref}>
        {data?.picture && (
          <StrandPicture picture={data.picture} title={`The day: ${data.bakes.map((b) => b.title).join(', ')}`} />
        )}
        {!data && <Loading error={error} retry={() => void refetch()} />}
      </div>
      {data?.bakes.length === 0 && <p className="card">Nothing is planned. Lay a bake out first.</p>}
      {data && data.bakes.length > 0 && (
        <div className="columns">
          <section className="card" aria-label="What the hands do">
            <h2>What the hands do</h2>
            <table className="plain">
              <tbody>
                {data.hands.map((h) => (
                  <tr key={h.bake + h.step}>
                    <td className="num">
                      <b>{clockTime(h.at)}</b>
                    </td>
                    <td>
                      {h.text} <span className="muted">· {h.title}</span>
                    </td>
                    <td className="num muted">{h.length >= 60 ? span(h.length * 1000) : ''}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          <div className="stack">
            <section className="card" aria-label="What the ovens do">
              <h2>What the ovens do</h2>
              <ul className="lines">
                {data.ovens.map((o) => (
                  <li key={o.oven + o.from + o.text}>
                    <b className="num">
                      {clockTime(o.from)} to {clockTime(o.to)}
                    </b>{' '}
                    {o.oven}: {o.text}
                  </li>
                ))}
              </ul>
            </section>
            {data.bakes.map((b) => (
              <details key={b.id} className="card why">
                <summary>
                  Why {b.title} begins at {clockTime(b.start)}
                </summary>
                <p className="muted">
                  Ready {clockTime(b.ready)}
                  {b.wanted ? `, wanted ${clockTime(b.wanted)}` : ''}. These leave no slack:
                </p>
                <ol className="lines">
                  {b.why.map((w) => (
                    <li key={w.at + w.text}>
                      <b className="num">{clockTime(w.at)}</b> {w.text}
                      {w.length >= 60 ? `, ${span(w.length * 1000)}` : ''}
                      {w.held ? ' · waits for the rest of the day' : ''}
                    </li>
                  ))}
                </ol>
              </details>
            ))}
          </div>
        </div>
      )}
    </>
  );
}
