// The bench of the whole day: one sentence for all bakes, whatever comes next in any of them, and what would go better.
import { Link } from 'react-router';
import { api } from '../api/http';
import { clockTime, houseSpeed } from '../api/clock';
import { BenchAt } from '../bench/Bench';
import { Loading } from '../parts/Loading';
import { Announcement } from './Troubles';
import * as words from './words';

export default function BenchOfTheDay() {
  const { data, error, refetch } = api.useQuery('get', '/api/today', undefined, {
    refetchInterval: houseSpeed() > 1 ? 1000 : 5000,
  });
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  const [first] = data.bakes;
  if (!first) return <p className="card">{words.nothingIsUnderWay}</p>;
  return (
    <>
      {data.bakes.length > 1 && <Announcement />}
      <BenchAt
        key={first.id}
        id={first.id}
        next={
          data.bakes.length > 1
            ? data.next.map((n) => (
                <Link className="row" key={n.bake + n.step} to={`/bench/${n.bake}`}>
                  <b>{clockTime(n.at)}</b>
                  <span>
                    {n.text} <small className="muted">{n.title}</small>
                  </span>
                </Link>
              ))
            : undefined
        }
      />
    </>
  );
}
