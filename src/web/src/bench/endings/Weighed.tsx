// A weight: what the scale shows, or what is typed, or what was planned. Without a scale it was measured.
import { useLive } from '../../api/live';
import { useTyped } from '../../parts/useTyped';
import { useUnits } from '../../parts/units';
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';
import { useAskedBack } from '../useAskedBack';
import { Figure } from './Shown';
import * as words from '../words';

export function Weighed(at: AtBeat) {
  return at.beat.onScale ? <OnScale {...at} /> : <Measured {...at} />;
}

const tellsOf = ({ beat }: AtBeat) => beat.tells as 'dough-weighed' | 'ingredient-weighed';

function Measured(at: AtBeat) {
  const { beat, told } = at;
  const isIn = () => told({ type: tellsOf(at), step: beat.step, mass: beat.expected ?? Number.NaN });
  return (
    <Frame {...at} say={beat.phrase.say} primary={{ label: beat.phrase.button, act: isIn }}>
      <Figure {...at} />
    </Frame>
  );
}

function OnScale(at: AtBeat) {
  const { bake, beat, told } = at;
  const typed = useTyped('mass');
  const { asked, ask } = useAskedBack(beat.believed);
  const { reading } = useLive();
  const { mass: said } = useUnits();
  const onScale = reading?.taken ?? null;
  const unsaid = onScale ?? beat.expected;
  const mass = typed.blank ? unsaid : typed.value;

  const from = !typed.blank ? 'as typed' : onScale !== null ? words.asOnTheScale : words.asPlanned;
  const tell = (of: number | null) => told({ type: tellsOf(at), step: beat.step, mass: of ?? Number.NaN });
  const weigh = () => ask(mass, () => tell(mass));
  const digit = (d: string) => {
    typed.type(typed.text + d);
    document.getElementById('typed')?.focus();
  };
  const isAsked = asked !== null && asked === mass;
  return (
    <Frame
      {...at}
      say={beat.phrase.say}
      primary={{
        label: isAsked ? words.yesItIs(said(asked)) : beat.phrase.button,
        hint: mass === null ? '' : `${from}: ${said(mass)}`,
        act: weigh,
      }}
      digit={digit}
      target={beat.expected}
    >
      <Figure {...at} />
      {isAsked && (
        <p className="caution" role="alert">
          {words.whereWasPlanned(said(asked), said(beat.expected ?? 0))}
        </p>
      )}
      {reading?.bake === bake.id && reading.under && (
        <p className="caution" role="status">
          {words.theScaleWasNotTared(reading.under)} {onScale === null ? '…' : said(onScale)}.
        </p>
      )}
      <p className="tight">
        <label>
          {words.reallyIn(typed.unit)}{' '}
          <input
            id="typed"
            className="typed"
            inputMode="decimal"
            value={typed.text}
            onChange={(e) => typed.type(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && weigh()}
            placeholder={unsaid === null ? '' : said(unsaid).split(' ')[0]}
          />
        </label>
      </p>
    </Frame>
  );
}
