// Nothing to do yet: what comes next, and how long until then.
import { useState } from 'react';
import { clockTime, countdown, span, useNow } from '../../api/clock';
import type { BenchView } from '../../api/http';
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';
import * as words from '../words';

export function NotYet({ begin, ...at }: AtBeat & { begin: () => void }) {
  const { bake, beat } = at;
  const now = useNow();
  const left = Date.parse(beat.due) - now;
  return (
    <Frame {...at} say={beat.say} begun={false} primary={null}>
      <div className="figure" role="timer" aria-label={words.inShort(beat.phrase.short)}>
        {countdown(left)}
      </div>
      <p className="detail">{words.then(clockTime(beat.due), beat.phrase.short)}</p>
      <Sooner {...at} begin={begin} left={left} />
      {bake.display && <MachineDisplay display={bake.display} />}
    </Frame>
  );
}

// Before its time it is a smaller control, and asked once where bread would suffer.
function Sooner({ beat, told, begin, left }: AtBeat & { begin: () => void; left: number }) {
  const [asked, setAsked] = useState(false);
  const now = () => (beat.ending === 'done' ? told({ type: 'step-done', step: beat.step }) : begin());
  if (!asked)
    return (
      <p>
        <button className="button" onClick={() => (beat.asksFirst ? setAsked(true) : now())}>
          {beat.phrase.short.endsWith('?') ? words.nowShort(beat.phrase.short.slice(0, -1)) : words.itIsNow(beat.phrase.short)}
        </button>
      </p>
    );
  return (
    <p role="group" aria-label={words.beforeItsTime} className="choices">
      {words.thatIsBeforeItsTime(span(left))}
      <button className="button" onClick={now}>
        {beat.phrase.button}
      </button>
      <button className="button quiet" onClick={() => setAsked(false)}>
        {words.notYet}
      </button>
    </p>
  );
}

function MachineDisplay({ display }: { display: NonNullable<BenchView['display']> }) {
  const shown = display.finishAt
    ? words.theTimeItEnds(clockTime(display.finishAt))
    : words.minLeft(countdown((display.left ?? 0) * 1000).replace(/:\d\d$/, ''));
  return <p className="detail">{words.theDisplayShouldShow(shown)}</p>;
}
