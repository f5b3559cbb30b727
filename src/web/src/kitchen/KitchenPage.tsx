// The kitchen: what there is to bake with. Everything here is used somewhere, and keeps itself.
import { Link } from 'react-router';
import { api, newId, type Schemas } from '../api/http';
import { Loading } from '../parts/Loading';
import { Add, listOf, Problems, Section } from './form';
import { Household } from './Household';
import { MachineCard } from './MachineCard';
import { Ovens } from './Ovens';
import { PlacesAndGriddle } from './PlacesAndGriddle';
import { PotScaleAndBowls } from './PotScaleAndBowls';
import { Prices } from './Prices';
import { useKitchen, type Kitchen } from './save';
import { Tins } from './Tins';
import { OthersOfTheHouse } from './OthersOfTheHouse';
import { WhereItIsKept } from './WhereItIsKept';

/** A part of the kitchen's form: the kitchen, what is usual where nothing was entered, and changing it. */
export type Part = { k: Kitchen; usual: Schemas['UsualKitchen']; change: (to: Partial<Kitchen>) => void };

export default function KitchenPage() {
  const setup = api.useQuery('get', '/api/kitchen/setup', undefined, { staleTime: Infinity, gcTime: 0 });
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

type Props = { first: Kitchen; usual: Schemas['UsualKitchen']; choices: Schemas['KitchenView'] };

function Editor({ first, usual, choices }: Props) {
  const { kitchen, change, problems, state } = useKitchen(first);
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
