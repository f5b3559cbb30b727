// Ovens: what the dial allows, how fast they heat and cool, what goes in.
import { newId, type Schemas } from '../api/http';
import { Add, Drop, listOf, Name, Num, NumOrNone, OneOf, Section, Tick, Wrong } from './form';
import type { Part } from './KitchenPage';

type Oven = Schemas['Oven'];

const marks: [Schemas['DialMarks'], string][] = [
  ['celsius5', 'every 5 °C'],
  ['fahrenheit5', 'every 5 °F'],
  ['fahrenheit25', 'every 25 °F'],
];

export function Ovens({ k, usual, change }: Part) {
  const ovens = listOf(k.ovens, (o) => change({ ovens: o }));
  return (
    <Section title="Ovens">
      {ovens.all.map((oven, i) => (
        <OvenLine
          key={oven.id}
          oven={oven}
          usual={usual.oven}
          at={`ovens[${i}]`}
          put={(to) => ovens.put(i, to)}
          drop={() => ovens.drop(i)}
        />
      ))}
      <Wrong at="ovens" />
      <Add what="an oven" add={() => ovens.add({ ...usual.oven, id: newId() })} />
    </Section>
  );
}

function OvenLine({
  oven: o,
  usual,
  at,
  put,
  drop,
}: {
  oven: Oven;
  usual: Oven;
  at: string;
  put: (to: Partial<Oven>) => void;
  drop: () => void;
}) {
  return (
    <div className="kit line">
      <Name at={`${at}.name`} value={o.name} set={(name) => put({ name })} />
      <Num
        label="Dial from"
        of="temperature"
        at={`${at}.dial`}
        value={o.dial.from}
        set={(from) => put({ dial: { ...o.dial, from } })}
      />
      <Num label="to" of="temperature" at={`${at}.dial.to`} value={o.dial.to} set={(to) => put({ dial: { ...o.dial, to } })} />
      <Num
        label="Heats a minute"
        of="degrees"
        at={`${at}.degreesPerMinute`}
        value={o.degreesPerMinute}
        set={(degreesPerMinute) => put({ degreesPerMinute })}
      />
      <Num
        label="Cools a minute"
        of="degrees"
        at={`${at}.coolsPerMinute`}
        value={o.coolsPerMinute}
        set={(coolsPerMinute) => put({ coolsPerMinute })}
      />
      <NumOrNone label="Inside wide" of="length" at={`${at}.wide`} value={o.wide} set={(wide) => put({ wide })} />
      <NumOrNone label="deep" of="length" at={`${at}.deep`} value={o.deep} set={(deep) => put({ deep })} />
      <Num label="Racks" at={`${at}.racks`} value={o.racks} set={(racks) => put({ racks: Math.round(racks) })} />
      <OneOf
        label="Dial marked"
        at={`${at}.marks`}
        value={o.marks ?? usual.marks ?? 'celsius5'}
        options={marks}
        set={(m) => put({ marks: m })}
      />
      <Tick on={o.fan} set={(fan) => put({ fan })}>
        with fan
      </Tick>
      <Drop what={o.name} drop={drop} />
    </div>
  );
}
