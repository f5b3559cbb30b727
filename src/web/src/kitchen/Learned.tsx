// What past bakes say, beside the thing it is used for.
import { calendarDay } from '../api/clock';
import { api, type Schemas } from '../api/http';

type Props = {
  what: 'ovens' | 'places';
  id: string;
  said: (learned: Schemas['LearnedThing']) => string;
  nothing: string;
  usedBy: string;
  forget: () => void;
};

function Learned({ what, id, said, nothing, usedBy, forget }: Props) {
  const { data } = api.useQuery('get', '/api/kitchen/learned');
  const learned = data?.[what].find((t) => t.id === id);
  return (
    <div>
      <h3>Learned here</h3>
      <p>{learned ? `${said(learned)}. ${evidence(learned)}` : `Nothing yet: ${nothing}.`}</p>
      {learned && (
        <button type="button" className="button small" onClick={forget}>
          Forget it
        </button>
      )}
      <p className="muted">Used by: {usedBy}.</p>
    </div>
  );
}

/** Past bakes on one of the kitchen's ovens. */
export const HeatsAs = ({ oven, forget }: { oven: string; forget: () => void }) => (
  <Learned
    what="ovens"
    id={oven}
    said={(l) => `Bread takes ${than(l.times, 'longer', 'less long')}`}
    nothing="bread takes as long as usual"
    usedBy="preheat, bake times, what the day can do at once"
    forget={forget}
  />
);

/** Past bakes at one of the kitchen's places. */
export const RisesAs = ({ place, forget }: { place: string; forget: () => void }) => (
  <Learned
    what="places"
    id={place}
    said={(l) => `Dough rises ${than(l.times, 'faster', 'slower')}`}
    nothing="dough rises as fast as it is warm"
    usedBy="when to look, when to heat the oven, the day"
    forget={forget}
  />
);

/** How fast dough rises in a place, in few words; nothing where nothing is known. */
export const risesAs = (learned: Schemas['LearnedThing'] | undefined) =>
  learned && `rises ${than(learned.times, 'faster', 'slower')}`;

const evidence = ({ bakes, last }: Schemas['LearnedThing']) =>
  `From ${bakes === 1 ? 'one bake' : `${bakes} bakes`}${last ? `, the last on ${calendarDay(last)}` : ''}.`;

function than(times: number, more: string, less: string) {
  const percent = Math.round(Math.abs(times - 1) * 100);
  return percent === 0 ? 'as usual' : `${percent} % ${times > 1 ? more : less} than usual`;
}
