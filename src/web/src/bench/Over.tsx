// A bake that is over: eaten and kept, or stopped.
import { Link } from 'react-router';
import type { BenchView } from '../api/http';
import { useSend } from './useSend';

export function Over({ bake }: { bake: BenchView }) {
  const { send } = useSend(bake);
  const { undo } = bake;
  return (
    <section className="card stack from-start">
      <h1>{bake.status === 'stopped' ? `${bake.title} was stopped.` : `${bake.title}: eaten and kept.`}</h1>
      <Link className="button do" to={`/logbook/${bake.id}`}>
        See it in the logbook
      </Link>
      {undo && (
        <button className="button" onClick={() => send({ type: 'undone', position: undo.position })}>
          Take back: {undo.short}
        </button>
      )}
    </section>
  );
}
