// Out of the pan: how far it has grown, where it goes then, and how it feels.
import { useState } from 'react';
import { api, type Schemas } from '../../api/http';
import { span } from '../../api/clock';
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';
import { Figure } from './Shown';
import * as words from '../words';

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
  const ways: Way[] = [{ bulk: null, name: words.asPlanned }, ...others];
  const doubled = words.inABowl(span(more * 1000));
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
            {more > 0 && words.inABowlWouldDouble(span(more * 1000))}
          </p>
          <Chosen
            label={words.howFarItHasGrown}
            of={rise.answers.map((a) => ({ key: a.seen, name: a.label, is: a.seen === seen }))}
            choose={see}
          />
        </>
      )}
      <Chosen
        label={words.andThen}
        of={ways.map((way) => ({ key: way.name, name: way.name, is: way.bulk === bulk }))}
        choose={(key) => setBulk(ways.find((w) => w.name === key)?.bulk ?? null)}
      />
      <p>{words.itIsOutHowDoes}</p>
      <div className="answers" role="group" aria-label={words.answers}>
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
