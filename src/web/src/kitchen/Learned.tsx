// What past bakes say, beside the thing it is used for.
import { calendarDay } from '../api/clock';
import { api, type Schemas } from '../api/http';
import * as words from './words';

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
      <h3>{words.learnedHere}</h3>
      <p>{learned ? `${said(learned)}. ${evidence(learned)}` : words.nothingYet(nothing)}</p>
      {learned && (
        <button type="button" className="button small" onClick={forget}>
          {words.forgetIt}
        </button>
      )}
      <p className="muted">{words.usedBy(usedBy)}</p>
    </div>
  );
}

/** Past bakes on one of the kitchen's ovens. */
export const HeatsAs = ({ oven, forget }: { oven: string; forget: () => void }) => (
  <Learned
    what="ovens"
    id={oven}
    said={(l) => words.breadTakes(than(l.times, 'longer', words.lessLong))}
    nothing={words.breadTakesAsLongAs}
    usedBy={words.preheatBakeTimesWhatThe}
    forget={forget}
  />
);

/** Past bakes at one of the kitchen's places. */
export const RisesAs = ({ place, forget }: { place: string; forget: () => void }) => (
  <Learned
    what="places"
    id={place}
    said={(l) => words.doughRises(than(l.times, 'faster', 'slower'))}
    nothing={words.doughRisesAsFastAs}
    usedBy={words.whenToLookWhenTo}
    forget={forget}
  />
);

/** How fast dough rises in a place, in few words; nothing where nothing is known. */
export const risesAs = (learned: Schemas['LearnedThing'] | undefined) =>
  learned && words.rises(than(learned.times, 'faster', 'slower'));

const evidence = ({ bakes, last }: Schemas['LearnedThing']) =>
  words.knownFrom(bakes === 1 ? words.oneBake : words.bakes(bakes), last ? words.theLastOn(calendarDay(last)) : '');

function than(times: number, more: string, less: string) {
  const percent = Math.round(Math.abs(times - 1) * 100);
  return percent === 0 ? words.asUsual : words.thanUsual(percent, times > 1 ? more : less);
}
