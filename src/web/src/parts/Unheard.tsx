// What was told and not yet heard, and what somebody else was quicker with: nothing is dropped, and the baker says what holds.
import { api } from '../api/http';
import { leave, tellAgain, useOutbox, type Told } from '../api/outbox';
import * as words from './words';

export function Unheard() {
  const { told, tries } = useOutbox();
  const unheard = told.filter((t) => !t.refused);
  return (
    <>
      {tries > 0 && unheard.length > 0 && (
        <div className="offline" role="status">
          {words.toldNotYetHeardKept(unheard.length, unheard.map((t) => t.said).join(', '))}
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
          {words.meanwhileSomebodyTold} <b>{meanwhile.map((l) => l.text).join(' ')}</b> {words.youTold} <b>{told.said}.</b>
        </>
      ) : (
        <>
          {words.youTold} <b>{told.said}.</b> {told.refused?.title}
        </>
      )}{' '}
      <button className="button small" onClick={() => tellAgain(told.id, last)}>
        {words.mineHoldsToo}
      </button>{' '}
      <button className="button small quiet" onClick={() => leave(told.id)}>
        {words.leaveMine}
      </button>
    </div>
  );
}
