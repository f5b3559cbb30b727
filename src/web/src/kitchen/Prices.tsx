// What energy costs, and what the shop asks.
import type { Schemas } from '../api/http';
import { Num, NumOrNone, Section, Wrong } from './form';
import type { Part } from './KitchenPage';
import * as words from './words';
import css from './kitchen.module.css';

export function Prices({ k, usual, change, families }: Part & { families: Schemas['FamilyView'][] }) {
  const prices = k.prices ?? usual.prices;
  const shop = (familyId: string, each: number | null) => {
    const others = prices.shop.filter((p) => p.familyId !== familyId);
    change({ prices: { ...prices, shop: each === null ? others : [...others, { familyId, each }] } });
  };
  return (
    <Section title={words.prices} usedBy={words.whatABakeCostsBeside}>
      <div className={css.kit}>
        <Num
          label={words.electricityAKwh}
          at="prices.perKilowattHour"
          value={prices.perKilowattHour}
          set={(perKilowattHour) => change({ prices: { ...prices, perKilowattHour } })}
        />
        {families.map((f) => (
          <NumOrNone
            key={f.id}
            label={words.theShop(f.name)}
            at={`prices.shop.${f.id}`}
            value={prices.shop.find((p) => p.familyId === f.id)?.each}
            set={(each) => shop(f.id, each)}
          />
        ))}
      </div>
      <Wrong at="prices.shop" />
    </Section>
  );
}
