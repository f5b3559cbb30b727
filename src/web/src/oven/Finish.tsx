// Out of the oven: when it may be cut, how its crust stays, how long it keeps; and labels to print.
import { Link } from 'react-router';
import type { BenchView } from '../api/http';
import { calendarDay, clockTime } from '../api/clock';
import { useUnits } from '../parts/units';

export function Finish({ bake }: { bake: BenchView }) {
  const { mass, length } = useUnits();
  if (bake.finish.length === 0) return null;
  return (
    <section aria-label="Out of the oven" className="finish">
      {bake.finish.map((f, i) => (
        <p key={i}>
          <b>
            {f.pieces} {f.what}
          </b>
          , about {mass(f.baked)} each. {f.cutAt && `Not cut before ${clockTime(f.cutAt)}.`} {f.cooling}{' '}
          {f.slices && f.slice && `${f.slices} slices of ${length(f.slice)} are even shares. `}
          {f.keepBy && `${f.keepCold ? 'In the fridge' : 'Bagged when cold'} until ${calendarDay(f.keepBy)}`}
          {f.freezeBy && `, sliced in the freezer until ${calendarDay(f.freezeBy)}`}.
        </p>
      ))}
      <Link className="button small" to={`/labels/${bake.id}`}>
        Labels to print
      </Link>
    </section>
  );
}
