// Out of the pan: how far it has grown, where it goes then, and how it feels.
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
  const [seen, setSeen] = useState<Schemas['Seen'] | null>(null);
  const kitchen = api.useQuery('get', '/api/kitchen');
  const rise = bake.firstRise;
  const believed = rise?.answers.find((a) => a.seen === seen) ?? rise;
  const more = believed?.toDoubled ?? 0;
  const others: Way[] = (kitchen.data?.afters ?? [])
    .filter((a) => !a.after.early)
    .map((a) => ({ bulk: a.after.bulk, name: a.name }));
  const ways: Way[] = [{ bulk: null, name: 'as planned' }, ...others];
  const doubled = `${span(more * 1000)} in a bowl`;
  if (more > 0 && !others.some((w) => w.name === doubled)) ways.push({ bulk: more, name: doubled });
  // What was chosen for another look is not on offer any more.
  const see = (key: string) => {
    setSeen(key === seen ? null : (key as Schemas['Seen']));
    setBulk(null);
  };
  return (
    <Frame {...at} say={beat.phrase.say} primary={null}>
      <Figure {...at} />
      {rise && (
        <>
          <p className="detail">
            {seen === null && `${rise.reckoned} `}
            {more > 0 && `${span(more * 1000)} in a bowl would double it.`}
          </p>
          <Chosen
            label="How far it has grown"
            of={rise.answers.map((a) => ({ key: a.seen, name: a.label, is: a.seen === seen }))}
            choose={see}
          />
        </>
      )}
      <Chosen
        label="And then"
        of={ways.map((way) => ({ key: way.name, name: way.name, is: way.bulk === bulk }))}
        choose={(key) => setBulk(ways.find((w) => w.name === key)?.bulk ?? null)}
      />
      <p>It is out. How does it feel?</p>
      <div className="answers" role="group" aria-label="Answers">
        {beat.answers.map((a) => (
          <button
            key={a.value}
            className="button"
            onClick={() =>
              told({ type: 'dough-taken-out', step: beat.step, feel: a.value as Schemas['DoughFeel'], bulk, risen: seen })
            }
          >
            {a.label}
          </button>
        ))}
      </div>
    </Frame>
  );
}

type Choice = { key: string; name: string; is: boolean };

function Chosen({ label, of, choose }: { label: string; of: Choice[]; choose: (key: string) => void }) {
  return (
    <div className="answers" role="group" aria-label={label}>
      {of.map(({ key, name, is }) => (
        <button key={key} className={is ? 'button small chosen' : 'button small'} aria-pressed={is} onClick={() => choose(key)}>
          {name}
        </button>
      ))}
    </div>
  );
}
