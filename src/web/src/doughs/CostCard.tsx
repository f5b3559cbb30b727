// What a batch costs, and against the shop.
import { Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { Field } from '../parts/Field';
import * as words from './words';
import css from './doughs.module.css';

export function CostCard({ id, suits }: { id: string; suits: Schemas['SuitsView'][] }) {
  const kitchen = api.useQuery('get', '/api/kitchen');
  const [familyId, setFamily] = useState(suits.find((s) => s.suits === 'well')?.id ?? 'pan-roll');
  const [pieces, setPieces] = useState<number | null>(null);
  const { data } = api.useQuery('post', '/api/costs', { body: { doughId: id, familyId, pieces } }, { retry: false });
  const families = kitchen.data?.families.map((f) => ({ value: f.id, label: f.name })) ?? [];
  const unpriced = data?.cost.rows.filter((r) => r.cost === null).map((r) => r.ingredient) ?? [];
  const money = (m: number) => m.toFixed(2);
  return (
    <section className="card stack" aria-label={words.whatItCosts}>
      <h2>{words.whatItCosts}</h2>
      <div className={css.changeFields}>
        <Field id="cost-family" label={words.madeAs}>
          <Select id="cost-family" value={familyId} onChange={setFamily} options={families} />
        </Field>
        <Field id="cost-pieces" label={words.pieces}>
          <NumberInput id="cost-pieces" value={pieces ?? data?.pieces ?? null} onChange={setPieces} digits={0} />
        </Field>
      </div>
      {data && (
        <>
          <div className="facts">
            <span>
              <span className="big num">{money(data.cost.each)}</span>
              {words.eachPiece}
            </span>
            <span>
              <span className="big num">{money(data.cost.batch)}</span>
              {words.theBatch}
            </span>
            {data.cost.saved !== null && (
              <span>
                <span className="big num">{money(data.cost.saved)}</span>
                {data.cost.saved >= 0 ? words.savedAgainstTheShop : words.dearerThanTheShop}
              </span>
            )}
          </div>
          <p className="muted tight">
            {words.ingredientsKwh(money(data.cost.ingredients), data.cost.energy.toFixed(2), money(data.cost.energyCost))}
            {data.shopEach !== null ? words.theShopAsksEach(money(data.shopEach)) : ''}.
            {data.cost.paidBackAfter !== null ? words.theMachineIsPaidFor(data.cost.paidBackAfter) : ''}
          </p>
          {unpriced.length > 0 && (
            <p className="tight">
              {words.withoutNoPriceInThe(unpriced.join(', '))} <Link to="/kitchen/pantry">{words.pantry}</Link>.
            </p>
          )}
        </>
      )}
    </section>
  );
}
