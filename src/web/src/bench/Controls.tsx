// The bar under the thumb: take back, the one big control, leave out, speak.
import type { AtBeat } from './AtTheBeat';
import { press } from './useDeaf';
import { useSpeech } from './useSpeech';
import * as words from './words';
import css from './bench.module.css';

/** The big control. */
export type Primary = { label: string; act: () => void; hint?: string };

export function Controls({
  bake,
  beat,
  chosen,
  back,
  send,
  told,
  primary,
  deaf,
  waits,
}: AtBeat & { primary: Primary | null; deaf: boolean; waits: boolean }) {
  const { undo, redo } = bake;
  return (
    <div className="bar" role="group" aria-label={words.controls}>
      <button className="button" disabled={!undo} onClick={() => undo && send({ type: 'undone', position: undo.position })}>
        {words.takeBack}
        <small>{undo?.short ?? words.nothingYet}</small>
      </button>
      {redo && (
        <button className="button" onClick={() => send({ type: 'undone', position: redo.position })}>
          {words.putItBack}
        </button>
      )}
      {primary && (
        <button className={waits ? 'button do' : `button do ${css.deaf}`} onClick={() => press(primary.act)} disabled={deaf}>
          {primary.label}
          {primary.hint !== undefined && <small>{primary.hint}</small>}
        </button>
      )}
      {chosen ? (
        <button className="button" onClick={back}>
          {words.notThisOne}
        </button>
      ) : (
        <button className="button" onClick={() => told({ type: 'step-skipped', step: beat.step })}>
          {words.skip}
          <small>{beat.phrase.short}</small>
        </button>
      )}
      <SpeakButton />
    </div>
  );
}

function SpeakButton() {
  const [spoken, speakOrNot] = useSpeech();
  return (
    <button className="button" aria-pressed={spoken} onClick={() => speakOrNot(!spoken)}>
      {spoken ? words.speaking : words.speak}
    </button>
  );
}
