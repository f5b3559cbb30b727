// Past bakes, the latest first.
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../api/http';
import { calendarDay, span } from '../api/clock';
import { weight } from '../bench/scaleUnits';
import { Choice } from '../parts/Choice';
import { Loading } from '../parts/Loading';
import { Search } from '../parts/Search';
import { useLater } from '../parts/useLater';
import { usePhoto } from './Photo';
import * as words from './words';
import css from './logbook.module.css';

const atOnce = 50;
type Wanted = 'all' | 'good';

export default function Logbook() {
  const [search, setSearch] = useState('');
  const [wanted, want] = useState<Wanted>('all');
  const [take, setTake] = useState(atOnce);
  const query = useLater({ search: search.trim() || undefined, good: wanted === 'good' || undefined, take }, 120);
  const { data, error, refetch } = api.useQuery(
    'get',
    '/api/logbook',
    { params: { query } },
    { placeholderData: (before) => before },
  );
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  const isAll = !query.search && !query.good;
  if (data.length === 0 && isAll)
    return (
      <section className="card">
        <h1>{words.logbook}</h1>
        <p>
          {words.noBakeIsOverYet} <Link to="/">{words.toToday}</Link>
        </p>
      </section>
    );
  return (
    <>
      <div className="book-head">
        <h1>{words.logbook}</h1>
        <Search
          of={words.doughBreadNoteDay}
          value={search}
          set={(to) => {
            setSearch(to);
            setTake(atOnce);
          }}
        />
        <Choice
          label={words.which}
          value={wanted}
          options={[
            ['all', words.all],
            ['good', words.goodOnes],
          ]}
          set={want}
        />
      </div>
      {data.length === 0 && <p className="card">{words.noBakeThatIsOver}</p>}
      {data.map((b) => (
        <article key={b.id} className="card logline">
          <Seen bake={b.id} day={b.finishedAt ? calendarDay(b.finishedAt) : ''} />
          <div>
            <h2>
              <Link to={`/logbook/${b.id}`}>{b.title}</Link>
            </h2>
            <span className="muted">
              {b.what}
              {b.status === 'stopped'
                ? words.stopped
                : ` · ${b.onTime ? words.onTime : `${span(Math.abs(b.lateBy) * 1000)} ${b.lateBy > 0 ? words.late : words.early}`}`}
              {b.spread !== null ? words.spread(weight(b.scale, b.spread)) : ''}
            </span>
            {b.note && <p className="under">{b.note}</p>}
          </div>
          {b.stars !== null && <Stars n={b.stars} />}
        </article>
      ))}
      {data.length === take && (
        <button type="button" className="button" onClick={() => setTake(take + atOnce)}>
          {words.showOlderOnes}
        </button>
      )}
    </>
  );
}

function Seen({ bake, day }: { bake: string; day: string }) {
  const photo = usePhoto(bake);
  return (
    <span className="muted">
      {photo && <img className="thumb" src={photo} alt="" loading="lazy" />}
      {day}
    </span>
  );
}

export const Stars = ({ n }: { n: number }) => (
  <span className={css.stars} role="img" aria-label={words.of5(n)}>
    {'★'.repeat(n)}
    {'☆'.repeat(5 - n)}
  </span>
);
