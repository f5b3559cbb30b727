// A place of the household's own to proof, and its griddle.
import type { ReactNode } from 'react';
import type { Schemas } from '../api/http';
import { Drop, Name, Num, NumOrNone, Section, Tick } from './form';
import type { Part } from './KitchenPage';
import * as words from './words';
import css from './kitchen.module.css';

type Props = {
  place: Schemas['Place'];
  usual: Schemas['Place'];
  at: string;
  put: (to: Partial<Schemas['Place']>) => void;
  drop: () => void;
  children: ReactNode;
};

export function PlaceFields({ place: p, usual, at, put, drop, children }: Props) {
  return (
    <Section title={words.whereItRises(p.name)}>
      <div className={css.kit}>
        <Name label={words.theDoughIs} at={`${at}.name`} value={p.name} set={(name) => put({ name })} />
        <Num
          label={words.steadyAt}
          of="temperature"
          at={`${at}.steady`}
          value={p.steady ?? usual.steady}
          usual={usual.steady}
          set={(steady) => put({ steady })}
        />
        <NumOrNone label={words.traysAtOnce} at={`${at}.trays`} value={p.trays} set={(trays) => put({ trays })} />
      </div>
      {children}
      <Drop what={p.name} drop={drop} />
    </Section>
  );
}

export function Griddle({ k, usual, change }: Part) {
  const { griddle } = k;
  return (
    <Section title={words.griddle} usedBy={words.howManyLieOnIt}>
      <div className={css.kit}>
        <Tick on={griddle != null} set={(on) => change({ griddle: on ? usual.griddle : null })}>
          {words.aGriddle}
        </Tick>
        {griddle && (
          <>
            <Num
              label={words.griddleLong}
              of="length"
              at="griddle.length"
              value={griddle.length}
              set={(length) => change({ griddle: { ...griddle, length } })}
            />
            <Num
              label={words.griddleWide}
              of="length"
              at="griddle.width"
              value={griddle.width}
              set={(width) => change({ griddle: { ...griddle, width } })}
            />
          </>
        )}
      </div>
    </Section>
  );
}
