// Tells the open bake what happened, based on what this screen has seen of it.
import { useCallback } from 'react';
import { houseNow } from '../api/clock';
import { useTell } from '../api/change';
import { newId, type BakeEvent, type BenchView } from '../api/http';
import { answer } from './sound';
import { isSpeaking } from './useSpeech';
import * as words from './words';

const nothing = () => undefined;

export function useSend(bake: BenchView, done: () => void = nothing) {
  const tell = useTell(bake.id);
  const said = bake.beat?.phrase.short ?? bake.title;
  const send = useCallback(
    (event: BakeEvent) =>
      // The tones also where the live line brought the next beat, and took this one away, before the answer.
      tell
        .mutateAsync(
          { event, basedOn: bake.position, id: newId(), at: new Date(houseNow()).toISOString(), said: saidOf(event, said) },
          { onSuccess: done },
        )
        .then(
          () => isSpeaking() && answer('taken'),
          () => isSpeaking() && answer('refused'),
        ),
    [tell, bake.position, said, done],
  );
  return { tell, send };
}

const saidOf = (event: BakeEvent, beat: string) => (event.type === 'undone' ? words.takeBack : beat);
