// How one cut is baked: when, in which oven, how hot, with which wash and pan, and how its baker makes it.
import { Checkbox, Select, Segmented } from 'antd';
import type { Schemas } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { Field } from '../parts/Field';
import { shown, useUnits } from '../parts/units';
import * as words from './words';
import css from './layout.module.css';

type CutChoice = Schemas['CutChoice'];
type CutView = Schemas['CutView'];

/** Shaped now, and baked another day. */
export const waits: [Schemas['ShapedIn'], string][] = [
  ['fridge', words.shapedIntoTheFridge],
  ['freezer', words.shapedIntoTheFreezer],
];

const slashes: [Schemas['Slashes'], string][] = [
  ['none', 'none'],
  ['cross', words.aCross],
  ['long', words.oneLong],
  ['diagonals', 'slanting'],
];
const aMinute = 60;

type Props = {
  cut: CutChoice;
  found: CutView | undefined;
  kitchen: Schemas['KitchenView'];
  i: number;
  parts: Schemas['PartView'][];
  change: (to: Partial<CutChoice>) => void;
  problem: (field: string) => string | undefined;
};

export function CutMore({ ovenId, ...at }: Props & { ovenId: string }) {
  const { cut, i, change, problem } = at;
  const mark = i === 0 ? '' : ` ${i + 1}`;
  return (
    <div className={css.cutMore}>
      <Field id={`keep${i}`} label={words.baked(mark)} problem={problem(`cuts[${i}].keep`)}>
        <Select
          id={`keep${i}`}
          popupMatchSelectWidth={false}
          value={(cut.keep ?? '') as string}
          onChange={(keep) => change({ keep: waits.find(([k]) => k === keep)?.[0] ?? null })}
          options={[
            { value: '', label: words.withTheRest },
            ...waits.map(([value, label]) => ({ value: value as string, label: words.anotherDay(label) })),
          ]}
        />
      </Field>

      {/* What waits is asked for its oven when it is baked. */}
      {!cut.keep && <Today {...at} ovenId={ovenId} />}
    </div>
  );
}

function Today({ cut, found, kitchen, i, ovenId, parts, change, problem }: Props & { ovenId: string }) {
  const oven = kitchen.ovens.find((o) => o.id === (cut.ovenId ?? ovenId)) ?? kitchen.ovens[0];
  const heat = cut.heat ?? found?.heat;
  const mark = i === 0 ? '' : ` ${i + 1}`;
  return (
    <>
      {kitchen.ovens.length > 1 && (
        <Field id={`oven${i}`} label={words.bakedIn(mark)} problem={problem(`cuts[${i}].ovenId`)}>
          <Select
            id={`oven${i}`}
            value={cut.ovenId ?? ovenId}
            onChange={(id) => change({ ovenId: id === ovenId ? null : id })}
            options={kitchen.ovens.map((o) => ({ value: o.id, label: o.name }))}
          />
        </Field>
      )}
      {oven && (
        <Field id={`heat${i}`} label={words.ovenName(oven.dial.name, mark)} problem={problem(`cuts[${i}].heat`)}>
          <NumberInput id={`heat${i}`} of="temperature" unit={oven.dial} value={heat} onChange={(to) => change({ heat: to })} />
        </Field>
      )}
      {(found?.schools ?? []).length > 0 && (
        <div className={css.cutSchools}>
          {found?.schools.map((s) => (
            <button key={s.heat} type="button" className="button small quiet" onClick={() => change({ heat: s.heat })}>
              {oven ? shown(oven.dial, s.heat) : ''}
              {', '}
              {words.min(Math.round(s.likely / 60))} {s.hotter ? words.softer : words.crisper}
            </button>
          ))}
        </div>
      )}
      <Field id={`wash${i}`} label={words.wash(mark)} problem={problem(`cuts[${i}].washId`)}>
        <Select
          id={`wash${i}`}
          value={cut.washId ?? found?.wash ?? null}
          onChange={(washId) => change({ washId })}
          options={kitchen.washes.map((w) => ({ value: w.id, label: w.name }))}
        />
      </Field>
      <Field id={`pan${i}`} label={words.pan(mark)} problem={problem(`cuts[${i}].panId`)}>
        <Select
          popupMatchSelectWidth={false}
          id={`pan${i}`}
          value={cut.panId ?? ''}
          onChange={(panId) => change({ panId: panId || null })}
          options={[
            {
              value: '',
              label: found?.pans[0] ? words.best(found.pans[0].name.toLowerCase()) : words.nothingHereHoldsIt,
            },
            ...(found?.pans ?? []).map((p) => ({
              value: p.id,
              label: `${p.name}: ${p.pans}, ${p.loads === 1 ? words.oneLoad : words.loads(p.loads)}`,
            })),
          ]}
        />
      </Field>
      <Field id={`cold${i}`} label={words.fridgeFirst(mark)} problem={problem(`cuts[${i}].cold`)}>
        <Select
          id={`cold${i}`}
          value={cut.cold ?? 0}
          onChange={(cold) => change({ cold: cold || null })}
          options={[0, ...kitchen.colds].map((cold) => ({
            value: cold,
            label: cold === 0 ? words.withTheRest : words.hBakedLater(cold / 3600),
          }))}
        />
      </Field>
      <HowMade cut={cut} found={found} kitchen={kitchen} i={i} parts={parts} change={change} problem={problem} />
      <Field id={`touching${i}`} label={words.set}>
        <Segmented
          aria-label={words.set}
          value={cut.touching === true ? 'touching' : cut.touching === false ? 'apart' : 'usual'}
          onChange={(v) => change({ touching: v === 'usual' ? null : v === 'touching' })}
          options={['usual', 'touching', 'apart']}
        />
      </Field>
    </>
  );
}

/** How this baker makes it: how long, how thick, with which ring, slashed how, and what goes on it. */
function HowMade({ cut, found, kitchen, i, parts, change, problem }: Props) {
  const { shown } = useUnits();
  const family = kitchen.families.find((f) => f.id === cut.familyId);
  const mark = i === 0 ? '' : ` ${i + 1}`;
  const length = shown.length.name;
  const put = parts.map((p, k) => ({ p, number: k + 1 })).filter(({ p }) => p.kind !== 'bath' && p.kind !== 'wash');
  const gets = cut.gets ?? found?.gets ?? [];
  return (
    <>
      {family?.form === 'log' && (
        <Field id={`long${i}`} label={words.long(length, mark)} problem={problem(`cuts[${i}].long`)}>
          <NumberInput
            id={`long${i}`}
            of="length"
            value={cut.long ?? null}
            onChange={(long) => change({ long })}
            placeholder={found?.aim?.rope ?? undefined}
          />
        </Field>
      )}
      {family?.rolled && (
        <Field id={`thick${i}`} label={words.rolled(length, mark)} problem={problem(`cuts[${i}].thick`)}>
          <NumberInput
            id={`thick${i}`}
            of="length"
            value={cut.thick ?? null}
            onChange={(thick) => change({ thick })}
            placeholder={found?.rings?.thick ?? found?.aim?.thickness ?? undefined}
          />
        </Field>
      )}
      {family?.form === 'ring' && (
        <Field id={`ring${i}`} label={words.ring(length, mark)} problem={problem(`cuts[${i}].ring`)}>
          <NumberInput
            id={`ring${i}`}
            of="length"
            value={cut.ring ?? null}
            onChange={(ring) => change({ ring })}
            placeholder={found?.rings?.ring ?? undefined}
          />
        </Field>
      )}
      {(family?.form === 'log' || found?.scored) && (
        <Field id={`slashes${i}`} label={words.slashed(mark)}>
          <Select
            id={`slashes${i}`}
            value={cut.slashes ?? found?.slashes ?? null}
            onChange={(to) => change({ slashes: to })}
            options={slashes.map(([value, label]) => ({ value, label }))}
          />
        </Field>
      )}
      <Field id={`rest${i}`} label={words.ballsRestMin(mark)} problem={problem(`cuts[${i}].rest`)}>
        <NumberInput
          id={`rest${i}`}
          value={cut.rest == null ? null : cut.rest / aMinute}
          onChange={(rest) => change({ rest: rest === null ? null : rest * aMinute })}
          placeholder={found ? found.ballsRest / aMinute : undefined}
        />
      </Field>
      {put.length > 0 && (
        <fieldset className={`wide ${css.gets}`}>
          <legend>{words.itGets(mark)}</legend>
          {put.map(({ p, number }) => (
            <Checkbox
              key={number}
              checked={gets.includes(number)}
              onChange={(e) => change({ gets: e.target.checked ? [...gets, number] : gets.filter((g) => g !== number) })}
            >
              {p.name}
            </Checkbox>
          ))}
        </fieldset>
      )}
    </>
  );
}
