// Out of the oven: when it may be cut, how its crust stays, how long it keeps; slices, the freezer, and labels to print.
import { useState } from 'react';
import { Link } from 'react-router';
import { useFreezeBread } from '../api/changes';
import { api, type BenchView, type Schemas } from '../api/http';
import { calendarDay, clockTime, useNow } from '../api/clock';
import { NumberInput } from '../parts/NumberInput';
import { useUnits } from '../parts/units';
import { BreadPicture } from '../shaping/BreadPicture';
import * as words from './words';
import css from './oven.module.css';

export function Finish({ bake }: { bake: BenchView }) {
  if (bake.finish.length === 0) return null;
  return (
    <section aria-label={words.outOfTheOven} className={css.finish}>
      {bake.finish.map((f, i) => (
        <Bread key={i} bake={bake.id} f={f} />
      ))}
      <Link className="button small" to={`/labels/${bake.id}`}>
        {words.labelsToPrint}
      </Link>
    </section>
  );
}

function Bread({ bake, f }: { bake: string; f: Schemas['FinishView'] }) {
  const now = useNow(30_000);
  const { mass } = useUnits();
  return (
    <div className={css.finished}>
      <BreadPicture look={f.look} width={84} hot={f.cutAt !== null && Date.parse(f.cutAt) > now} />
      <p>
        <b>
          {f.pieces} {f.what}
        </b>
        {words.about(mass(f.baked))}
        {f.pieces > 1 && words.each}. {f.cutAt && words.notCutBefore(clockTime(f.cutAt))} {f.cooling}{' '}
        {f.keepBy && words.until(f.keepCold ? words.inTheFridge : words.baggedWhenCold, calendarDay(f.keepBy))}
        {f.freezeBy && words.inTheFreezerUntil(f.slices ? words.sliced : '', calendarDay(f.freezeBy))}.
      </p>
      {f.slices !== null && <Slices bake={bake} f={f} />}
      <Freezer bake={bake} f={f} />
    </div>
  );
}

// So many even slices: the longest marks are cut first.
function Slices({ bake, f }: { bake: string; f: Schemas['FinishView'] }) {
  const { mass, length } = useUnits();
  const [typed, type] = useState<number | null>(null);
  const count = typed ?? f.slices ?? 1;
  const { data } = api.useQuery(
    'get',
    '/api/bakes/{id}/slices',
    { params: { path: { id: bake }, query: { cut: f.cut, count } } },
    { retry: false, placeholderData: (before) => before },
  );
  const id = `slices-${f.cut}`;
  const whole = data ? data.each * (data.marks.length + 1) : 1;
  return (
    <div className={css.slices}>
      <label htmlFor={id}>{words.slices}</label>
      <NumberInput id={id} value={count} onChange={type} digits={0} className="typed" />
      {data && (
        <>
          <span>{words.wideAboutEach(length(data.each), mass(data.mass))}</span>
          <svg viewBox="0 0 600 70" role="img" aria-label={words.cutAt(data.marks.map((m) => length(m.at)).join(', '))}>
            <rect x={2} y={22} width={596} height={40} rx={18} fill="var(--crust)" stroke="var(--crust-line)" strokeWidth={2} />
            {data.marks.map((m) => {
              const x = 2 + (596 * m.at) / whole;
              return (
                <line
                  key={m.at}
                  x1={x}
                  x2={x}
                  y1={6 + Math.min(4, m.level - 1) * 8}
                  y2={64}
                  stroke="var(--ink)"
                  strokeWidth={m.level === 1 ? 4 : 2}
                />
              );
            })}
          </svg>
        </>
      )}
    </div>
  );
}

function Freezer({ bake, f }: { bake: string; f: Schemas['FinishView'] }) {
  const [pieces, setPieces] = useState<number | null>(f.pieces);
  const freeze = useFreezeBread();
  const [kept, setKept] = useState(false);
  if (kept) return <p className="muted">{words.inTheFreezerItStands}</p>;
  return (
    <p className="station-line">
      {f.pieces > 1 && (
        <NumberInput
          aria-label={words.howManyToFreeze(f.what)}
          className="typed"
          digits={0}
          value={pieces}
          onChange={setPieces}
        />
      )}
      <button
        type="button"
        className="button small quiet"
        onClick={() =>
          void freeze.make({ bake, cut: f.cut, pieces: pieces ?? 1 }).then(({ trouble }) => setKept(trouble === null))
        }
      >
        {f.pieces > 1 ? words.freeze(pieces ?? 1, f.what) : words.freezeIt}
      </button>
    </p>
  );
}
