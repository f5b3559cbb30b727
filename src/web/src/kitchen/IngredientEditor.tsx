// One ingredient: what it is made of, what it weighs by the cup, what to watch, what it costs.
import { Select } from 'antd';
import { useState } from 'react';
import { problemsOf } from '../api/change';
import { useForgetIngredient, useKeepIngredient } from '../api/changes';
import type { Schemas } from '../api/http';
import { roles } from '../doughs/draft';
import { Field } from '../parts/Field';
import { Name, Num, NumOrNone, OneOf, Problems, Tick, Wrong } from './form';
import * as words from './words';
import css from './kitchen.module.css';

type Item = Schemas['PantryItem'];
const percent = 0.01;

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

export function IngredientEditor({ item, allergens, close }: { item: Item | null; allergens: string[]; close: () => void }) {
  const [i, setIngredient] = useState<Schemas['Ingredient']>(item?.ingredient ?? fresh);
  const [price, setPrice] = useState(item?.price ?? { pack: 1000, cost: 0 });
  const [priced, setPriced] = useState(item?.price != null);
  const [problems, setProblems] = useState<Schemas['ProblemView'][]>([]);
  const keepIngredient = useKeepIngredient();
  const forget = useForgetIngredient();
  const put = (to: Partial<Schemas['Ingredient']>) => setIngredient({ ...i, ...to });
  const packing = i.packing ?? { perCup: null };
  const share = (label: string, field: 'water' | 'fat' | 'sugar' | 'drinks' | 'milkSolids') => (
    <Num label={label} at={`ingredient.${field}`} value={i[field]} set={(v) => put({ [field]: v })} times={percent} />
  );
  const measure = (label: string, field: 'perCup' | 'perTeaspoon' | 'each' | 'weighedCup') => (
    <NumOrNone
      label={label}
      at={`ingredient.packing.${field}`}
      value={packing[field]}
      set={(v) => put({ packing: { ...packing, [field]: v } })}
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
    <Problems value={problems}>
      <div className={css.ingredient} role="group" aria-label={i.name || words.yourOwnIngredient}>
        <div className={css.kit}>
          {item ? (
            <h3 className="in-middle">{i.name}</h3>
          ) : (
            <Name at="ingredient.name" value={i.name} set={(name) => put({ name })} />
          )}
          <OneOf label={words.does} at="ingredient.role" value={i.role} options={roles} set={(role) => put({ role })} />
          {share(words.water, 'water')}
          {share(words.fat, 'fat')}
          {share(words.sugar, 'sugar')}
          {share(words.milkSolids, 'milkSolids')}
          {share(i.role === 'flour' ? words.thirstExtraWaterPer100 : words.drinksOfItsWeight, 'drinks')}
          {measure(words.gAUsCup, 'perCup')}
          {measure(words.gATeaspoon, 'perTeaspoon')}
          {measure(words.gEach, 'each')}
          {measure(words.yourOwnWeighedCupG, 'weighedCup')}
          <Field
            id="ingredient-allergens"
            label={words.allergens}
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
          <div className="choices whole-row">
            <Tick on={i.perishable} set={(perishable) => put({ perishable })}>
              {words.spoils}
            </Tick>
            <Tick on={i.chilled} set={(chilled) => put({ chilled })}>
              {words.keptInTheFridge}
            </Tick>
            <Tick on={i.isHoney} set={(isHoney) => put({ isHoney })}>
              {words.honeyNotForBabies}
            </Tick>
            <Tick on={i.growsInFat} set={(growsInFat) => put({ growsInFat })}>
              {words.rawInFatItKeeps}
            </Tick>
            <Tick on={priced} set={setPriced}>
              {words.priceKnown}
            </Tick>
          </div>
          {priced && (
            <>
              <Num label={words.aPackCosts} at="price.cost" value={price.cost} set={(cost) => setPrice({ ...price, cost })} />
              <Num
                label={words.andHolds}
                of="mass"
                at="price.pack"
                value={price.pack}
                set={(pack) => setPrice({ ...price, pack })}
              />
            </>
          )}
        </div>
        <Wrong at="ingredient" />
        <div className="row">
          <button className="button do" onClick={() => void keep()}>
            {words.keep}
          </button>
          <button className="button" onClick={close}>
            {words.leaveIt}
          </button>
          {item?.own && (
            <button
              className="button quiet at-end"

              onClick={() => void forget.make(i.name).then(({ trouble }) => trouble === null && close())}
            >
              {words.forgetYours}
            </button>
          )}
        </div>
      </div>
    </Problems>
  );
}
