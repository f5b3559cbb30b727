// Dividing: by scale piece by piece, by ruler or by eye.
import { Segmented } from 'antd';
import { useState } from 'react';
import { whenSettled } from '../../api/live';
import type { AtBeat } from '../AtTheBeat';
import type { Primary } from '../Controls';
import { Frame } from '../Frame';
import { weight } from '../scaleUnits';
import { OnTheTable, Station, useDivide } from '../Station';
import { useAskedBack } from '../useAskedBack';
import { useSaid } from '../useSpeech';
import { EyePlan, RulerMarks } from '../WithoutScale';
import * as words from '../words';

type By = 'scale' | 'ruler' | 'eye';
const kept = 'divide';

export function Divided(at: AtBeat) {
  const { bake, beat, send, told } = at;
  const { station } = bake;
  const [typed, setTyped] = useState('');
  const [waiting, setWaiting] = useState(false);
  const divide = useDivide(bake, typed);
  const [by, divideBy] = useBy(station?.noScale ?? false);
  const { asked, ask } = useAskedBack(station?.believed[divide.piece?.cut ?? -1]);
  useSaid(divide.settled ? divide.words : '');
  if (!station) return <Frame {...at} say={beat.phrase.say} primary={null} children={null} />;

  const take = (units: number, number = divide.piece?.number) => {
    if (number === undefined) return;
    send({ type: 'part-weighed', number, mass: units * station.scale.grams });
    setTyped('');
    divide.again(null);
  };
  // Asked for while the figure still swings: taken when it stands.
  const takeWhenStill = async () => {
    setWaiting(true);
    const units = await whenSettled();
    setWaiting(false);
    if (units !== null) take(units);
  };
  const takeThisOne = () => {
    const { units } = divide;
    if (units !== null) ask(typed === '' ? null : units, () => take(units));
    else if (divide.words && !waiting) void takeWhenStill();
  };

  const allDivided = { label: words.allDivided, act: () => told({ type: 'step-done', step: beat.step }) };
  const howItIsTaken = () => {
    if (waiting) return words.takenAsSoonAsIt;
    if (divide.units === null) return words.putItOnTheScale;
    if (asked !== null && asked === divide.units && divide.piece)
      return words.whereIsWantedAgainIf(weight(station.scale, asked), weight(station.scale, divide.piece.target));
    return words.spaceOrEnter(weight(station.scale, divide.units));
  };
  const primary: Primary =
    divide.piece && by === 'scale' ? { label: beat.phrase.button, hint: howItIsTaken(), act: takeThisOne } : allDivided;
  return (
    <Frame
      {...at}
      say={by === 'scale' ? beat.phrase.say : `${beat.phrase.short}.`}
      primary={primary}
      backdated={false}
      digit={(d) => {
        setTyped((t) => t + d);
        document.getElementById('typed')?.focus();
      }}
      shows={
        <>
          {by === 'scale' && <OnTheTable station={station} divide={divide} />}
          {by === 'ruler' && <RulerMarks bake={bake} station={station} />}
          {by === 'eye' && <EyePlan station={station} />}
        </>
      }
      target={divide.piece ? divide.piece.target * station.scale.grams : beat.expected}
    >
      <Segmented<By>
        aria-label={words.divideBy}
        value={by}
        onChange={divideBy}
        options={[
          ...(station.noScale ? [] : [{ value: 'scale' as const, label: words.byScale }]),
          { value: 'ruler', label: words.byRuler },
          { value: 'eye', label: words.byEye },
        ]}
      />
      {by === 'scale' && (
        <Station
          station={station}
          divide={divide}
          typed={typed}
          type={setTyped}
          enter={primary.act}
          takeOver={(number, units) => take(units, number)}
        />
      )}
    </Frame>
  );
}

// What this device chose last; by eye where nothing is weighed.
function useBy(noScale: boolean) {
  const [chosen, setChosen] = useState(() => localStorage.getItem(kept) as By | null);
  const choose = (by: By) => {
    localStorage.setItem(kept, by);
    setChosen(by);
  };
  const usual: By = noScale ? 'eye' : 'scale';
  const possible = chosen === 'scale' && noScale ? null : chosen;
  return [possible ?? usual, choose] as const;
}
