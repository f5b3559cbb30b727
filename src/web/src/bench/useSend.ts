// Tells the open bake what happened, based on what this screen has seen of it.
import { useCallback } from 'react';
import { useTell } from '../api/change';
import { newId, type BakeEvent, type BenchView } from '../api/http';

const nothing = () => undefined;

export function useSend(bake: BenchView, done: () => void = nothing) {
  const tell = useTell(bake.id);
  const send = useCallback(
    (event: BakeEvent) => tell.mutate({ event, basedOn: bake.position, id: newId() }, { onSuccess: done }),
    [tell, bake.position, done],
  );
  return { tell, send };
}
