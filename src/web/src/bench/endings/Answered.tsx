// Yes, or one of the answers that bring advice.
import { useState } from 'react';
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';
import { Figure } from './Shown';
import * as words from '../words';

export function Answered(at: AtBeat) {
  const { beat, told } = at;
  const [advice, setAdvice] = useState('');
  const yes = { label: beat.phrase.button, act: () => told({ type: 'step-done', step: beat.step }) };
  return (
    <Frame {...at} say={beat.phrase.say} primary={yes}>
      <Figure {...at} />
      <div className="answers" role="group" aria-label={words.answers}>
        {beat.answers.map((a) => (
          <button key={a.value} className="button" onClick={() => setAdvice(a.hint)}>
            {a.label}
          </button>
        ))}
      </div>
      {advice && (
        <p className="caution" role="status">
          {advice}
        </p>
      )}
    </Frame>
  );
}
