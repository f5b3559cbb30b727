// Change a dough: scale it or swap something, see it before and after, take it or leave it.
import { Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { api, newId, type Schemas, type Trouble } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { Field } from '../parts/Field';
import { capital, percent, useUnits, type Quantity } from '../parts/units';
import { stateOf, type DoughState } from './draft';
import * as words from './words';
import css from './doughs.module.css';

type Kind = Schemas['Change']['type'] | 'to-tin' | 'to-machine';
const kinds: [Kind, string][] = [
  ['to-pieces', words.scaleByPieces],
  ['to-dough', words.scaleByDough],
  ['to-flour', words.scaleByFlour],
  ['to-tin', words.scaleToATin],
  ['to-machine', words.scaleToAMachinesLimit],
  ['to-hydration', words.anotherHydration],
  ['swap-yeast', words.anotherYeast],
  ['yeast-to-starter', words.starterInsteadOfYeast],
  ['swap-flour', words.anotherFlour],
  ['milk-to-dried', words.driedMilkAndWaterFor],
  ['butter-to-oil', words.oilForButter],
  ['take-share', words.aShareOfItFor],
];

export function ChangeIt({
  draft,
  formula,
  take,
  split,
}: {
  draft: Schemas['DoughDraft'];
  formula: Schemas['FormulaView'];
  take: (to: DoughState) => void;
  split: (id: string, dough: DoughState) => void;
}) {
  const { mass, shown } = useUnits();
  const massWord = capital(shown.mass.long);
  const kitchen = api.useQuery('get', '/api/kitchen');
  const pantry = api.useQuery('get', '/api/pantry', undefined, { staleTime: 60000 });
  const [kind, setKind] = useState<Kind | null>(null);
  const [pieces, setPieces] = useState<number | null>(12);
  const [grams, setGrams] = useState<number | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [name, setName] = useState('');
  const [other, setOther] = useState<string | null>(null);
  const [from, setFrom] = useState<string | null>(null);
  const [wholeEggs, setWholeEggs] = useState(true);

  const named = (role: Schemas['Role'], test: (i: Schemas['Ingredient']) => boolean = () => true) =>
    (pantry.data?.items ?? [])
      .filter((i) => i.ingredient.role === role && test(i.ingredient))
      .map((i) => ({ value: i.ingredient.name, label: i.ingredient.name }));
  const flours = formula.rows.filter((r) => r.role === 'flour').map((r) => ({ value: r.ingredient, label: r.ingredient }));
  const tin = kitchen.data?.tins.find((t) => t.id === other);
  const shareName = name || words.aPart(draft.name);

  const change = ((): Schemas['Change'] | null => {
    switch (kind) {
      case 'to-pieces':
        return pieces && grams ? { type: kind, pieces, each: grams } : null;
      case 'to-flour':
        return grams ? { type: kind, flour: grams } : null;
      case 'to-dough':
        return grams ? { type: kind, dough: grams } : null;
      case 'to-tin':
        return tin ? { type: 'to-dough', dough: tin.dough } : null;
      case 'to-hydration':
        return share ? { type: kind, hydration: share / 100 } : null;
      case 'swap-yeast':
        return other ? { type: kind, to: other } : null;
      case 'yeast-to-starter':
        return other ? { type: kind, starter: other, ofFlour: (share ?? 20) / 100 } : null;
      case 'swap-flour':
        return other ? { type: kind, from: from ?? flours[0]?.value ?? '', to: other } : null;
      case 'milk-to-dried':
        return { type: kind };
      case 'butter-to-oil':
        return { type: kind, oil: other ?? words.sunflowerOil };
      case 'take-share':
        return share ? { type: kind, share: share / 100, name: shareName } : null;
      default:
        return null;
    }
  })();
  const machineId = kind === 'to-machine' ? other : null;
  const ready = change !== null || machineId !== null;
  const tried = api.useQuery(
    'post',
    '/api/changes',
    { body: { dough: { ...draft, name: draft.name.trim() === '' ? words.aDough : draft.name }, change, machineId, wholeEggs } },
    { enabled: ready, retry: false, staleTime: 60000 },
  );
  const trouble = ready ? (tried.error as Trouble | null) : null;
  const view = ready && !trouble ? tried.data : undefined;
  const scales = kind?.startsWith('to-') && kind !== 'to-hydration';

  const number = (
    id: string,
    label: string,
    value: number | null,
    set: (v: number | null) => void,
    hint?: number,
    of?: Quantity,
  ) => (
    <Field id={id} label={label}>
      <NumberInput id={id} value={value} onChange={set} placeholder={hint} {...(of ? { of } : {})} />
    </Field>
  );
  const list = (
    id: string,
    label: string,
    options: { value: string; label: string }[],
    value: string | null,
    set: (v: string) => void,
  ) => (
    <Field id={id} label={label}>
      <Select id={id} value={value} onChange={set} options={options} placeholder={words.choose} />
    </Field>
  );

  return (
    <section className="card stack" aria-label={words.changeIt}>
      <h2>{words.changeIt}</h2>
      <div className={css.changeFields}>
        {list(
          'change',
          words.how,
          kinds.map(([value, label]) => ({ value, label })),
          kind,
          (v) => {
            setKind(v as Kind);
            setOther(null);
          },
        )}
        {kind === 'to-pieces' && number('change-pieces', words.pieces, pieces, setPieces)}
        {kind === 'to-pieces' && number('change-each', words.each(massWord), grams, setGrams, 57, 'mass')}
        {kind === 'to-flour' && number('change-grams', words.ofFlour(massWord), grams, setGrams, formula.flour, 'mass')}
        {kind === 'to-dough' && number('change-grams', words.outOfThePan(massWord), grams, setGrams, formula.yield, 'mass')}
        {kind === 'to-tin' &&
          list(
            'change-other',
            words.tin,
            (kitchen.data?.tins ?? []).map((t) => ({ value: t.id, label: `${t.name}: ${mass(t.dough)}` })),
            other,
            setOther,
          )}
        {kind === 'to-machine' &&
          list(
            'change-other',
            words.machine,
            (kitchen.data?.machines ?? []).map((m) => ({ value: m.id, label: m.name })),
            other,
            setOther,
          )}
        {kind === 'to-hydration' && number('change-share', words.hydration, share, setShare, Math.round(formula.hydration * 100))}
        {kind === 'swap-yeast' && list('change-other', words.yeast, named('yeast'), other, setOther)}
        {kind === 'yeast-to-starter' && list('change-other', words.starter, named('starter'), other, setOther)}
        {kind === 'yeast-to-starter' && number('change-share', words.ofTheFlour, share, setShare, 20)}
        {kind === 'swap-flour' && flours.length > 1 && list('change-from', words.insteadOf, flours, from, setFrom)}
        {kind === 'swap-flour' && list('change-other', words.flour, named('flour'), other, setOther)}
        {kind === 'butter-to-oil' &&
          list(
            'change-other',
            words.oil,
            named('fat', (i) => i.water === 0),
            other ?? words.sunflowerOil,
            setOther,
          )}
        {kind === 'take-share' && number('change-share', words.share, share, setShare, 50)}
        {kind === 'take-share' && (
          <Field id="change-name" label={words.called}>
            <Input id="change-name" value={name} placeholder={shareName} onChange={(e) => setName(e.target.value)} />
          </Field>
        )}
      </div>
      {scales && (
        <Checkbox checked={wholeEggs} onChange={(e) => setWholeEggs(e.target.checked)}>
          {words.keepEggsWholeWhereThey}
        </Checkbox>
      )}
      {trouble && (
        <p className="problem" role="alert">
          {trouble.title}
        </p>
      )}
      {view && (
        <>
          <BeforeAfter before={view.before} after={view.after} />
          {view.notes.map((n) => (
            <p className="tight" key={n}>
              {n}.
            </p>
          ))}
          <div className="row">
            <button
              className="button do"
              onClick={() => {
                const changed = stateOf(
                  view.name,
                  draft.byHand,
                  draft.notes ?? '',
                  view.after,
                  draft.plan ?? null,
                  draft.ownOrder ?? false,
                );
                if (kind === 'take-share') split(newId(), changed);
                else take({ ...changed, name: draft.name });
                setKind(null);
              }}
            >
              {kind === 'take-share' ? words.keepItAsADough : words.takeThis}
            </button>
            <button className="button" onClick={() => setKind(null)}>
              {words.leaveIt}
            </button>
          </div>
        </>
      )}
    </section>
  );
}

function BeforeAfter({ before, after }: { before: Schemas['FormulaView']; after: Schemas['FormulaView'] }) {
  const { mass } = useUnits();
  const names = [...new Set([...before.rows, ...after.rows].map((r) => r.ingredient))];
  const of = (f: Schemas['FormulaView'], name: string) =>
    f.rows.filter((r) => r.ingredient === name).reduce((sum, r) => sum + r.mass, 0);
  const rows: [string, string, string][] = [
    ...names.map((n): [string, string, string] => {
      const [a, b] = [of(before, n), of(after, n)];
      return [n, a === 0 ? '–' : mass(a), b === 0 ? '–' : mass(b)];
    }),
    [words.dough, mass(before.total), mass(after.total)],
    [words.hydrationHeading, percent(before.hydration), percent(after.hydration)],
  ];
  return (
    <table className="plain" aria-label={words.beforeAndAfter}>
      <thead>
        <tr>
          <td />
          <th className="num">{words.before}</th>
          <th className="num">{words.after}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([what, a, b]) => (
          <tr key={what}>
            <td>{what}</td>
            <td className="num muted">{a}</td>
            <td className="num">{a === b ? b : <b>{b}</b>}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
