// A bake that is over: eaten and kept, or stopped.
import { Link } from 'react-router';
import type { BenchView } from '../api/http';
import { useSend } from './useSend';
import * as words from './words';

export function Over({ bake }: { bake: BenchView }) {
  const { send } = useSend(bake);
  const { undo } = bake;
  return (
    <section className="card stack from-start">
      <h1>{bake.status === 'stopped' ? words.wasStopped(bake.title) : words.eatenAndKept(bake.title)}</h1>
      <Link className="button do" to={`/logbook/${bake.id}`}>
        {words.seeItInTheLogbook}
      </Link>
      {undo && (
        <button className="button" onClick={() => send({ type: 'undone', position: undo.position })}>
          {words.takeBackShort(undo.short)}
        </button>
      )}
    </section>
  );
}
