// Where bakers disagree: how this one does it. Only what this bake has a use for is asked.
import { Checkbox, Select } from 'antd';
import type { Schemas } from '../api/http';
import { Field } from '../parts/Field';
import * as words from './words';
import css from './layout.module.css';

type Ways = Schemas['Ways'];

const covers: [NonNullable<Ways['cover']>, string][] = [
  ['greased-film', words.greasedFilm],
  ['damp-cloth', words.dampCloth],
  ['dry-cloth', words.dryCloth],
  ['bare', 'nothing'],
];
const steams: [NonNullable<Ways['steam']>, string][] = [
  ['tray', words.trayAndHotWater],
  ['stones', words.porousStones],
  ['mist', 'spraying'],
  ['none', 'none'],
];
const coolings: [NonNullable<Ways['cooling']>, string][] = [
  ['rack', words.onARackCrisp],
  ['cloth', words.underAClothSoft],
  ['cooling-oven', words.inTheCoolingOven],
];
export const laters: [Schemas['LaterLoads'], string][] = [
  ['wait', words.waitTheirTurn],
  ['shaped-later', words.shapedLater],
  ['held-cool', words.heldCoolFirst],
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
      {words.beforeTheProof(label)}
    </Checkbox>
  );
  return (
    <details className={`wide ${css.ways}`}>
      <summary>{words.howYouDoItCover}</summary>
      <div className={css.waysList}>
        <Field id="cover" label={words.coveredWith}>
          <Select
            id="cover"
            value={ways.cover ?? usualWays.cover ?? null}
            onChange={(cover) => set({ cover })}
            options={options(covers)}
          />
        </Field>
        {has((c) => c.washed) && early(words.washed, ways.washesFirst ?? false, (washesFirst) => set({ washesFirst }))}
        {has((c) => c.scored) && early(words.scored, ways.scoresFirst ?? false, (scoresFirst) => set({ scoresFirst }))}
        {has((c) => c.steamed) && (
          <Field id="steam" label={words.steam}>
            <Select
              id="steam"
              value={ways.steam ?? usual}
              onChange={(steam) => set({ steam: steam === usual ? null : steam })}
              options={[{ value: usual, label: words.asUsual }, ...options(steams)]}
            />
          </Field>
        )}
        <Field id="cooling" label={words.cools}>
          <Select
            id="cooling"
            value={ways.cooling ?? usual}
            onChange={(cooling) => set({ cooling: cooling === usual ? null : cooling })}
            options={[{ value: usual, label: words.asItsCrustWants }, ...options(coolings)]}
          />
        </Field>
        <Checkbox checked={ways.buttered ?? false} onChange={(e) => set({ buttered: e.target.checked })}>
          {words.butteredWhileHot}
        </Checkbox>
      </div>
    </details>
  );
}
