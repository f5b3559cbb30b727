// A step that is simply done.
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';
import { Figure } from './Shown';

export function Done(at: AtBeat) {
  const { beat, told } = at;
  const done = { label: beat.phrase.button, act: () => told({ type: 'step-done', step: beat.step }) };
  return (
    <Frame {...at} say={beat.phrase.say} primary={done}>
      <Figure {...at} />
    </Frame>
  );
}
