// A shelf of base doughs for a house that has none yet: one touch takes one into the book and lays it out.
import { Link, useNavigate } from 'react-router';
import { useTakeStarter } from '../api/changes';
import { dayAndTime } from '../api/clock';
import { api, newId } from '../api/http';
import { BreadPicture } from '../shaping/BreadPicture';
import * as words from './words';
import css from './doughs.module.css';

export function Starters() {
  const { data } = api.useQuery('get', '/api/starters', undefined, { staleTime: 60_000 });
  const shelf = useTakeStarter();
  const navigate = useNavigate();
  const take = async (name: string) => {
    const id = newId();
    const { trouble } = await shelf.make({ id, name });
    if (!trouble) await navigate(`/lay-out?dough=${id}`);
  };
  return (
    <section aria-label={words.doughsToBeginWith}>
      <h2>{words.doughsToBeginWith}</h2>
      <div className={`shelf ${css.starters}`}>
        {data?.map((s) => (
          <button key={s.name} className="card" disabled={shelf.busy} onClick={() => void take(s.name)}>
            <BreadPicture look={s.look} />
            <b>{s.name}</b>
            {s.ready && <span className="muted">{words.ready(s.becomes, dayAndTime(s.ready))}</span>}
          </button>
        ))}
        <Link className="card" to="/doughs/read">
          <b>{words.readARecipe}</b>
          <span className="muted">{words.pasteItAsItStands}</span>
        </Link>
      </div>
    </section>
  );
}
