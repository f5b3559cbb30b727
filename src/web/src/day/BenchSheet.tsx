// The day on one page of paper, to be read at arm's length.
import type { CSSProperties } from 'react';
import { calendarDay, clockTime } from '../api/clock';
import { api } from '../api/http';
import { Loading } from '../parts/Loading';
import { useDay } from './useDay';
import * as words from './words';
import css from './day.module.css';

export default function BenchSheet() {
  const { data, error, refetch } = useDay(800);
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  const [first] = data.hands;
  const bakes = data.bakes.toSorted((a, b) => a.ready.localeCompare(b.ready));
  const contains = bakes.filter((b) => b.allergens).map((b) => words.contains(b.title, b.allergens));
  return (
    <article className={css.sheet} style={{ '--rows': Math.ceil(data.hands.length / 2) } as CSSProperties}>
      <header className="book-head">
        <h1>{first ? calendarDay(first.at) : words.nothingIsPlanned}</h1>
        <button className="button do no-print" onClick={() => window.print()}>
          {words.print}
        </button>
      </header>
      <p className={css.sheetReady}>
        {bakes.map((b) => (
          <span key={b.id}>
            <b className="num">{clockTime(b.ready)}</b> {b.what} <small>({b.title})</small>
          </span>
        ))}
      </p>
      <ol className={css.sheetHands}>
        {data.hands.map((h) => (
          <li key={h.bake + h.step}>
            <b className="num">{clockTime(h.at)}</b>
            <span>
              {h.text}
              {data.bakes.length > 1 && <small> · {h.title}</small>}
            </span>
            <span className="num">{h.figure ? `${h.figure.value} ${h.figure.unit}` : ''}</span>
          </li>
        ))}
      </ol>
      <InTheCold />
      <footer>
        <p>
          {[...new Set(contains)].map((said) => (
            <b key={said}>{said} </b>
          ))}
        </p>
        <p>{data.cautions.join(' ')}</p>
      </footer>
    </article>
  );
}

// What waits in fridge and freezer belongs to the day.
function InTheCold() {
  const { data } = api.useQuery('get', '/api/larder');
  if (!data || data.length === 0) return null;
  return (
    <p>
      <b>{words.inTheCold}</b>{' '}
      {data.map((t) => words.bestUntilUseBy(t.name, t.what, calendarDay(t.bestUntil), calendarDay(t.useBy))).join(' · ')}
    </p>
  );
}
