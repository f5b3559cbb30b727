// The dough book.
import { message } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBringBack, usePutAway } from '../api/changes';
import { api, type Schemas } from '../api/http';
import { Loading } from '../parts/Loading';
import { Search } from '../parts/Search';
import { percent, useUnits } from '../parts/units';
import { useLater } from '../parts/useLater';
import { DoughBar } from './DoughBar';
import { Starters } from './Starters';
import * as words from './words';
import css from './doughs.module.css';

const atOnce = 50;

export default function Doughs() {
  const [search, setSearch] = useState('');
  const [take, setTake] = useState(atOnce);
  const query = useLater({ search: search.trim(), take }, 120);
  const { data, error, refetch } = api.useQuery(
    'get',
    '/api/doughs',
    { params: { query } },
    { placeholderData: (before) => before },
  );
  const [told, shown] = message.useMessage();
  const away = usePutAway();
  const back = useBringBack();
  if (!data) return <Loading error={error} retry={() => void refetch()} />;

  async function putAway(dough: Schemas['DoughLine']) {
    const { trouble } = await away.make(dough.id);
    if (trouble) return;
    const key = dough.id;
    told.open({
      key,
      duration: 10,
      content: (
        <>
          {words.isPutAway(dough.name)}{' '}
          <button
            className="button"
            onClick={async () => {
              const { trouble: notBack } = await back.make(dough.id);
              if (!notBack) told.destroy(key);
            }}
          >
            {words.bringItBack}
          </button>
        </>
      ),
    });
  }

  return (
    <>
      {shown}
      <div className="book-head">
        <h1>{words.doughs}</h1>
        <Search
          of={words.namesAndIngredients}
          value={search}
          set={(to) => {
            setSearch(to);
            setTake(atOnce);
          }}
        />
        <Link className="button" to="/doughs/read">
          {words.readARecipe}
        </Link>
        <Link className="button do" to="/doughs/new">
          {words.yourOwnDough}
        </Link>
      </div>
      {data.total === 0 && query.search === '' && <Starters />}
      {data.total === 0 && query.search !== '' && <p className="card">{words.nothingInTheBookHas(query.search)}</p>}
      <div className={css.book}>
        {data.doughs.map((d) => (
          <DoughCard key={d.id} dough={d} putAway={() => void putAway(d)} />
        ))}
      </div>
      {data.doughs.length < data.total && (
        <button className="button" onClick={() => setTake(take + atOnce)}>
          {words.ofShowMore(data.doughs.length, data.total)}
        </button>
      )}
      <PutAway />
    </>
  );
}

// What was put away can be brought back, however long ago that was.
function PutAway() {
  const { data } = api.useQuery('get', '/api/doughs/away');
  const back = useBringBack();
  if (!data || data.length === 0) return null;
  return (
    <details className="card">
      <summary className="reach">{words.putAway(data.length)}</summary>
      <ul className="lines">
        {data.map((d) => (
          <li className="row" key={d.id}>
            <Link className="grows" to={`/doughs/${d.id}`}>
              {d.name}
            </Link>
            <button className="button small" aria-label={words.bringBack(d.name)} onClick={() => void back.make(d.id)}>
              {words.bringItBackShort}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}

function DoughCard({ dough: d, putAway }: { dough: Schemas['DoughLine']; putAway: () => void }) {
  const { mass } = useUnits();
  return (
    <article className="card">
      <h2>
        <Link to={`/doughs/${d.id}`}>{d.name}</Link>
      </h2>
      <span className="muted num">
        {words.hydrationMass(mass(d.total), percent(d.hydration, 0))} {d.isRich ? words.rich : words.lean}
        {d.byHand ? words.byHand : ''}
        {d.parts.length > 0 ? words.withParts(d.parts.join(', ')) : ''}
      </span>
      <DoughBar rows={d.rows} />
      <div className="row">
        <Link className="button" to={`/lay-out?dough=${d.id}`}>
          {words.layOutABake}
        </Link>
        <Link className="button" to={`/doughs/${d.id}/load`}>
          {words.load}
        </Link>
        <button className="button quiet at-end" onClick={putAway} aria-label={words.putAwayName(d.name)}>
          {words.putItAway}
        </button>
      </div>
    </article>
  );
}
