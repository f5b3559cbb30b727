// The kitchen: what there is to bake with. Everything here is used somewhere, and keeps itself.
import { Link } from 'react-router';
import { api, newId, type Schemas } from '../api/http';
import { useMarkedKitchen, type Marked } from '../api/kitchen';
import { Loading } from '../parts/Loading';
import { Add, listOf, Problems, Section } from './form';
import { Household } from './Household';
import { MachineCard } from './MachineCard';
import { Ovens } from './Ovens';
import { PlacesAndGriddle } from './PlacesAndGriddle';
import { PotScaleAndBowls } from './PotScaleAndBowls';
import { Prices } from './Prices';
import { useKitchen, type Crossed, type Kitchen } from './save';
import { Tins } from './Tins';
import { OthersOfTheHouse } from './OthersOfTheHouse';
import { WhereItIsKept } from './WhereItIsKept';

/** A part of the kitchen's form: the kitchen, what is usual where nothing was entered, and changing it. */
export type Part = { k: Kitchen; usual: Schemas['UsualKitchen']; change: (to: Partial<Kitchen>) => void };

export default function KitchenPage() {
  const setup = useMarkedKitchen();
  const usual = api.useQuery('get', '/api/kitchen/usual');
  const choices = api.useQuery('get', '/api/kitchen');
  if (!setup.data || !usual.data || !choices.data) return <Loading error={setup.error ?? usual.error ?? choices.error} />;
  return <Editor first={setup.data} usual={usual.data} choices={choices.data} />;
}

const said = {
  kept: 'Kept',
  typing: '…',
  refused: 'Not kept: see below',
  away: 'The kitchen server does not answer; not kept yet',
};

type Props = { first: Marked; usual: Schemas['UsualKitchen']; choices: Schemas['KitchenView'] };

function Editor({ first, usual, choices }: Props) {
  const { kitchen, change, problems, state, crossed, settle } = useKitchen(first);
  const part: Part = { k: kitchen, usual, change };
  return (
    <Problems value={problems}>
      <div className="book-head">
        <h1>Kitchen</h1>
        <span role="status" className={state === 'refused' || state === 'away' ? 'late' : 'muted'}>
          {said[state]}
        </span>
        <Link className="button" to="/kitchen/pantry" style={{ marginLeft: 'auto' }}>
          Pantry and prices
        </Link>
      </div>
      {crossed && <Meanwhile crossed={crossed} settle={settle} />}
      <Household {...part} />
      <Machines {...part} />
      <Ovens {...part} />
      <Tins {...part} />
      <PotScaleAndBowls {...part} steps={choices.scaleSteps} />
      <PlacesAndGriddle {...part} />
      <Prices {...part} families={choices.families} />
      <OthersOfTheHouse />
      <WhereItIsKept />
    </Problems>
  );
}

const called: Partial<Record<keyof Kitchen, string>> = {
  machines: 'the machines',
  ovens: 'the ovens',
  tins: 'trays and tins',
  places: 'the proofing places',
  prices: 'the prices',
  awake: 'the night',
};

// Both changed the same, each otherwise: nothing is kept before the baker says which holds.
function Meanwhile({ crossed, settle }: { crossed: Crossed; settle: (takeTheirs: boolean) => void }) {
  return (
    <section className="card unheard" role="alert">
      <p>Meanwhile somebody else changed {crossed.fields.map((f) => called[f] ?? f).join(', ')}. Which holds?</p>
      <div className="buttons-row">
        <button type="button" className="button" onClick={() => settle(true)}>
          Take theirs
        </button>
        <button type="button" className="button" onClick={() => settle(false)}>
          Keep mine
        </button>
      </div>
    </section>
  );
}

function Machines({ k, usual, change }: Part) {
  const machines = listOf(k.machines, (m) => change({ machines: m }));
  return (
    <Section title="Machines">
      {machines.all.map((m, i) => (
        <MachineCard
          key={m.id}
          machine={m}
          usual={usual}
          at={`machines[${i}]`}
          put={(to) => machines.put(i, to)}
          drop={() => machines.drop(i)}
        />
      ))}
      <Add what="a machine" add={() => machines.add({ ...usual.machine, id: newId() })} />
    </Section>
  );
}
