// What was told and not yet heard, and what somebody else was quicker with: nothing is dropped, and the baker says what holds.
import { api } from '../api/http';
import { leave, tellAgain, useOutbox, type Told } from '../api/outbox';

export function Unheard() {
  const { told, tries } = useOutbox();
  const unheard = told.filter((t) => !t.refused);
  return (
    <>
      {tries > 0 && unheard.length > 0 && (
        <div className="offline" role="status">
          {unheard.length} told, not yet heard: {unheard.map((t) => t.said).join(', ')}. Kept in this browser until the kitchen
          server answers.
        </div>
      )}
      {told
        .filter((t) => t.refused)
        .map((t) => (
          <Crossed key={t.id} told={t} />
        ))}
    </>
  );
}

// Both are shown.
function Crossed({ told }: { told: Told }) {
  const log = api.useQuery('get', '/api/bakes/{id}/log', { params: { path: { id: told.bake } } });
  const meanwhile = log.data?.filter((l) => l.position > told.basedOn && l.stands) ?? [];
  const last = log.data?.at(-1)?.position ?? told.basedOn;
  return (
    <div className="offline crossed" role="alert">
      {meanwhile.length > 0 ? (
        <>
          Meanwhile somebody told: <b>{meanwhile.map((l) => l.text).join(' ')}</b> You told: <b>{told.said}.</b>
        </>
      ) : (
        <>
          You told: <b>{told.said}.</b> {told.refused?.title}
        </>
      )}{' '}
      <button className="button small" onClick={() => tellAgain(told.id, last)}>
        Mine holds too
      </button>{' '}
      <button className="button small quiet" onClick={() => leave(told.id)}>
        Leave mine
      </button>
    </div>
  );
}
