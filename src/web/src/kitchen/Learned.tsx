// What past bakes say, beside the thing it is used for.
import { calendarDay } from '../api/clock';
import { api, type Schemas } from '../api/http';

/** Past bakes on one of the kitchen's ovens. */
export function HeatsAs({ oven, forget }: { oven: string; forget: () => void }) {
  const { data } = api.useQuery('get', '/api/kitchen/learned');
  const learned = data?.ovens.find((o) => o.id === oven);
  return (
    <div>
      <h3>Learned here</h3>
      <p>
        {learned
          ? `Bread takes ${than(learned.times, 'longer', 'less long')}. ${evidence(learned)}`
          : 'Nothing yet: bread takes as long as usual.'}
      </p>
      {learned && (
        <button type="button" className="button small" onClick={forget}>
          Forget it
        </button>
      )}
      <p className="muted">Used by: preheat, bake times, what the day can do at once.</p>
    </div>
  );
}

/** Past bakes at one of the kitchen's places. */
export function RisesAs({ place, forget }: { place: string; forget: () => void }) {
  const { data } = api.useQuery('get', '/api/kitchen/learned');
  const learned = data?.places.find((p) => p.id === place);
  return (
    <div>
      <h3>Learned here</h3>
      <p>
        {learned
          ? `Dough rises ${than(learned.times, 'faster', 'slower')}. ${evidence(learned)}`
          : 'Nothing yet: dough rises as fast as it is warm.'}
      </p>
      {learned && (
        <button type="button" className="button small" onClick={forget}>
          Forget it
        </button>
      )}
      <p className="muted">Used by: when to look, when to heat the oven, the day.</p>
    </div>
  );
}

/** How fast dough rises in a place, in few words; nothing where nothing is known. */
export const risesAs = (learned: Schemas['LearnedThing'] | undefined) =>
  learned && `rises ${than(learned.times, 'faster', 'slower')}`;

const evidence = ({ bakes, last }: Schemas['LearnedThing']) =>
  `From ${bakes === 1 ? 'one bake' : `${bakes} bakes`}${last ? `, the last on ${calendarDay(last)}` : ''}.`;

function than(times: number, more: string, less: string) {
  const percent = Math.round(Math.abs(times - 1) * 100);
  return percent === 0 ? 'as usual' : `${percent} % ${times > 1 ? more : less} than usual`;
}
