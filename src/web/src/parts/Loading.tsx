// Until an answer is there: a quiet line, or what went wrong and the way out.
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
      <p>{said}</p>
      {retry && (
        <button className="button" onClick={retry}>
          Try again
        </button>
      )}
    </div>
  );
}
