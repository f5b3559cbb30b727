// A place of the household's own to proof, and its griddle.
import type { ReactNode } from 'react';
import type { Schemas } from '../api/http';
import { Drop, Name, Num, NumOrNone, Section, Tick } from './form';
import type { Part } from './KitchenPage';
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
    <Section title={`Where it rises: ${p.name}`}>
      <div className={css.kit}>
        <Name label="The dough is …" at={`${at}.name`} value={p.name} set={(name) => put({ name })} />
        <Num
          label="Steady at"
          of="temperature"
          at={`${at}.steady`}
          value={p.steady ?? usual.steady}
          usual={usual.steady}
          set={(steady) => put({ steady })}
        />
        <NumOrNone label="Trays at once" at={`${at}.trays`} value={p.trays} set={(trays) => put({ trays })} />
      </div>
      {children}
      <Drop what={p.name} drop={drop} />
    </Section>
  );
}

export function Griddle({ k, usual, change }: Part) {
  const { griddle } = k;
  return (
    <Section title="Griddle" usedBy="how many lie on it at once">
      <div className={css.kit}>
        <Tick on={griddle != null} set={(on) => change({ griddle: on ? usual.griddle : null })}>
          a griddle
        </Tick>
        {griddle && (
          <>
            <Num
              label="Griddle long"
              of="length"
              at="griddle.length"
              value={griddle.length}
              set={(length) => change({ griddle: { ...griddle, length } })}
            />
            <Num
              label="Griddle wide"
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
