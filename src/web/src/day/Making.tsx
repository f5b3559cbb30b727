// How a bake that has not begun is made: every choice is tried on the day at once, and nothing is done yet.
import { Select } from 'antd';
import type { Schemas } from '../api/http';
import { freshChoices } from '../api/clock';
import { NumberInput } from '../parts/NumberInput';
import { Field } from '../parts/Field';
import { TimeField } from './TimeField';
import type { Change } from './useDraft';
import * as words from './words';
import css from './day.module.css';

type Kind = Change['kind'];
const hour = 3600;

export function Making({
  bake,
  changes,
  add,
}: {
  bake: Schemas['DayBakeView'];
  changes: Change[];
  add: (change: Change) => void;
}) {
  const { making } = bake;
  if (!making) return null;
  const { dial } = making.ovenDial;
  const id = (name: string) => `${bake.id}-${name}`;
  const changed = (kind: Kind) => changes.findLast((c) => c.bake === bake.id && c.kind === kind);
  const pick = (name: string, kind: Kind, label: string, now: string, of: Schemas['Choosable'][]) => (
    <Field id={id(name)} label={label}>
      <Select
        id={id(name)}
        value={changed(kind)?.id ?? now}
        onChange={(to) => add({ bake: bake.id, kind, id: to })}
        options={of.map((c) => ({ value: c.id, label: c.name }))}
      />
    </Field>
  );
  const spanOf = (kind: Kind, now: number | null | undefined) => {
    const to = changed(kind);
    return to ? (to.length ?? null) : (now ?? null);
  };
  const wanted = changed('ready-by')?.at ?? bake.wanted ?? bake.ready;
  const soon = changed('ready-by') ? changed('ready-by')?.at == null : bake.wanted === null;
  return (
    <div className={css.making}>
      <Field id={id('wanted')} label={words.wantedAtLabel}>
        <TimeField
          label={words.wantedAtTitle(bake.title)}
          at={wanted}
          set={(at) => add({ bake: bake.id, kind: 'ready-by', at })}
        />
      </Field>
      {pick('machine', 'machine', words.machine, making.machine, making.machines)}
      {making.ovens.length > 1 && pick('oven', 'oven', words.oven, making.oven, making.ovens)}
      {pick('place', 'place', words.proof, making.place, making.places)}
      {making.heat != null && (
        <Field id={id('heat')} label={words.ovenName(dial.name)}>
          <NumberInput
            id={id('heat')}
            of="temperature"
            unit={dial}
            value={changed('heat')?.heat ?? making.heat}
            onChange={(heat) => heat && add({ bake: bake.id, kind: 'heat', heat })}
          />
        </Field>
      )}
      <Field id={id('fresh')} label={words.howFresh}>
        <Select
          id={id('fresh')}
          value={spanOf('fresh', making.fresh) ?? 0}
          onChange={(to) => add({ bake: bake.id, kind: 'fresh', length: to || null })}
          options={freshChoices(making.usualFresh)}
        />
      </Field>
      <Field id={id('fridge')} label={words.inTheFridgeFirstH}>
        <NumberInput
          id={id('fridge')}
          value={(spanOf('fridge', making.fridge) ?? 0) / hour}
          onChange={(to) => add({ bake: bake.id, kind: 'fridge', length: to ? to * hour : null })}
        />
      </Field>
      <div className="choices">
        <button className="button small" aria-pressed={soon} onClick={() => add({ bake: bake.id, kind: 'ready-by', at: null })}>
          {words.asSoonAsCanBe}
        </button>
        <button
          className="button small"
          aria-pressed={spanOf('bowl', making.bowl) !== null}
          onClick={() =>
            add({ bake: bake.id, kind: 'bowl', length: spanOf('bowl', making.bowl) === null ? making.usualBowl : null })
          }
        >
          {words.riseInABowl}
        </button>
        {making.trays && (
          <button className="button small" onClick={() => add({ bake: bake.id, kind: 'fewer-trays' })}>
            {words.oneTrayLess}
          </button>
        )}
      </div>
    </div>
  );
}
