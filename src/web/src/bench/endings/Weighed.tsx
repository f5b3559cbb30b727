// A weight: what the scale shows, or what is typed, or what was planned.
import { useState } from 'react';
import { useLive } from '../../api/live';
import { typedOr, isBlank } from '../../parts/typed';
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';
import { Figure, Pieces } from './Shown';

const shown = (grams: number) => String(Math.round(grams * 10) / 10);

export function Weighed(at: AtBeat) {
  const { bake, beat, told } = at;
  const [typed, setTyped] = useState('');
  const { reading } = useLive();
  const onScale = reading?.taken ?? null;
  const unsaid = onScale ?? beat.expected;
  const mass = isBlank(typed) ? unsaid : typedOr(typed, 0);

  const from = !isBlank(typed) ? 'as typed' : onScale !== null ? 'as on the scale' : 'as planned';
  const weigh = () =>
    told({ type: beat.tells as 'dough-weighed' | 'ingredient-weighed', step: beat.step, mass: mass ?? Number.NaN });
  const digit = (d: string) => {
    setTyped((t) => t + d);
    document.getElementById('typed')?.focus();
  };
  return (
    <Frame
      {...at}
      say={beat.phrase.say}
      primary={{ label: beat.phrase.button, hint: mass === null ? '' : `${from}: ${shown(mass)} g`, act: weigh }}
      digit={digit}
      target={beat.expected}
    >
      <Figure {...at} />
      {reading?.bake === bake.id && reading.under && (
        <p className="caution" role="status">
          The scale was not tared: under it is {reading.under}. That leaves {onScale ?? '…'} g.
        </p>
      )}
      <p style={{ margin: 0 }}>
        <label>
          Really in, g{' '}
          <input
            id="typed"
            className="typed"
            inputMode="decimal"
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && weigh()}
            placeholder={unsaid === null ? '' : shown(unsaid)}
          />
        </label>
      </p>
      <Pieces {...at} />
    </Frame>
  );
}
