// What is due calls here, on every page, until somebody has heard it anywhere.
import { useEffect } from 'react';
import { Link } from 'react-router';
import { useHush } from '../api/changes';
import { api } from '../api/http';
import { clockTime } from '../api/clock';
import { hush, listenForTouch, ring } from './sound';

listenForTouch();

export function Alarms() {
  const { data } = api.useQuery('get', '/api/today', undefined, { refetchInterval: 10000, refetchIntervalInBackground: true });
  const hushBake = useHush();
  const calling = data?.bakes.filter((b) => b.calling.length > 0) ?? [];
  const what = calling.flatMap((b) => b.calling.map((c) => `${b.id} ${c.step}`)).join(' ');
  const said = calling[0]?.calling[0]?.short;

  useEffect(() => {
    if (!what) return;
    ring();
    const title = document.title;
    nameTab(`● ${said}`);
    if ('Notification' in window && Notification.permission === 'granted' && document.hidden)
      new Notification(said ?? 'Jolly Knot');
    return () => {
      hush();
      nameTab(title);
    };
  }, [what, said]);

  if (calling.length === 0) return null;
  return (
    <div className="alarm" role="alert">
      <span>
        {calling.map((b) => (
          <span key={b.id}>
            <Link to={`/bench/${b.id}`}>{b.calling.map((c) => `${c.short}, ${clockTime(c.start)}`).join(' · ')}</Link>{' '}
            <small>{b.title}</small>{' '}
          </span>
        ))}
      </span>
      <button className="button" onClick={() => calling.forEach((bake) => void hushBake.make(bake))}>
        Heard
      </button>
    </div>
  );
}

function nameTab(title: string) {
  document.title = title;
}
