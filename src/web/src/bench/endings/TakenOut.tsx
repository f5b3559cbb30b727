// Out of the pan: how it feels, and where it goes then.
import { useState } from 'react';
import { api, type Schemas } from '../../api/http';
import { span } from '../../api/clock';
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';
import { Figure } from './Shown';

type Way = { bulk: number | null; name: string };

export function TakenOut(at: AtBeat) {
  const { bake, beat, told } = at;
  const [bulk, setBulk] = useState<number | null>(null);
  const kitchen = api.useQuery('get', '/api/kitchen');
  const others = (kitchen.data?.afters ?? []).filter((a) => !a.after.early);
  const ways: Way[] = [{ bulk: null, name: 'as planned' }, ...others.map((a) => ({ bulk: a.after.bulk, name: a.name }))];
  return (
    <Frame {...at} say={beat.phrase.say} primary={null}>
      <Figure {...at} />
      <div className="answers" role="group" aria-label="And then">
        {ways.map((way) => (
          <button
            key={way.name}
            className={way.bulk === bulk ? 'button small chosen' : 'button small'}
            aria-pressed={way.bulk === bulk}
            onClick={() => setBulk(way.bulk)}
          >
            {way.name}
          </button>
        ))}
      </div>
      {bake.firstRise && (
        <p className="detail">
          By now it should have grown {Math.round(bake.firstRise.rise * 100)} %.
          {bake.firstRise.toDoubled ? ` ${span(bake.firstRise.toDoubled * 1000)} in a bowl would double it.` : ''}
        </p>
      )}
      <p>It is out. How does it feel?</p>
      <div className="answers" role="group" aria-label="Answers">
        {beat.answers.map((a) => (
          <button
            key={a.value}
            className="button"
            onClick={() => told({ type: 'dough-taken-out', step: beat.step, feel: a.value as Schemas['DoughFeel'], bulk })}
          >
            {a.label}
          </button>
        ))}
      </div>
    </Frame>
  );
}
