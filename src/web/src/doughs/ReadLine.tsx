// One line of the recipe, and beside it what was understood of it.
import { Select } from 'antd';
import { useState } from 'react';
import { api, type Schemas } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { useUnits } from '../parts/units';
import { IngredientField, RoleField } from './RowsEditor';
import type { Place, Reading, Whereto } from './useReading';
import * as words from './words';
import css from './doughs.module.css';

const wheretos: [Whereto, string][] = [
  ['dough', words.inTheDough],
  ['filling', 'inside'],
  ['topping', words.onTop],
  ['wash', words.brushedOn],
  ['butter', words.brushedOnHot],
  ['bath', words.inTheBath],
  ['surface', words.underIt],
  ['not-mine', words.notMine],
];

export function ReadLine({ line, reading }: { line: Place[]; reading: Reading }) {
  const [correcting, setCorrecting] = useState(false);
  return (
    <div className={css.readLine}>
      <span className="muted">{line[0]?.text}</span>
      <div>
        {line.map((p) => (
          <ReadRow key={p.key} place={p} reading={reading} correcting={correcting} correct={() => setCorrecting(true)} />
        ))}
      </div>
    </div>
  );
}

type Props = { place: Place; reading: Reading; correcting: boolean; correct: () => void };

function ReadRow({ place: p, reading, correcting, correct }: Props) {
  const { mass } = useUnits();
  const f = reading.found(p);
  const { fix } = reading;
  if (f.out)
    return (
      <div className={css.understood}>
        <span>
          {p.row.isOptional ? words.optional : ''}
          {words.leftOutKeptAsA(f.ingredient)}
        </span>
        <button
          className="link"
          onClick={() => fix(p.key, { out: false, whereto: f.whereto === 'not-mine' ? 'dough' : f.whereto })}
        >
          {words.putIt} {p.row.isOptional ? words.putIn : words.back}
        </button>
      </div>
    );
  const amount = f.mass !== null ? mass(f.mass) : reading.isToTaste(p) ? 'some' : '?';
  return (
    <div>
      {correcting ? (
        <Correct place={p} reading={reading} />
      ) : (
        <button className={css.understood} onClick={correct} aria-label={words.correct(p.row.words)}>
          <b className="num">{amount}</b> {f.ingredient}
          {f.like && <small className="muted"> {f.like}</small>}
          {p.row.atBeep ? words.atTheBeep : ''}
        </button>
      )}
      {p.row.notes.map((n) => (
        <small key={n} className={n.endsWith('differs') ? 'late' : 'muted'}>
          {n}
        </small>
      ))}
    </div>
  );
}

// Whether it spoils, and what it contains: until then its allergens are not known.
function TellOfIt({ place: p, reading }: { place: Place; reading: Reading }) {
  const pantry = api.useQuery('get', '/api/pantry', undefined, { staleTime: 60000 });
  const { ingredient, told } = reading.found(p);
  const tell = (to: Partial<Schemas['Told']>) =>
    reading.fix(p.key, { told: { spoils: told?.spoils ?? false, contains: told?.contains ?? [], ...to } });
  return (
    <div className={css.tell}>
      <span className="choices" role="group" aria-label={words.doesSpoil(ingredient)}>
        {([false, true] as const).map((spoils) => (
          <button
            key={String(spoils)}
            className="button small"
            aria-pressed={told?.spoils === spoils}
            onClick={() => tell({ spoils })}
          >
            {spoils ? words.spoils : words.keeps}
          </button>
        ))}
      </span>
      <Select
        mode="multiple"
        aria-label={words.whatContains(ingredient)}
        placeholder={told ? words.containsNoAllergen : words.containsWhat}
        value={told?.contains ?? []}
        onChange={(contains) => tell({ contains })}
        options={pantry.data?.allergens.map((value) => ({ value, label: value }))}
      />
      {!told && <small className="muted">{words.untilItIsToldAllergens}</small>}
    </div>
  );
}

/** Everything that can be put right of one row. */
export function Correct({ place: p, reading }: { place: Place; reading: Reading }) {
  const f = reading.found(p);
  const { fix } = reading;
  const { words: written } = p.row;
  const { shown } = useUnits();
  return (
    <div className={css.correct}>
      <NumberInput
        of="mass"
        aria-label={words.gramsOf(written)}
        value={f.mass}
        onChange={(grams) => fix(p.key, { mass: grams })}
        placeholder={shown.mass.name}
        status={f.mass === null && !reading.isToTaste(p) ? 'error' : ''}
      />
      <div>
        <IngredientField label={words.whatIs(written)} value={f.ingredient} change={(ingredient) => fix(p.key, { ingredient })} />
      </div>
      {!f.known && (
        <div className={css.role}>
          <RoleField of={f.ingredient} value={f.role} change={(role) => fix(p.key, { role })} />
        </div>
      )}
      {f.told !== undefined && <TellOfIt place={p} reading={reading} />}
      <Select
        className={css.whereto}
        aria-label={words.whereGoes(written)}
        value={f.whereto}
        onChange={(whereto) => fix(p.key, { whereto })}
        options={wheretos.map(([value, label]) => ({ value, label }))}
      />
      <button className="link" onClick={() => fix(p.key, { out: true })}>
        {words.leaveOut}
      </button>
    </div>
  );
}
