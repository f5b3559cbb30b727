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
import * as words from './words';
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
      {words.somebodyWouldBeUpAt(clockTime(wakes.at), wakes.what)}{' '}
      {readyBy && (
        <button type="button" className="button small" onClick={() => setReadyBy(readyBy)}>
          {words.readyByInstead(calendarDay(readyBy), clockTime(readyBy))}
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
    <section className="card facts" aria-label={words.result}>
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
      {mayCall === 'default' && <p className="muted">{words.yourBrowserWillAskOnce}</p>}
      {baked.map((c) => c.rings && <Rings key={`rings ${c.name}`} rings={c.rings} />)}
      {waits.map((c) => (
        <p key={c.name} className={c.overProofed ? 'late' : 'muted'}>
          {words.the(c.name)} {c.pieces === 1 ? words.waits : words.wait} {words.forTheOven(span(c.waitsFor * 1000))}
          {c.overProofed ? words.overProofedByThen : '.'}
        </p>
      ))}
      {(waits.length > 0 || later !== 'wait') && (
        <Segmented
          aria-label={words.laterLoads}
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
      {cut.strands > 1 ? words.strandsOf(cut.pieces * cut.strands, mass(cut.eachStrand)) : words.ofAboutDough(mass(layout.dough))}
    </span>
  );
}

function Ready({ layout }: { layout: Layout }) {
  return (
    <span>
      <span className="big num">{clockTime(layout.ready)}</span>
      {layout.lateBy > 0 ? (
        <span className="late">{words.laterThanWanted(span(layout.lateBy * 1000))}</span>
      ) : (
        words.readyStart(calendarDay(layout.ready), clockTime(layout.start))
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
        {bestProof === null ? words.itDoesNotRiseHere : words.secondProof2}
        {proofTimes && (
          <WhoseTime
            what={words.secondProof}
            times={proofTimes}
            taken={times.proof}
            take={(proof) => take({ ...times, proof })}
          />
        )}
      </span>
      {bake && (
        <span>
          <span className="big num">{span(bake.likely * 1000)}</span>
          {words.bakeLookAt(span(bake.firstLook * 1000))}
          {recipe?.heat && cut.heat !== null && recipe.heat !== cut.heat && (
            <small className="muted"> {words.recipeHere(heat(recipe.heat), heat(cut.heat))}</small>
          )}
          {bakeTimes && (
            <WhoseTime what={words.bake} times={bakeTimes} taken={times.bake} take={(to) => take({ ...times, bake: to })} />
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
    { value: middle, label: words.recipe(lasting(recipe)) },
    { value: reckoned, label: words.reckoned(span(reckoned * 1000)) },
    { value: both, label: words.both(span(joined * 1000)) },
  ];
  return (
    <Segmented
      aria-label={words.whoseTime(what)}
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
      {words.thickWithARingOf(length(rings.thick), length(rings.ring))} {sheet} {words.fromTheSheet}
      {scraps.length > 0 && words.fromTheScraps(scraps.join(words.and))}
      {'; '}
      {words.over(mass(rings.scrap))}
    </p>
  );
}

function WeighIn({ layout, into, writeHint }: Pick<Props, 'layout' | 'into' | 'writeHint'>) {
  const { mass } = useUnits();
  return (
    <section className="card">
      <h2>{words.weighInInThisOrder}</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>{words.ingredient}</th>
            <th className="num">{words.weighIn}</th>
            <th className="num">{words.inThe(into)}</th>
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
          {words.writeItIntoTheRecipe}
          <small>{layout.hint}</small>
        </button>
      )}
      {layout.addIns.length > 0 && <p>{words.atTheBeep(layout.addIns.join(', '))}</p>}
      {layout.sideJobs.map((p, i) => (
        <p key={i} className={css.named}>
          {p.name}: {mass(p.total)}
          {p.kind === 'wash' || p.each === p.total ? '' : words.forEach(mass(p.each))}.
        </p>
      ))}
    </section>
  );
}

function Cautions({ layout }: { layout: Layout }) {
  return (
    <section className="card">
      <h2>{words.worthACaution}</h2>
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
      <h2>{words.whereTheyGo}</h2>
      {recipe?.pan && <p className="muted">{words.theRecipeSays(panSaid(recipe.pan, length))}</p>}
      {baked.map((cut, i) => {
        const [pan] = cut.pans;
        return pan ? (
          <OnPan key={i} cut={cut} pan={pan} onOneTray={(panId) => onOneTray(layout.cuts.indexOf(cut), panId)} />
        ) : (
          <p key={i} className="late">
            {words.nothingInTheKitchenHolds(cut.name)} {cut.wouldHold}
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
          <span className="muted"> {words.theyWouldFillARound(length(cut.roundTin))}</span>
        )}
        {pan.loads > 1 && (
          <span className="late">
            {' · '}
            {words.loads(pan.loads)}
          </span>
        )}
        {oneTray && (
          <button type="button" className="button small" onClick={() => onOneTray(oneTray.panId)}>
            {words.oneTrayIsEnough}
            <small>{words.closerTogetherLongerSoftWhere(span(oneTray.longer * 1000))}</small>
          </button>
        )}
      </figcaption>
    </figure>
  );
}

function Hands({ layout }: { layout: Layout }) {
  return (
    <section className="card" aria-labelledby="hands">
      <h2 id="hands">{words.whenYourHandsAreWanted}</h2>
      <p className="muted">
        {words.handsIn(span(layout.hands.hands * 1000), layout.hands.visits)}{' '}
        {layout.hands.visits === 1 ? words.visit : words.visits}
        {words.longestFreeGap(span(layout.hands.longestFree * 1000))}
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
