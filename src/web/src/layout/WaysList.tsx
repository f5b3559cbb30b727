// Where bakers disagree: how this one does it. Only what this bake has a use for is asked.
import { Checkbox, Select } from 'antd';
import type { Schemas } from '../api/http';
import { Field } from '../parts/Field';
import css from './layout.module.css';

type Ways = Schemas['Ways'];

const covers: [NonNullable<Ways['cover']>, string][] = [
  ['greased-film', 'greased film'],
  ['damp-cloth', 'damp cloth'],
  ['dry-cloth', 'dry cloth'],
  ['bare', 'nothing'],
];
const steams: [NonNullable<Ways['steam']>, string][] = [
  ['tray', 'tray and hot water'],
  ['stones', 'porous stones'],
  ['mist', 'spraying'],
  ['none', 'none'],
];
const coolings: [NonNullable<Ways['cooling']>, string][] = [
  ['rack', 'on a rack: crisp'],
  ['cloth', 'under a cloth: soft'],
  ['cooling-oven', 'in the cooling oven'],
];
export const laters: [Schemas['LaterLoads'], string][] = [
  ['wait', 'wait their turn'],
  ['shaped-later', 'shaped later'],
  ['held-cool', 'held cool first'],
];
function options<T extends string>(of: [T, string][]) {
  return of.map(([value, label]) => ({ value, label }));
}
// An empty choice leaves it to what is usual.
const usual = 'usual' as const;

export function WaysList({
  ways,
  usualWays,
  set,
  cuts,
}: {
  ways: Ways;
  usualWays: Ways;
  set: (to: Partial<Ways>) => void;
  cuts: Schemas['CutView'][] | undefined;
}) {
  const has = (what: (c: Schemas['CutView']) => boolean) => cuts?.some(what) ?? false;
  const early = (label: string, first: boolean, change: (first: boolean) => void) => (
    <Checkbox checked={first} onChange={(e) => change(e.target.checked)}>
      {label} before the proof
    </Checkbox>
  );
  return (
    <details className={`wide ${css.ways}`}>
      <summary>How you do it: cover, surface, steam, cooling</summary>
      <div className={css.waysList}>
        <Field id="cover" label="Covered with">
          <Select
            id="cover"
            value={ways.cover ?? usualWays.cover ?? null}
            onChange={(cover) => set({ cover })}
            options={options(covers)}
          />
        </Field>
        {has((c) => c.washed) && early('Washed', ways.washesFirst ?? false, (washesFirst) => set({ washesFirst }))}
        {has((c) => c.scored) && early('Scored', ways.scoresFirst ?? false, (scoresFirst) => set({ scoresFirst }))}
        {has((c) => c.steamed) && (
          <Field id="steam" label="Steam">
            <Select
              id="steam"
              value={ways.steam ?? usual}
              onChange={(steam) => set({ steam: steam === usual ? null : steam })}
              options={[{ value: usual, label: 'as usual' }, ...options(steams)]}
            />
          </Field>
        )}
        <Field id="cooling" label="Cools">
          <Select
            id="cooling"
            value={ways.cooling ?? usual}
            onChange={(cooling) => set({ cooling: cooling === usual ? null : cooling })}
            options={[{ value: usual, label: 'as its crust wants' }, ...options(coolings)]}
          />
        </Field>
        <Checkbox checked={ways.buttered ?? false} onChange={(e) => set({ buttered: e.target.checked })}>
          Buttered while hot
        </Checkbox>
      </div>
    </details>
  );
}
