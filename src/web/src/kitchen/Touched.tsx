// The fields of what was touched in the kitchen.
import type { ReactNode } from 'react';
import { houseNow } from '../api/clock';
import type { Schemas } from '../api/http';
import { listOf, Section } from './form';
import { Household, Night } from './Household';
import type { Part } from './KitchenPage';
import { HeatsAs, RisesAs } from './Learned';
import { MachineCard } from './MachineCard';
import { Bowls, PotAndHob, Ring, Scale } from './OnTheWorktop';
import { OthersOfTheHouse } from './OthersOfTheHouse';
import { OvenFields } from './Oven';
import { Griddle, PlaceFields } from './PlaceAndGriddle';
import { Prices } from './Prices';
import { TinFields } from './Tin';
import { WhereItIsKept } from './WhereItIsKept';
import * as words from './words';

type Props = Part & { choices: Schemas['KitchenView']; thing: string; touch: (thing: string) => void };
type List = 'machines' | 'ovens' | 'tins' | 'places';

export function Touched({ choices, thing, touch, ...part }: Props) {
  const { k, usual, change } = part;
  const [kind = '', id] = thing.split(':');

  // One of a list, by its id; nothing when it is not there any more.
  const one = <F extends List>(field: F, fields: (of: One<NonNullable<Part['k'][F]>[number]>) => ReactNode) => {
    type T = NonNullable<Part['k'][F]>[number];
    const list = listOf<T>(k[field] as T[] | undefined, (to) => change({ [field]: to }));
    const i = list.all.findIndex((t) => t.id === id);
    const there = list.all[i];
    const drop = () => {
      list.drop(i);
      touch('household');
    };
    return there && fields({ there, at: `${field}[${i}]`, put: (to) => list.put(i, to), drop });
  };

  // Another oven stands there now, or it was mended; a shelf was moved.
  const forget = (thing: string) => {
    const others = (k.forgotten ?? []).filter((f) => f.thing !== thing);
    change({ forgotten: [...others, { thing, until: new Date(houseNow()).toISOString() }] });
  };

  // A place that every kitchen has.
  const placeOfAll = (id: string | undefined) => {
    const place = choices.shelves.find((p) => p.id === id);
    return (
      place && (
        <Section title={words.whereItRises(place.name)}>
          <RisesAs place={place.id} forget={() => forget(place.id)} />
        </Section>
      )
    );
  };

  const fields: Record<string, () => ReactNode> = {
    household: () => <Household {...part} />,
    machine: () => one('machines', ({ there, ...of }) => <MachineCard machine={there} usual={usual} {...of} />),
    oven: () =>
      one('ovens', ({ there, ...of }) => (
        <OvenFields oven={there} usual={usual.oven} {...of}>
          <HeatsAs oven={there.id} forget={() => forget(there.id)} />
        </OvenFields>
      )),
    tin: () => one('tins', ({ there, ...of }) => <TinFields tin={there} {...of} />),
    place: () =>
      one('places', ({ there, ...of }) => (
        <PlaceFields place={there} usual={usual.place} {...of}>
          <RisesAs place={there.id} forget={() => forget(there.id)} />
        </PlaceFields>
      )) ?? placeOfAll(id),
    scale: () => <Scale {...part} steps={choices.scaleSteps} />,
    pot: () => <PotAndHob {...part} />,
    griddle: () => <Griddle {...part} />,
    ring: () => <Ring {...part} />,
    bowls: () => <Bowls {...part} />,
    night: () => <Night {...part} />,
    prices: () => <Prices {...part} families={choices.families} />,
    phones: () => <OthersOfTheHouse />,
    kept: () => <WhereItIsKept />,
  };
  return fields[kind]?.() ?? <Household {...part} />;
}

type One<T> = { there: T; at: string; put: (to: Partial<T>) => void; drop: () => void };
