// An oven: what the dial allows, how fast it heats and cools, what goes in.
import type { ReactNode } from 'react';
import type { Schemas } from '../api/http';
import { Drop, Name, Num, NumOrNone, OneOf, Section, Tick } from './form';
import * as words from './words';
import css from './kitchen.module.css';

type Oven = Schemas['Oven'];

const marks: [Schemas['DialMarks'], string][] = [
  ['celsius5', 'every 5 °C'],
  ['fahrenheit5', 'every 5 °F'],
  ['fahrenheit25', 'every 25 °F'],
];

export function OvenFields({
  oven: o,
  usual,
  at,
  put,
  drop,
  children,
}: {
  oven: Oven;
  usual: Oven;
  at: string;
  put: (to: Partial<Oven>) => void;
  drop: () => void;
  /** What was learned of it. */
  children: ReactNode;
}) {
  return (
    <Section title={o.name}>
      <div className={css.kit}>
        <Name at={`${at}.name`} value={o.name} set={(name) => put({ name })} />
        <Num
          label={words.dialFrom}
          of="temperature"
          at={`${at}.dial`}
          value={o.dial.from}
          set={(from) => put({ dial: { ...o.dial, from } })}
        />
        <Num
          label={words.to}
          of="temperature"
          at={`${at}.dial.to`}
          value={o.dial.to}
          set={(to) => put({ dial: { ...o.dial, to } })}
        />
        <Num
          label={words.heatsAMinute}
          of="degrees"
          at={`${at}.degreesPerMinute`}
          value={o.degreesPerMinute}
          usual={usual.degreesPerMinute}
          set={(degreesPerMinute) => put({ degreesPerMinute })}
        />
        <Num
          label={words.coolsAMinute}
          of="degrees"
          at={`${at}.coolsPerMinute`}
          value={o.coolsPerMinute}
          usual={usual.coolsPerMinute}
          set={(coolsPerMinute) => put({ coolsPerMinute })}
        />
        <NumOrNone label={words.insideWide} of="length" at={`${at}.wide`} value={o.wide} set={(wide) => put({ wide })} />
        <NumOrNone label={words.deep} of="length" at={`${at}.deep`} value={o.deep} set={(deep) => put({ deep })} />
        <Num label={words.racks} at={`${at}.racks`} value={o.racks} set={(racks) => put({ racks: Math.round(racks) })} />
        <OneOf
          label={words.dialMarked}
          at={`${at}.marks`}
          value={o.marks ?? usual.marks ?? 'celsius5'}
          options={marks}
          set={(m) => put({ marks: m })}
        />
        <Tick on={o.fan} set={(fan) => put({ fan })}>
          {words.withFan}
        </Tick>
      </div>
      {children}
      <Drop what={o.name} drop={drop} />
    </Section>
  );
}
