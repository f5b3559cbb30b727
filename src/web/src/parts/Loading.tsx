// Until an answer is there: a quiet line, or what went wrong and the way out.
import { Link } from 'react-router';

export function Loading({ error, retry }: { error: unknown; retry?: () => void }) {
  if (!error)
    return (
      <p className="muted" role="status">
        One moment.
      </p>
    );
  const said = (error as { title?: string }).title ?? 'The kitchen server does not answer. Nothing kept was lost.';
  return (
    <div className="card" role="alert">
      <h1 className="said">{said}</h1>
      <p className="choices">
        {retry && (
          <button className="button" onClick={retry}>
            Try again
          </button>
        )}
        <Link className="button quiet" to="/">
          To the day
        </Link>
      </p>
    </div>
  );
}
