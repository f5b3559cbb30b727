// How the dough feels at the check, and what was added to it.
import { useState } from 'react';
import { clockTime } from '../../api/clock';
import type { BenchView, Schemas } from '../../api/http';
import { NumberInput } from '../../parts/NumberInput';
import { percent, useUnits } from '../../parts/units';
import { useKept } from '../../parts/useKept';
import type { AtBeat } from '../AtTheBeat';
import { DoughState } from '../DoughState';
import { Frame } from '../Frame';
import { Figure } from './Shown';
import * as words from '../words';
import css from '../bench.module.css';

type Answer = Schemas['Answer'];
type Check = NonNullable<BenchView['check']>;

export function Felt(at: AtBeat) {
  const { bake, beat } = at;
  const [value, choose] = useKept<string | null>(`felt/${bake.id}/${beat.step}/${bake.position}`, null);
  const chosen = beat.answers.find((a) => a.value === value);
  return (
    <Frame {...at} say={beat.phrase.say} primary={null}>
      <Figure {...at} />
      {bake.check && <SoFar check={bake.check} />}
      <div className={`answers ${css.feels}`} role="group" aria-label={words.howItFeels}>
        {beat.answers.map((a) => (
          <button
            key={a.value}
            className={chosen === a ? 'button chosen' : 'button'}
            aria-pressed={chosen === a}
            onClick={() => choose(a.value)}
          >
            <DoughState feel={a.value as Schemas['DoughFeel']} />
            {a.label}
            <small>{a.hint}</small>
          </button>
        ))}
      </div>
      {chosen && <Dose key={chosen.value} {...at} answer={chosen} />}
    </Frame>
  );
}

function SoFar({ check }: { check: Check }) {
  const { mass } = useUnits();
  if (check.stop)
    return (
      <div className="caution" role="status">
        <b>{words.noMoreDosesIsA(check.added)}</b>
        <ul className={css.slips}>
          {check.slips.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ul>
      </div>
    );
  if (!check.added && check.before.length === 0) return null;
  return (
    <p className="detail">
      {check.added ? words.soFarHydrationInThe(check.added, percent(check.hydration), mass(check.dough)) : check.before.join(' ')}
    </p>
  );
}

// What the answer asks for stands in the fields; what was really added is told.
function Dose({ answer, bake, beat, told }: AtBeat & { answer: Answer }) {
  const typed = `dose/${bake.id}/${beat.step}/${bake.position}/${answer.value}`;
  const [water, setWater] = useKept(`${typed}/water`, answer.water);
  const [flour, setFlour] = useKept(`${typed}/flour`, answer.flour);
  const { shown } = useUnits();
  const { check } = bake;
  const dose = { water: water ?? 0, flour: flour ?? 0 };
  const isAny = dose.water !== 0 || dose.flour !== 0;
  const feel = answer.value as Schemas['DoughFeel'];
  return (
    <div className={`answers ${css.dose}`}>
      <Grams
        label={`${check?.held ? words.pouredIn(check.liquid ?? words.liquid) : words.waterAdded}, ${shown.mass.name}`}
        value={water}
        change={setWater}
        of={check?.held ? (check.liquid ?? 'liquid') : 'water'}
        spoon={check?.waterSpoon}
        wait={check?.betweenSpoons}
      />
      <Grams
        label={words.flourAdded(shown.mass.name)}
        value={flour}
        change={setFlour}
        of="flour"
        spoon={check?.flourSpoon}
        wait={check?.betweenSpoons}
      />
      <button className="button do" onClick={() => told({ type: 'dough-checked', step: beat.step, feel, ...dose })}>
        {isAny ? words.added : words.leaveItAlone}
      </button>
      {check && isAny && (
        <span className="muted">
          {check.wait === null ? words.itHardlyKneadsAnyMore : words.thenWaitMinAndLook(Math.round(check.wait / 60))}
          {check.wait !== null && check.lastLook && words.aDoseHelpsUntilAbout(clockTime(check.lastLook))}
        </span>
      )}
    </div>
  );
}

type GramsField = {
  label: string;
  of: string;
  value: number | null | undefined;
  change: (mass: number | null) => void;
  spoon: number | undefined;
  /** From one spoon to the next, seconds. */
  wait: number | undefined;
};

// Grams, or counted up by the spoon.
function Grams({ label, of, value, change, spoon, wait }: GramsField) {
  const [spoons, setSpoons] = useState(0);
  const more = (by: number) => {
    setSpoons(spoons + 1);
    change((value ?? 0) + by);
  };
  return (
    <span className={css.bySpoon}>
      <label>
        {label} <NumberInput className="typed" of="mass" value={value} onChange={change} placeholder="0" />
      </label>
      {spoon !== undefined && (
        <button type="button" className="button small" aria-label={words.aSpoonOfMore(of)} onClick={() => more(spoon)}>
          {words.aSpoon}
        </button>
      )}
      {spoons > 0 && wait !== undefined && (
        <small className="muted" role="status">
          {spoons === 1 ? words.n1Spoon : words.spoons(spoons)}
          {': '}
          {words.minBeforeTheNext(Math.round(wait / 60))}
        </small>
      )}
    </span>
  );
}
