// Labels to print: what it is, when it was baked, until when it keeps, what is in it.
import { useParams } from 'react-router';
import { api } from '../api/http';
import { calendarDay } from '../api/clock';
import { Loading } from '../parts/Loading';
import { BreadPicture } from '../shaping/BreadPicture';
import * as words from './words';
import css from './oven.module.css';

export default function Labels() {
  const { id = '' } = useParams();
  const { data, error } = api.useQuery('get', '/api/bakes/{id}/labels', { params: { path: { id } } });
  if (!data) return <Loading error={error} />;
  return (
    <>
      <header className="book-head no-print">
        <h1>{words.labels}</h1>
        <button className="button do" onClick={() => window.print()}>
          {words.print}
        </button>
      </header>
      <div className={css.labels}>
        {data.flatMap((l, k) =>
          Array.from({ length: Math.min(l.pieces, 24) }, (_, i) => (
            <article key={`${k}-${i}`} className={css.bagLabel}>
              <BreadPicture look={l.look} width={64} />
              <h2>{l.name}</h2>
              <p>
                {l.what}, {l.weight}
              </p>
              <p>
                {words.baked(calendarDay(l.baked))}{' '}
                {l.keepBy && words.keptBy(l.keepCold ? words.keepColdUse : words.best, calendarDay(l.keepBy))}
              </p>
              <p>{l.ingredients}</p>
              <p>
                <b>{l.allergens}</b>
              </p>
            </article>
          )),
        )}
      </div>
      <p className="muted no-print">{words.forSaleOrAPublic}</p>
    </>
  );
}
