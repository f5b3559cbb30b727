// Nothing to do yet: what comes next, and how long until then.
import { clockTime, countdown, useNow } from '../../api/clock';
import type { BenchView } from '../../api/http';
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';

export function NotYet({ begin, ...at }: AtBeat & { begin: () => void }) {
  const { bake, beat, told } = at;
  const now = useNow();
  const soon = () => (beat.ending === 'done' ? told({ type: 'step-done', step: beat.step }) : begin());
  return (
    <Frame {...at} say={beat.say} begun={false} primary={{ label: `${beat.phrase.short} now`, act: soon }}>
      <div className="figure" role="timer" aria-label={`${beat.phrase.short} in`}>
        {countdown(Date.parse(beat.due) - now)}
      </div>
      <p className="detail">
        then: {beat.phrase.short}, {clockTime(beat.due)}
      </p>
      {bake.display && <MachineDisplay display={bake.display} />}
    </Frame>
  );
}

function MachineDisplay({ display }: { display: NonNullable<BenchView['display']> }) {
  const shown = display.finishAt
    ? `${clockTime(display.finishAt)}, the time it ends`
    : `${countdown((display.left ?? 0) * 1000).replace(/:\d\d$/, '')} min left`;
  return <p className="detail">The display should show {shown}.</p>;
}
