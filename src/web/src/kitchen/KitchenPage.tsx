// The kitchen, drawn with all that is in it; what is touched opens its few fields beside it. Everything here is used somewhere,
// and keeps itself.
import { useEffect, useRef } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, type Schemas } from '../api/http';
import { useMarkedKitchen, type Marked } from '../api/kitchen';
import { Loading } from '../parts/Loading';
import { Problems } from './form';
import { Things } from './Things';
import { useKitchen, type Crossed, type Kitchen } from './save';
import { Touched } from './Touched';
import * as words from './words';
import css from './kitchen.module.css';

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
  kept: words.kept,
  typing: '…',
  refused: words.notKeptSeeBelow,
  away: words.theKitchenServerDoesNot,
};

type Props = { first: Marked; usual: Schemas['UsualKitchen']; choices: Schemas['KitchenView'] };

function Editor({ first, usual, choices }: Props) {
  const { kitchen, change, problems, state, crossed, settle } = useKitchen(first);
  const [search, setSearch] = useSearchParams();
  const thing = search.get('thing');
  const touched = thing ?? 'household';
  const fields = useRef<HTMLElement>(null);
  const byHand = useRef(false);
  const touch = (thing: string) => {
    byHand.current = true;
    setSearch({ thing }, { replace: true });
  };
  // What was touched is read first, and on a phone it lies under the drawing.
  useEffect(() => {
    if (byHand.current) fields.current?.querySelector<HTMLElement>('h2')?.focus();
  }, [touched]);
  const part: Part = { k: kitchen, usual, change };
  return (
    <Problems value={problems}>
      <div className="book-head">
        <h1>{words.kitchen}</h1>
        <span role="status" className={state === 'refused' || state === 'away' ? 'late' : 'muted'}>
          {said[state]}
        </span>
        <Link className="button at-end" to="/kitchen/pantry">
          {words.pantryAndPrices}
        </Link>
      </div>
      {crossed && <Meanwhile crossed={crossed} settle={settle} />}
      <div className={css.kitchen} data-open={thing ?? undefined}>
        <Things {...part} choices={choices} touched={touched} touch={touch} />
        <aside ref={fields} className={css.beside}>
          <button type="button" className={`button ${css.whole}`} onClick={() => setSearch({}, { replace: true })}>
            {words.theWholeKitchen}
          </button>
          <Touched {...part} choices={choices} thing={touched} touch={touch} />
        </aside>
      </div>
    </Problems>
  );
}

const called: Partial<Record<keyof Kitchen, string>> = {
  machines: words.theMachines,
  ovens: words.theOvens,
  tins: words.traysAndTins,
  places: words.theProofingPlaces,
  prices: words.thePrices,
  awake: words.theNight,
};

// Both changed the same, each otherwise: nothing is kept before the baker says which holds.
function Meanwhile({ crossed, settle }: { crossed: Crossed; settle: (takeTheirs: boolean) => void }) {
  return (
    <section className="card unheard" role="alert">
      <p>{words.meanwhileSomebodyElseChangedWhich(crossed.fields.map((f) => called[f] ?? f).join(', '))}</p>
      <div className="buttons-row">
        <button type="button" className="button" onClick={() => settle(true)}>
          {words.takeTheirs}
        </button>
        <button type="button" className="button" onClick={() => settle(false)}>
          {words.keepMine}
        </button>
      </div>
    </section>
  );
}
