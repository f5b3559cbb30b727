// The pantry: what every ingredient is made of, weighs by the cup, and costs.
import { Checkbox, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { problemsOf } from '../api/change';
import { useForgetIngredient, useForgetWords, useKeepCups, useKeepIngredient } from '../api/changes';
import { api, type Schemas } from '../api/http';
import { roles } from '../doughs/draft';
import { Choice } from '../parts/Choice';
import { Field } from '../parts/Field';
import { Loading } from '../parts/Loading';
import { Num } from './Num';

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
        <h1>Pantry</h1>
        <Input aria-label="Search" placeholder="Search" allowClear value={search} onChange={(e) => setSearch(e.target.value)} />
        <button className="button do" onClick={() => setOpen('')}>
          Your own ingredient
        </button>
      </div>
      <section className="card kit cups" aria-label="Cups and spoons">
        <Choice
          label="A cup of flour is"
          value={data.habit}
          set={(habit) => void cups({ habit })}
          options={[
            ['spooned', 'spooned in and levelled'],
            ['dipped', 'dipped and levelled'],
          ]}
        />
        <Choice
          label="Cups and spoons"
          value={data.cups}
          set={(c) => void cups({ cups: c })}
          options={[
            ['us', 'US, 237 mL'],
            ['metric', 'metric, 250 mL'],
          ]}
        />
      </section>
      {open === '' && <Editor item={null} allergens={data.allergens} close={() => setOpen(null)} />}
      <section className="card" aria-label="Ingredients">
        <table className="plain pantry">
          <thead>
            <tr>
              <th>Ingredient</th>
              <th>Does</th>
              <th className="num">g a cup</th>
              <th className="num">Price</th>
              <th>Allergens</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {items.map((i) =>
              open === i.ingredient.name ? (
                <tr key={i.ingredient.name}>
                  <td colSpan={6}>
                    <Editor item={i} allergens={data.allergens} close={() => setOpen(null)} />
                  </td>
                </tr>
              ) : (
                <tr key={i.ingredient.name}>
                  <td>
                    {i.ingredient.name}
                    {i.own && <small className="muted"> yours</small>}
                  </td>
                  <td className="muted">{i.ingredient.role}</td>
                  <td className="num">{cupOf(i, data.habit)}</td>
                  <td className="num">{i.price ? `${i.price.cost.toFixed(2)} for ${Math.round(i.price.pack)} g` : ''}</td>
                  <td className="muted">{i.ingredient.allergens?.join(', ')}</td>
                  <td style={{ textAlign: 'right' }}>
                    <button
                      className="button quiet"
                      aria-label={`Edit ${i.ingredient.name}`}
                      onClick={() => setOpen(i.ingredient.name)}
                    >
                      Edit
                    </button>
                  </td>
                </tr>
              ),
            )}
          </tbody>
        </table>
      </section>
      {data.learned.length > 0 && (
        <section className="card" aria-label="Words learned">
          <h2 style={{ marginBottom: 8 }}>Words learned from your recipes</h2>
          <ul className="lines">
            {data.learned.map((l) => (
              <li key={l.words} style={{ display: 'flex', gap: 12 }}>
                <span style={{ flex: 1 }}>
                  “{l.words}” is {l.name}
                </span>
                <button className="link" onClick={() => void forgetWords.make(l.words)}>
                  forget
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function cupOf(i: Item, habit: Schemas['CupHabit']) {
  const p = i.ingredient.packing;
  const cup = p?.weighedCup ?? (habit === 'dipped' ? (p?.dippedPerCup ?? p?.perCup) : p?.perCup);
  return cup == null ? '' : Math.round(cup);
}

const fresh: Schemas['Ingredient'] = {
  name: '',
  role: 'flour',
  water: 0,
  fat: 0,
  sugar: 0,
  waterGiven: 1,
  drinks: 0,
  flourInside: 0,
  yeastStrength: 0,
  perishable: false,
  milkSolids: 0,
  packing: null,
  specificHeat: null,
  chilled: false,
  late: false,
  allergens: [],
};

function Editor({ item, allergens, close }: { item: Item | null; allergens: string[]; close: () => void }) {
  const [i, setIngredient] = useState<Schemas['Ingredient']>(item?.ingredient ?? fresh);
  const [price, setPrice] = useState(item?.price ?? { pack: 1000, cost: 0 });
  const [priced, setPriced] = useState(item?.price != null);
  const [problems, setProblems] = useState<Schemas['ProblemView'][]>([]);
  const keepIngredient = useKeepIngredient();
  const forget = useForgetIngredient();
  const put = (to: Partial<Schemas['Ingredient']>) => setIngredient({ ...i, ...to });
  const packing = i.packing ?? { perCup: null };
  const share = (label: string, field: 'water' | 'fat' | 'sugar' | 'drinks' | 'milkSolids') => (
    <Num
      label={label}
      at={`ingredient.${field}`}
      value={i[field]}
      set={(v) => put({ [field]: v ?? 0 })}
      times={0.01}
      problems={problems}
    />
  );
  const measure = (label: string, field: 'perCup' | 'perTeaspoon' | 'each' | 'weighedCup') => (
    <Num
      label={label}
      at={`ingredient.packing.${field}`}
      value={packing[field]}
      set={(v) => put({ packing: { ...packing, [field]: v } })}
      problems={problems}
      empty
    />
  );
  async function keep() {
    const { trouble } = await keepIngredient.make({
      ingredient: { ...i, name: i.name.trim() },
      price: priced ? price : null,
    });
    if (trouble) return setProblems(problemsOf(trouble));
    close();
  }
  return (
    <div className="ingredient" role="group" aria-label={i.name || 'Your own ingredient'}>
      <div className="kit">
        {item ? (
          <h3 style={{ alignSelf: 'center' }}>{i.name}</h3>
        ) : (
          <Field id="ingredient-name" label="Name" problem={problems.find((p) => p.field === 'ingredient.name')?.reason}>
            <Input id="ingredient-name" value={i.name} onChange={(e) => put({ name: e.target.value })} />
          </Field>
        )}
        <Field id="ingredient-role" label="Does">
          <Select
            id="ingredient-role"
            value={i.role}
            onChange={(role) => put({ role })}

            options={roles.map(([value, label]) => ({ value, label }))}
          />
        </Field>
        {share('Water, %', 'water')}
        {share('Fat, %', 'fat')}
        {share('Sugar, %', 'sugar')}
        {share('Milk solids, %', 'milkSolids')}
        {share(i.role === 'flour' ? 'Thirst: extra water per 100 g' : 'Drinks, % of its weight', 'drinks')}
        {measure('g a US cup', 'perCup')}
        {measure('g a teaspoon', 'perTeaspoon')}
        {measure('g each', 'each')}
        {measure('Your own weighed cup, g', 'weighedCup')}
        <Field
          id="ingredient-allergens"
          label="Allergens"
          problem={problems.find((p) => p.field === 'ingredient.allergens')?.reason}
        >
          <Select
            id="ingredient-allergens"
            mode="multiple"
            value={i.allergens ?? []}
            onChange={(a) => put({ allergens: a })}
            options={allergens.map((a) => ({ value: a, label: a }))}
          />
        </Field>
        <div className="choices" style={{ gridColumn: '1 / -1' }}>
          <Checkbox checked={i.perishable ?? false} onChange={(e) => put({ perishable: e.target.checked })}>
            spoils
          </Checkbox>
          <Checkbox checked={i.chilled ?? false} onChange={(e) => put({ chilled: e.target.checked })}>
            kept in the fridge
          </Checkbox>
          <Checkbox checked={i.isHoney ?? false} onChange={(e) => put({ isHoney: e.target.checked })}>
            honey: not for babies
          </Checkbox>
          <Checkbox checked={i.growsInFat ?? false} onChange={(e) => put({ growsInFat: e.target.checked })}>
            raw in fat it keeps few days
          </Checkbox>
          <Checkbox checked={priced} onChange={(e) => setPriced(e.target.checked)}>
            price known
          </Checkbox>
        </div>
        {priced && (
          <>
            <Num
              label="A pack costs"
              at="price.cost"
              value={price.cost}
              set={(v) => setPrice({ ...price, cost: v ?? 0 })}
              problems={problems}
            />
            <Field id="price-pack" label="and holds, g" problem={problems.find((p) => p.field === 'price.pack')?.reason}>
              <InputNumber
                id="price-pack"
                value={price.pack}
                onChange={(v) => setPrice({ ...price, pack: v ?? 0 })}
                controls={false}
              />
            </Field>
          </>
        )}
      </div>
      {problems
        .filter((p) => p.field === 'ingredient' || p.field === 'ingredient.role')
        .map((p) => (
          <p className="problem" role="alert" key={p.field}>
            {p.reason}
          </p>
        ))}
      <div style={{ display: 'flex', gap: 10, flexWrap: 'wrap' }}>
        <button className="button do" onClick={() => void keep()}>
          Keep
        </button>
        <button className="button" onClick={close}>
          Leave it
        </button>
        {item?.own && (
          <button
            className="button quiet"
            style={{ marginLeft: 'auto' }}
            onClick={() => void forget.make(i.name).then(({ trouble }) => trouble === null && close())}
          >
            Forget yours
          </button>
        )}
      </div>
    </div>
  );
}
