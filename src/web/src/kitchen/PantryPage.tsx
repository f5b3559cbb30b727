// The pantry: what every ingredient is made of, weighs by the cup, and costs.
import { Input } from 'antd';
import { useState } from 'react';
import { useForgetWords, useKeepCups } from '../api/changes';
import { api, type Schemas } from '../api/http';
import { Choice } from '../parts/Choice';
import { roles } from '../doughs/draft';
import { capital, useUnits } from '../parts/units';
import { Loading } from '../parts/Loading';
import { OneOf } from './form';
import { IngredientEditor } from './IngredientEditor';
import * as words from './words';
import css from './kitchen.module.css';

type Item = Schemas['PantryItem'];

export default function PantryPage() {
  const { data, error, refetch } = api.useQuery('get', '/api/pantry');
  const keepCups = useKeepCups();
  const forgetWords = useForgetWords();
  const [search, setSearch] = useState('');
  const [open, setOpen] = useState<string | null>(null);
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  const cups = (to: Partial<Schemas['CupSettings']>) => keepCups.make({ habit: data.habit, cups: data.cups, ...to });
  const word = search.trim().toLowerCase();
  const items = data.items.filter((i) => i.ingredient.name.includes(word));
  return (
    <>
      <div className="book-head">
        <h1>{words.pantry}</h1>
        <Input
          aria-label={words.search}
          placeholder={words.search}
          allowClear
          value={search}
          onChange={(e) => setSearch(e.target.value)}
        />
        <button className="button do" onClick={() => setOpen('')}>
          {words.yourOwnIngredient}
        </button>
      </div>
      <section className={`card ${css.kit} ${css.cups}`} aria-label={words.cupsAndSpoons}>
        <Choice
          label={words.aCupOfFlourIs}
          value={data.habit}
          set={(habit) => void cups({ habit })}
          options={[
            ['spooned', words.spoonedInAndLevelled],
            ['dipped', words.dippedAndLevelled],
          ]}
        />
        <OneOf
          label={words.cupsAndSpoons}
          at="cups"
          value={data.cups}
          set={(c) => void cups({ cups: c })}
          options={[
            ['us', words.usCupOf237Ml],
            ['metric', words.metricCupOf250Ml],
            ['imperial', words.ukImperialPints],
            ['australian', words.australiaSpoonOf20Ml],
          ]}
        />
      </section>
      {open === '' && <IngredientEditor item={null} allergens={data.allergens} close={() => setOpen(null)} />}
      <section className="card" aria-label={words.ingredients}>
        <table className={`plain ${css.pantry}`}>
          <thead>
            <tr>
              <th>{words.ingredient}</th>
              <th className="num">{words.gACup}</th>
              <th className="num">{words.price}</th>
              <th>{words.allergens}</th>
            </tr>
          </thead>
          {roles.map(([role, does]) => {
            const some = items.filter((i) => i.ingredient.role === role);
            return (
              some.length > 0 && (
                <tbody key={role}>
                  <tr>
                    <th colSpan={4} scope="rowgroup" className={css.does}>
                      {capital(does)}
                    </th>
                  </tr>
                  {some.map((i) =>
                    open === i.ingredient.name ? (
                      <tr key={i.ingredient.name}>
                        <td colSpan={4}>
                          <IngredientEditor item={i} allergens={data.allergens} close={() => setOpen(null)} />
                        </td>
                      </tr>
                    ) : (
                      <Line key={i.ingredient.name} item={i} habit={data.habit} edit={() => setOpen(i.ingredient.name)} />
                    ),
                  )}
                </tbody>
              )
            );
          })}
        </table>
      </section>
      {data.learned.length > 0 && (
        <section className="card" aria-label={words.wordsLearned}>
          <h2 className="over-list">{words.wordsLearnedFromYourRecipes}</h2>
          <ul className="lines">
            {data.learned.map((l) => (
              <li className="row" key={l.words}>
                <span className="grows">
                  {'“'}
                  {words.isWords(l.words, l.name)}
                </span>
                <button className="link" onClick={() => void forgetWords.make(l.words)}>
                  {words.forget}
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function Line({ item, habit, edit }: { item: Item; habit: Schemas['CupHabit']; edit: () => void }) {
  const { mass } = useUnits();
  const { ingredient, own, price } = item;
  return (
    <tr>
      <td>
        <button className="link reach" aria-label={words.edit(ingredient.name)} onClick={edit}>
          {ingredient.name}
        </button>
        {own && <small className="muted"> {words.yours}</small>}
      </td>
      <td className="num">{cupOf(item, habit)}</td>
      <td className="num">{price ? words.forCost(price.cost.toFixed(2), mass(price.pack)) : ''}</td>
      <td className="muted">{ingredient.allergens?.join(', ')}</td>
    </tr>
  );
}

function cupOf(i: Item, habit: Schemas['CupHabit']) {
  const p = i.ingredient.packing;
  const cup = p?.weighedCup ?? (habit === 'dipped' ? (p?.dippedPerCup ?? p?.perCup) : p?.perCup);
  return cup == null ? '' : Math.round(cup);
}
