// What follows from the choices: how many, when, what clashes; what is weighed in, where it goes, when hands are wanted.
import { Segmented } from 'antd';
import { calendarDay, clockTime, span } from '../api/clock';
import type { Schemas } from '../api/http';
import { lasting } from '../doughs/RecipeSays';
import { useUnits } from '../parts/units';
import { PanPicture } from '../shaping/PanPicture';
import { Beside } from './Beside';
import { CutBar } from './CutList';
import { laters } from './WaysList';

type Layout = Schemas['LayoutView'];
type Cut = Schemas['CutView'];
type Later = Schemas['LaterLoads'];

type Props = {
  layout: Layout;
  /** What the recipe says itself. */
  recipe: Schemas['RecipePlan'] | null;
  later: Later | undefined;
  setLater: (later: Later) => void;
  go: string;
  keep: (arrange: boolean) => void;
};

export function Result(props: Props) {
  const { layout } = props;
  const baked = layout.cuts.filter((c) => c.familyId);
  return (
    <>
      <InShort {...props} baked={baked} />
      <div className="columns">
        <div className="stack">
          <WeighIn layout={layout} />
          <Cautions layout={layout} />
        </div>
        <WhereTheyGo baked={baked} />
        <Hands layout={layout} />
      </div>
    </>
  );
}

function InShort({ layout, recipe, later, setLater, go, keep, baked }: Props & { baked: Cut[] }) {
  const { beside } = layout;
  const waits = baked.filter((c) => c.waitsFor > 0);
  const [first] = baked;
  const clashes = beside?.clashes ?? [];
  return (
    <section className="card facts" aria-label="Result">
      <CutBar cuts={layout.cuts} />
      {baked.length === 1 && first && <HowMany layout={layout} cut={first} />}
      <Ready layout={layout} />
      {first && <ProofAndBake cut={first} recipe={recipe} />}
      {baked.map((c) => c.rings && <Rings key={`rings ${c.name}`} rings={c.rings} />)}
      {waits.map((c) => (
        <p key={c.name} className={c.overProofed ? 'late' : 'muted'}>
          The {c.name} wait {span(c.waitsFor * 1000)} for the oven
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
      <button className={clashes.some((c) => c.impossible) ? 'button' : 'button do'} onClick={() => keep(false)}>
        {go}
      </button>
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

function ProofAndBake({ cut, recipe }: { cut: Cut; recipe: Schemas['RecipePlan'] | null }) {
  const { heat } = useUnits();
  const { bestProof, bake } = cut;
  return (
    <>
      <span>
        <span className="big num">{bestProof === null ? '?' : span(bestProof * 1000)}</span>
        {bestProof === null ? 'it does not rise here' : 'second proof'}
        {recipe?.proof && <small className="muted"> recipe {lasting(recipe.proof)}</small>}
      </span>
      {bake && (
        <span>
          <span className="big num">{span(bake.likely * 1000)}</span>
          bake, look at {span(bake.firstLook * 1000)}
          {recipe?.bake && <small className="muted"> recipe {lasting(recipe.bake)}</small>}
          {recipe?.heat && cut.heat !== null && recipe.heat !== cut.heat && (
            <small className="muted">
              {' '}
              at {heat(recipe.heat)}, here {heat(cut.heat)}
            </small>
          )}
        </span>
      )}
    </>
  );
}

function Rings({ rings }: { rings: NonNullable<Cut['rings']> }) {
  const { mass, length } = useUnits();
  const [sheet, ...scraps] = rings.perRolling;
  return (
    <p className="muted">
      With a ring of {length(rings.ring)}: {sheet} from the sheet
      {scraps.length > 0 && `, ${scraps.join(' and ')} from the scraps`}; {mass(rings.scrap)} over.
    </p>
  );
}

function WeighIn({ layout }: { layout: Layout }) {
  const { mass } = useUnits();
  return (
    <section className="card">
      <h2>Weigh in, in this order</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>Ingredient</th>
            <th className="num">weigh in</th>
            <th className="num">in the pan</th>
          </tr>
        </thead>
        <tbody>
          {layout.weighIn.map((r, i) => (
            <tr key={i}>
              <td>{r.ingredient}</td>
              <td className="num">
                <b>{mass(r.mass)}</b>
              </td>
              <td className="num muted">{mass(r.running)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {layout.before.length > 0 && <p className="muted">{layout.before.join(' ')}</p>}
      {layout.addIns.length > 0 && <p>At the beep: {layout.addIns.join(', ')}.</p>}
      {layout.sideJobs.map((p) => (
        <p key={p.name}>
          {p.name}: {mass(p.total)}
          {p.kind === 'wash' ? '' : `, ${mass(p.each)} for each`}.
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

function WhereTheyGo({ baked }: { baked: Cut[] }) {
  if (!baked.some((c) => c.pans.length > 0)) return null;
  return (
    <section className="card">
      <h2>Where they go</h2>
      {baked.map((cut, i) => {
        const [pan] = cut.pans;
        return pan ? (
          <OnPan key={i} cut={cut} pan={pan} />
        ) : (
          <p key={i} className="muted">
            Nothing in the kitchen holds the {cut.name}.
          </p>
        );
      })}
    </section>
  );
}

function OnPan({ cut, pan }: { cut: Cut; pan: Schemas['PanView'] }) {
  const { length } = useUnits();
  return (
    <figure className="pan-here">
      <PanPicture layout={pan.layout} room={280} />
      <figcaption>
        {pan.pans > 1 ? `${pan.pans} × ` : ''}
        {pan.name}, {length(pan.layout.tin.length)}
        {cut.roundTin !== null && pan.layout.touching && (
          <span className="muted"> · they would fill a round tin of {length(cut.roundTin)}</span>
        )}
        {pan.loads > 1 && <span className="late"> · {pan.loads} loads</span>}
      </figcaption>
    </figure>
  );
}

function Hands({ layout }: { layout: Layout }) {
  return (
    <section className="card">
      <h2>When your hands are wanted</h2>
      <table className="plain">
        <tbody>
          {layout.steps
            .filter((s) => !s.weighsIn)
            .map((s) => (
              <tr key={s.step}>
                <td className="num" style={{ textAlign: 'left', width: 64 }}>
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
