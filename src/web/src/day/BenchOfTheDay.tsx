// The bench of the whole day: whichever bake wants something first.
import { Navigate } from 'react-router';
import { api } from '../api/client';
import { Loading } from '../parts/Loading';

export function BenchOfTheDay() {
  const { data, error, refetch } = api.useQuery('get', '/api/today');
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  const [first] = data.bakes;
  return first ? <Navigate replace to={`/bench/${first.id}`} /> : <p className="card">Nothing is under way.</p>;
}
