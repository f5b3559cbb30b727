// What follows from the choices: how many, when, what clashes; what is weighed in, where it goes, when hands are wanted.
import { Segmented } from 'antd';
import { calendarDay, clockTime, span } from '../api/clock';
import type { Schemas } from '../api/http';
import { lasting, panSaid } from '../doughs/RecipeSays';
import { useMayCall } from '../parts/mayCall';
import { useUnits } from '../parts/units';
import { PanPicture } from '../shaping/PanPicture';
import { Beside } from './Beside';
import { CutBar } from './CutList';
import { laters } from './WaysList';
import css from './layout.module.css';

type Layout = Schemas['LayoutView'];
type Cut = Schemas['CutView'];
type Times = Schemas['Times'];
type Later = Schemas['LaterLoads'];

type Props = {
  layout: Layout;
  /** What it is weighed into. */
  into: 'bowl' | 'pan';
  /** How it goes with what is planned already; null when nothing is. */
  beside: Schemas['BesideView'] | null;
  /** Whom it wakes; null where it wakes nobody. */
  wakes: Schemas['WakesView'] | null;
  setReadyBy: (at: string) => void;
  /** What the recipe says itself. */
  recipe: Schemas['RecipePlan'] | null;
  times: Times;
  /** Takes one of the times that stand beside each other. */
  take: (times: Times) => void;
  later: Later | undefined;
  setLater: (later: Later) => void;
  go: string;
  keep: (arrange: boolean) => void;
  /** Puts all of a cut on one tray. */
  onOneTray: (cut: number, panId: string) => void;
  /** Writes what past checks wanted into the recipe. */
  writeHint: () => void;
};

export function Result(props: Props) {
  const { layout } = props;
  const baked = layout.cuts.filter((c) => c.familyId);
  return (
    <>
      <InShort {...props} baked={baked} />
      <div className="columns">
        <div className="stack">
          <WeighIn {...props} />
          <Cautions layout={layout} />
        </div>
        <WhereTheyGo layout={layout} baked={baked} recipe={props.recipe} onOneTray={props.onOneTray} />
        <Hands layout={layout} />
      </div>
    </>
  );
}

// Said before anything else: somebody would have to be up.
function Wakes({ wakes, setReadyBy }: { wakes: Schemas['WakesView']; setReadyBy: (at: string) => void }) {
  const { readyBy } = wakes;
  return (
    <p className={`late ${css.wakes}`} role="status">
      Somebody would be up at {clockTime(wakes.at)}: {wakes.what}.{' '}
      {readyBy && (
        <button type="button" className="button small" onClick={() => setReadyBy(readyBy)}>
          Ready by {calendarDay(readyBy)} {clockTime(readyBy)} instead
        </button>
      )}
    </p>
  );
}

function InShort({
  layout,
  beside,
  wakes,
  setReadyBy,
  recipe,
  times,
  take,
  later,
  setLater,
  go,
  keep,
  baked,
}: Props & { baked: Cut[] }) {
  const mayCall = useMayCall();
  const waits = baked.filter((c) => c.waitsFor > 0);
  const [first] = baked;
  const clashes = beside?.clashes ?? [];
  return (
    <section className="card facts" aria-label="Result">
      {wakes && <Wakes wakes={wakes} setReadyBy={setReadyBy} />}
      <CutBar cuts={layout.cuts} />
      {baked.length === 1 && first && <HowMany layout={layout} cut={first} />}
      <Ready layout={layout} />
      {first && <ProofAndBake cut={first} recipe={recipe} times={times} take={take} />}
      {/* What is found out later stands below it: it moves nothing that a finger is about to touch. */}
      <button
        className={clashes.some((c) => c.impossible) ? `button ${css.go}` : `button do ${css.go}`}
        onClick={() => keep(false)}
      >
        {go}
      </button>
      {mayCall === 'default' && (
        <p className="muted">Your browser will ask, once, whether this device may call you when something is due.</p>
      )}
      {baked.map((c) => c.rings && <Rings key={`rings ${c.name}`} rings={c.rings} />)}
      {waits.map((c) => (
        <p key={c.name} className={c.overProofed ? 'late' : 'muted'}>
          The {c.name} {c.pieces === 1 ? 'waits' : 'wait'} {span(c.waitsFor * 1000)} for the oven
          {c.overProofed ? ': over-proofed by then.' : '.'}
        </p>
      ))}
      {(waits.length > 0 || later !== 'wait') && (
        <Segmented
          aria-label="Later loads"
          {...(later ? { value: later } : {})}
          onChange={setLater}
          options={laters.map(([value, label]) => ({ value, label }))}
        />
      )}
      {beside && clashes.length > 0 && <Beside beside={beside} keep={() => keep(true)} />}
    </section>
  );
}

function HowMany({ layout, cut }: { layout: Layout; cut: Cut }) {
  const { mass } = useUnits();
  return (
    <span>
      <span className="big num">
        {cut.pieces} × {mass(cut.each)}
      </span>
      {cut.strands > 1
        ? `${cut.pieces * cut.strands} strands of ${mass(cut.eachStrand)}`
        : `of about ${mass(layout.dough)} dough`}
    </span>
  );
}

function Ready({ layout }: { layout: Layout }) {
  return (
    <span>
      <span className="big num">{clockTime(layout.ready)}</span>
      {layout.lateBy > 0 ? (
        <span className="late">{span(layout.lateBy * 1000)} later than wanted</span>
      ) : (
        `ready ${calendarDay(layout.ready)}, start ${clockTime(layout.start)}`
      )}
    </span>
  );
}

function ProofAndBake({ cut, recipe, times, take }: Pick<Props, 'recipe' | 'times' | 'take'> & { cut: Cut }) {
  const { heat } = useUnits();
  const { bestProof, bake, proofTimes, bakeTimes } = cut;
  return (
    <>
      <span>
        <span className="big num">{bestProof === null ? '?' : span(bestProof * 1000)}</span>
        {bestProof === null ? 'it does not rise here' : 'second proof'}
        {proofTimes && (
          <WhoseTime what="Second proof" times={proofTimes} taken={times.proof} take={(proof) => take({ ...times, proof })} />
        )}
      </span>
      {bake && (
        <span>
          <span className="big num">{span(bake.likely * 1000)}</span>
          bake, look at {span(bake.firstLook * 1000)}
          {recipe?.heat && cut.heat !== null && recipe.heat !== cut.heat && (
            <small className="muted">
              {' '}
              recipe {heat(recipe.heat)}, here {heat(cut.heat)}
            </small>
          )}
          {bakeTimes && (
            <WhoseTime what="Bake" times={bakeTimes} taken={times.bake} take={(to) => take({ ...times, bake: to })} />
          )}
        </span>
      )}
    </>
  );
}

// By the recipe, as reckoned, and what follows from both: any of them is taken by touch.
function WhoseTime({
  what,
  times: { recipe, middle, reckoned, joined },
  taken,
  take,
}: {
  what: string;
  times: Schemas['TimesBeside'];
  taken: number | null | undefined;
  take: (time: number | null) => void;
}) {
  const times = [
    { value: middle, label: `recipe ${lasting(recipe)}` },
    { value: reckoned, label: `reckoned ${span(reckoned * 1000)}` },
    { value: both, label: `both ${span(joined * 1000)}` },
  ];
  return (
    <Segmented
      aria-label={`${what}: whose time`}
      value={taken ?? both}
      onChange={(time) => take(time === both ? null : time)}
      options={times}
    />
  );
}

// What follows from recipe and reckoning together is no time of its own.
const both = 0;

function Rings({ rings }: { rings: NonNullable<Cut['rings']> }) {
  const { mass, length } = useUnits();
  const [sheet, ...scraps] = rings.perRolling;
  return (
    <p className="muted">
      {length(rings.thick)} thick, with a ring of {length(rings.ring)}: {sheet} from the sheet
      {scraps.length > 0 && `, ${scraps.join(' and ')} from the scraps`}; {mass(rings.scrap)} over.
    </p>
  );
}

function WeighIn({ layout, into, writeHint }: Pick<Props, 'layout' | 'into' | 'writeHint'>) {
  const { mass } = useUnits();
  return (
    <section className="card">
      <h2>Weigh in, in this order</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>Ingredient</th>
            <th className="num">weigh in</th>
            <th className="num">in the {into}</th>
          </tr>
        </thead>
        <tbody>
          {layout.weighIn.map((r, i) => (
            <tr key={i}>
              <td>{r.ingredient}</td>
              <td className="num">
                <b>{r.measure ?? mass(r.mass)}</b>
              </td>
              <td className="num muted">{r.measure ? '' : mass(r.running)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {layout.before.length > 0 && <p className="muted">{layout.before.join(' ')}</p>}
      {layout.hint && (
        <button type="button" className="button small" onClick={writeHint}>
          Write it into the recipe
          <small>{layout.hint}</small>
        </button>
      )}
      {layout.addIns.length > 0 && <p>At the beep: {layout.addIns.join(', ')}.</p>}
      {layout.sideJobs.map((p, i) => (
        <p key={i} className={css.named}>
          {p.name}: {mass(p.total)}
          {p.kind === 'wash' || p.each === p.total ? '' : `, ${mass(p.each)} for each`}.
        </p>
      ))}
    </section>
  );
}

function Cautions({ layout }: { layout: Layout }) {
  return (
    <section className="card">
      <h2>Worth a caution</h2>
      <ul className="lines">
        {layout.formula.checks.map((c) => (
          <li key={c.code}>{c.reason}</li>
        ))}
        {layout.cautions.map((c) => (
          <li key={c.text}>{c.text}</li>
        ))}
      </ul>
    </section>
  );
}

function WhereTheyGo({ layout, baked, recipe, onOneTray }: Pick<Props, 'layout' | 'recipe' | 'onOneTray'> & { baked: Cut[] }) {
  const { length } = useUnits();
  if (!baked.some((c) => c.pans.length > 0 || c.wouldHold)) return null;
  return (
    <section className="card">
      <h2>Where they go</h2>
      {recipe?.pan && <p className="muted">The recipe says: {panSaid(recipe.pan, length)}.</p>}
      {baked.map((cut, i) => {
        const [pan] = cut.pans;
        return pan ? (
          <OnPan key={i} cut={cut} pan={pan} onOneTray={(panId) => onOneTray(layout.cuts.indexOf(cut), panId)} />
        ) : (
          <p key={i} className="late">
            Nothing in the kitchen holds the {cut.name}. {cut.wouldHold}
          </p>
        );
      })}
    </section>
  );
}

function OnPan({ cut, pan, onOneTray }: { cut: Cut; pan: Schemas['PanView']; onOneTray: (panId: string) => void }) {
  const { length } = useUnits();
  const { oneTray, onPan } = cut;
  if (!onPan) return null;
  return (
    <figure className="pan-here">
      <PanPicture layout={onPan} room={280} />
      <figcaption>
        {pan.pans > 1 ? `${pan.pans} × ` : ''}
        {pan.name}, {length(onPan.tin.length)}
        {cut.roundTin !== null && onPan.touching && (
          <span className="muted"> · they would fill a round tin of {length(cut.roundTin)}</span>
        )}
        {pan.loads > 1 && <span className="late"> · {pan.loads} loads</span>}
        {oneTray && (
          <button type="button" className="button small" onClick={() => onOneTray(oneTray.panId)}>
            One tray is enough
            <small>closer together: {span(oneTray.longer * 1000)} longer, soft where they touch</small>
          </button>
        )}
      </figcaption>
    </figure>
  );
}

function Hands({ layout }: { layout: Layout }) {
  return (
    <section className="card" aria-labelledby="hands">
      <h2 id="hands">When your hands are wanted</h2>
      <p className="muted">
        Hands {span(layout.hands.hands * 1000)} in {layout.hands.visits} {layout.hands.visits === 1 ? 'visit' : 'visits'}, longest
        free gap {span(layout.hands.longestFree * 1000)}.
      </p>
      <table className="plain">
        <tbody>
          {layout.steps
            .filter((s) => !s.weighsIn)
            .map((s) => (
              <tr key={s.step}>
                <td className={`num ${css.when}`}>
                  <b>{clockTime(s.start)}</b>
                </td>
                <td>{s.short}</td>
              </tr>
            ))}
        </tbody>
      </table>
    </section>
  );
}
