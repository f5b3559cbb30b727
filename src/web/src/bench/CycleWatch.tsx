// A machine that is only taken for usual: one touch at each change of its first cycle, and the program is its own.
import { useSayCycle, useTakeCycleBack } from '../api/changes';
import { api, type BenchView, type Schemas } from '../api/http';
import * as words from './words';

const begins: Record<Schemas['CycleChange'], [string, string]> = {
  'stands-still': [words.itStandsStill, words.standsStill],
  kneads: [words.itKneads, 'kneads'],
  beeps: [words.itBeeps, 'beeps'],
  rises: [words.itRestsTheDoughRises, 'rises'],
  'knocks-back': [words.itPressesTheDoughDown, words.pressesTheDoughDown],
};

export function CycleWatch({ bake }: { bake: BenchView }) {
  const path = { params: { path: { id: bake.id } } };
  // Whether it runs is known by what was told.
  const { data, refetch } = api.useQuery('get', '/api/bakes/{id}/cycle', path, { enabled: bake.display !== null });
  const say = useSayCycle();
  const back = useTakeCycleBack();
  if (!data || bake.display === null) return null;
  const last = data.seen.at(-1);
  return (
    <section className="cycle-watch" aria-label={words.whatDoes(data.machine)}>
      <p>{words.howGoesAboutItIs(data.machine)}</p>
      {last && (
        <p>
          {words.seen} {data.seen.map((s) => words.fromMinute(begins[s.change][1], Math.round(s.at / 60))).join(', ')}.
        </p>
      )}
      <div className="choices">
        {data.offers.map((change) => (
          <button
            key={change}
            type="button"
            className="button"
            disabled={say.busy}
            onClick={() => void say.make({ id: bake.id, change }).then(() => refetch())}
          >
            {begins[change][0]}
          </button>
        ))}
        {last && (
          <button type="button" className="button quiet" onClick={() => void back.make({ id: bake.id }).then(() => refetch())}>
            {words.notSoTakeItBack}
          </button>
        )}
      </div>
    </section>
  );
}
