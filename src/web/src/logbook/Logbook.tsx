// Past bakes, the latest first.
import { Link } from 'react-router';
import { api } from '../api/http';
import { calendarDay, span } from '../api/clock';
import { weight } from '../bench/scaleUnits';
import { Loading } from '../parts/Loading';

export default function Logbook() {
  const { data, error, refetch } = api.useQuery('get', '/api/logbook');
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  if (data.length === 0) return <p className="card">No bake is over yet. The first one will be here when it is eaten.</p>;
  return (
    <>
      <h1>Logbook</h1>
      {data.map((b) => (
        <article key={b.id} className="card logline">
          <span className="muted">{b.finishedAt && calendarDay(b.finishedAt)}</span>
          <div>
            <h2>
              <Link to={`/logbook/${b.id}`}>{b.title}</Link>
            </h2>
            <span className="muted">
              {b.what}
              {b.status === 'stopped'
                ? ' · stopped'
                : ` · ${b.onTime ? 'on time' : `${span(Math.abs(b.lateBy) * 1000)} ${b.lateBy > 0 ? 'late' : 'early'}`}`}
              {b.spread !== null ? ` · spread ${weight(b.scale, b.spread)}` : ''}
            </span>
            {b.note && <p style={{ margin: '8px 0 0' }}>{b.note}</p>}
          </div>
          {b.stars !== null && <Stars n={b.stars} />}
        </article>
      ))}
    </>
  );
}

export const Stars = ({ n }: { n: number }) => (
  <span className="stars" role="img" aria-label={`${n} of 5`}>
    {'★'.repeat(n)}
    {'☆'.repeat(5 - n)}
  </span>
);
