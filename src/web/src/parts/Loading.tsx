// Until an answer is there: a quiet line, or what went wrong and the way out.
import { Link } from 'react-router';
import * as words from './words';

export function Loading({ error, retry }: { error: unknown; retry?: () => void }) {
  if (!error)
    return (
      <p className="muted" role="status">
        {words.oneMoment}
      </p>
    );
  const said = (error as { title?: string }).title ?? words.theKitchenServerDoesNot;
  return (
    <div className="card" role="alert">
      <h1 className="said">{said}</h1>
      <p className="choices">
        {retry && (
          <button className="button" onClick={retry}>
            {words.tryAgain}
          </button>
        )}
        <Link className="button quiet" to="/">
          {words.toTheDay}
        </Link>
      </p>
    </div>
  );
}
