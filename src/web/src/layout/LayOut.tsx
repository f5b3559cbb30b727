// A bake laid out on one screen: every choice on the left, what follows from it on the right, at once.
import { Checkbox, Input, InputNumber, Segmented, Select } from 'antd';
import { useEffect, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useLayOutBake } from '../api/changes';
import { api, newId, type Schemas, type Trouble } from '../api/http';
import { clockTime, calendarDay, freshChoices, houseNow, span, utcOffsetMinutes } from '../api/clock';
import { Field } from '../parts/Field';
import { Loading } from '../parts/Loading';
import { useUnits } from '../parts/units';
import { useKept } from '../parts/useKept';
import { useWidth } from '../parts/useWidth';
import { PanPicture } from '../shaping/PanPicture';
import { StrandPicture } from '../strands/StrandPicture';
import { CutBar, CutList, type CutChoice } from './CutList';
import { laters, usualWays, WaysList } from './WaysList';

type Choice = Schemas['BakeChoice'];

export default function LayOut() {
  const [search] = useSearchParams();
  const kitchen = api.useQuery('get', '/api/kitchen');
  const doughs = api.useQuery('get', '/api/doughs/names');
  if (!kitchen.data || !doughs.data) return <Loading error={kitchen.error ?? doughs.error} />;
  const dough = doughs.data.find((d) => d.id === search.get('dough')) ?? doughs.data[0];
  if (!dough) return <p className="card">There is no dough yet. Type one first.</p>;
  return <Chooser kitchen={kitchen.data} doughs={doughs.data} first={dough.id} />;
}

// "2026-11-28T12:30" in this household's time, for a field of date and time.
const local = (ms: number) => new Date(ms - new Date(ms).getTimezoneOffset() * 60000).toISOString().slice(0, 16);
const quarter = 15 * 60000;

function Chooser({ kitchen, doughs, first }: { kitchen: Schemas['KitchenView']; doughs: Schemas['DoughName'][]; first: string }) {
  const navigate = useNavigate();
  const [bakeId] = useState(newId);
  const [doughId, setDoughId] = useState(first);
  const [choice, setChoice, forgetChoice] = useKept<Choice>(`lay-out/${first}`, {
    machineId: kitchen.machines[0]?.id ?? '',
    ovenId: kitchen.ovens[0]?.id ?? '',
    placeId: kitchen.places[0]?.id ?? '',
  });
  const [cuts, setCuts, forgetCuts] = useKept<CutChoice[]>(`cuts/${first}`, [{ familyId: kitchen.families[0]?.id ?? null }]);
  const [scaleToFit, setScaleToFit] = useState(false);
  const [scaleToCuts, setScaleToCuts] = useState(false);
  const [failed, setFailed] = useState('');
  const [ref, width] = useWidth<HTMLDivElement>();
  const set = (to: Partial<Choice>) => setChoice((c) => ({ ...c, ...to }));
  // A time wanted when this was typed may have passed since.
  useEffect(() => {
    setChoice((c) => (c.readyBy && Date.parse(c.readyBy) < houseNow() ? { ...c, readyBy: null } : c));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, for what was typed before
  }, []);
  const ways = choice.ways ?? usualWays;
  const setWays = (to: Partial<Schemas['Ways']>) => set({ ways: { ...ways, ...to } });
  const school = (to: { bloom?: boolean; holdBack?: boolean }) =>
    set({ school: { bloom: false, holdBack: false, ...choice.school, ...to } });

  const layOut = useLayOutBake();
  const request = { doughId, choice: { ...choice, cuts }, scaleToFit, scaleToCuts };
  const laid = api.useQuery(
    'post',
    '/api/layouts',
    { body: { ...request, frame: { width, slim: width < 640, utcOffsetMinutes: utcOffsetMinutes() } } },
    { enabled: width > 0, retry: false, placeholderData: (before) => before, staleTime: 5000, refetchInterval: 30000 },
  );
  const trouble = laid.error as Trouble | null;
  const layout = trouble ? null : laid.data;
  const problem = (field: string) => trouble?.problems?.find((p) => p.field === `choice.${field}`)?.reason;
  const is = (code: string) => trouble?.problems?.some((p) => p.code === code);
  const overLimit = is('capacity');
  // Every line says how many and how heavy: then the dough can follow the cuts.
  const allSaid = cuts.every((c) => c.each && (c.pieces || !c.familyId));

  const machine = kitchen.machines.find((m) => m.id === choice.machineId);

  async function keep(arrange: boolean) {
    const { trouble: refused } = await layOut.make({ id: bakeId, layout: request, arrange });
    if (refused) return setFailed(refused.title);
    forgetChoice();
    forgetCuts();
    await navigate(choice.readyBy ? '/' : `/bench/${bakeId}`);
  }

  const pick = <T extends { id: string; name: string }>(items: T[]) => items.map((i) => ({ value: i.id, label: i.name }));
  return (
    <div className="layout">
      <form className="card fields" onSubmit={(e) => e.preventDefault()} aria-label="Choices">
        <Field id="when" label="When" wide problem={problem('readyBy')}>
          <Segmented
            block
            value={choice.readyBy ? 'by' : 'now'}
            onChange={(v) =>
              set({
                readyBy:
                  v === 'by'
                    ? new Date(
                        Math.ceil(Math.max(houseNow(), Date.parse(layout?.ready ?? '') || 0) / quarter) * quarter + quarter,
                      ).toISOString()
                    : null,
              })
            }
            options={[
              { value: 'now', label: 'Start now' },
              { value: 'by', label: 'Ready by' },
            ]}
          />
          {choice.readyBy && (
            <Input
              id="when"
              type="datetime-local"
              aria-label="Ready by"
              value={local(Date.parse(choice.readyBy))}
              onChange={(e) => e.target.value && set({ readyBy: new Date(e.target.value).toISOString() })}
            />
          )}
          {choice.readyBy && (
            <Select
              aria-label="How fresh"
              value={choice.fresh ?? 0}
              onChange={(fresh) => set({ fresh: fresh || null })}
              options={freshChoices(kitchen.freshes)}
            />
          )}
        </Field>
        <Field id="dough" label="Dough" wide>
          <Select
            id="dough"
            value={doughId}
            onChange={(d) => {
              setDoughId(d);
              setScaleToFit(false);
            }}
            options={pick(doughs)}
            showSearch={{ optionFilterProp: 'label' }}
            virtual
          />
        </Field>
        <CutList cuts={cuts} laid={layout?.cuts} kitchen={kitchen} ovenId={choice.ovenId} set={setCuts} problem={problem} />
        {(problem('cuts') || scaleToCuts) && (
          <div className="wide field">
            {problem('cuts') && (
              <span className="problem" role="alert">
                {problem('cuts')}
              </span>
            )}
            <span className="choices">
              {allSaid && !scaleToCuts && (
                <button type="button" className="button small" onClick={() => setScaleToCuts(true)}>
                  Scale the dough to these
                </button>
              )}
              {scaleToCuts && (
                <button type="button" className="link" onClick={() => setScaleToCuts(false)}>
                  Leave the dough as it is written
                </button>
              )}
              {is('left-over') && (
                <button type="button" className="button small" onClick={() => setCuts([...cuts, {}])}>
                  Keep the rest cold
                </button>
              )}
              {(is('left-over') || is('too-much')) && cuts.some((c) => c.pieces && c.each) && (
                <button
                  type="button"
                  className="button small"
                  onClick={() =>
                    setCuts(
                      cuts.map((c, k) => (k === cuts.findLastIndex((d) => d.pieces && d.each) ? { ...c, pieces: null } : c)),
                    )
                  }
                >
                  {is('too-much') ? 'Fewer of the last' : 'More of the last'}
                </button>
              )}
            </span>
          </div>
        )}
        <Field id="machine" label="Machine" wide problem={problem('machineId')}>
          <Select
            id="machine"
            value={choice.machineId}
            onChange={(machineId) => set({ machineId, program: null })}
            options={pick(kitchen.machines)}
          />
          {machine && machine.programs.length > 1 && (
            <Select
              aria-label="Program"
              value={choice.program ?? machine.programs[0]?.name ?? null}
              onChange={(program) => set({ program })}
              options={machine.programs.map((p) => ({ value: p.name, label: `program ${p.name}` }))}
            />
          )}
          <Select
            aria-label="Timer"
            value={choice.timer ?? 0}
            onChange={(timer) => set({ timer: timer === 0 ? null : timer })}
            options={[0, ...kitchen.timers].map((timer) => ({
              value: timer,
              label: timer === 0 ? 'begins at once' : `on its timer, ${timer / 3600} h later`,
            }))}
          />
          {problem('timer') && (
            <span className="problem" role="alert">
              {problem('timer')}
            </span>
          )}
          {machine && <MachineLine machine={machine} program={choice.program} />}
          {overLimit && (
            <button type="button" className="button" onClick={() => setScaleToFit(true)}>
              Scale it to fit
            </button>
          )}
          {layout && layout.scaled < 1 && (
            <span className="muted">
              Scaled to {(layout.scaled * 100).toFixed(1)} %.{' '}
              <button type="button" className="link" onClick={() => setScaleToFit(false)}>
                Undo
              </button>
            </span>
          )}
        </Field>
        <Field id="place" label="Second proof" wide problem={problem('placeId')}>
          <Select id="place" value={choice.placeId} onChange={(placeId) => set({ placeId })} options={pick(kitchen.places)} />
          <Select
            aria-label="In the fridge first"
            value={choice.cold ?? 0}
            onChange={(cold) => set({ cold: cold === 0 ? null : cold })}
            options={[0, ...kitchen.colds].map((cold) => ({
              value: cold,
              label: cold === 0 ? 'not in the fridge first' : `${cold / 3600} h in the fridge first`,
            }))}
          />
        </Field>
        <div className="wide choices">
          <Checkbox checked={choice.school?.bloom ?? false} onChange={(e) => school({ bloom: e.target.checked })}>
            Bloom the yeast first
          </Checkbox>
          <Checkbox checked={choice.school?.holdBack ?? false} onChange={(e) => school({ holdBack: e.target.checked })}>
            Hold a third of the liquid back
          </Checkbox>
        </div>
        <Field id="room" label="Kitchen °C" problem={problem('room')}>
          <InputNumber id="room" value={choice.room ?? layout?.room ?? kitchen.room} onChange={(room) => set({ room })} />
        </Field>
        <Field id="oven" label="Oven" problem={problem('ovenId')}>
          <Select id="oven" value={choice.ovenId} onChange={(ovenId) => set({ ovenId })} options={pick(kitchen.ovens)} />
        </Field>
        {cuts.some((c) => c.familyId === 'pretzel') && (
          <Field id="bath" label="Soda">
            <Select
              id="bath"
              value={choice.bath ?? 'in-the-pot'}
              onChange={(bath) => set({ bath })}
              options={[
                { value: 'in-the-pot', label: 'in the boiling pot' },
                { value: 'dip-after-boil', label: 'plain boil, then a dip' },
              ]}
            />
          </Field>
        )}
        <WaysList ways={ways} set={setWays} cuts={layout?.cuts} />
        <Field id="after" label="After the cycle" problem={problem('after.bulk')}>
          <Select
            id="after"
            value={kitchen.afters.findIndex(
              (a) => a.after.early === (choice.after?.early ?? false) && a.after.bulk === (choice.after?.bulk ?? 0),
            )}
            onChange={(i) => set({ after: kitchen.afters[i]?.after ?? null })}
            options={kitchen.afters.map((a, value) => ({ value, label: a.name }))}
          />
        </Field>
      </form>

      <div className="page" style={{ minWidth: 0 }}>
        <div className="picture-box" ref={ref}>
          {layout?.picture && <StrandPicture picture={layout.picture} title="The bake as planned" />}
          {trouble && <p className="card problem">{trouble.title}</p>}
        </div>
        {layout && (
          <Result
            layout={layout}
            later={ways.later ?? 'wait'}
            setLater={(later) => setWays({ later })}
            beside={layout.beside}
            go={choice.readyBy ? `Plan it: start at ${clockTime(layout.start)}` : 'Start this bake'}
            keep={(arrange) => void keep(arrange)}
          />
        )}
        {failed && (
          <p className="problem" role="alert">
            {failed}
          </p>
        )}
      </div>
    </div>
  );
}

const phaseWords: Record<Schemas['PhaseKind'], string> = {
  warm: 'warm',
  knead: 'knead',
  rise: 'rise',
  'knock-back': 'knock back',
};

function MachineLine({ machine, program }: { machine: Schemas['MachineView']; program: string | null | undefined }) {
  const { mass } = useUnits();
  const set = machine.programs.find((p) => p.name === program) ?? machine.programs[0];
  return (
    <span className="muted">
      {machine.byHand ? 'In a bowl' : `Program ${set?.name}`}:{' '}
      {set?.phases.map((p) => `${phaseWords[p.kind]} ${Math.round(p.length / 60)}`).join(' · ')} min
      {set?.pulled ? ', then pulled' : ''}. Up to {mass(machine.flourLimit)} flour, {mass(machine.doughLimit)} dough.
    </span>
  );
}

// In the way of what is planned already: said, and the whole day laid out around it in one touch.
function Beside({ beside, keep }: { beside: Schemas['BesideView']; keep: () => void }) {
  return (
    <section aria-label="Beside the rest of the day" className="beside">
      <ul className="lines">
        {beside.clashes.map((c) => (
          <li key={c.at + c.text} className={c.impossible ? 'late' : ''}>
            <b className="num">{clockTime(c.at)}</b> {c.text}
          </li>
        ))}
      </ul>
      {beside.moves.length > 0 && (
        <p className="muted">
          Would move: {beside.moves.map((m) => `${m.text} (${m.title}) ${clockTime(m.from)} → ${clockTime(m.to)}`).join(', ')}.
        </p>
      )}
      {beside.left.length > 0 && (
        <p className="muted">Still: {beside.left.map((f) => `${clockTime(f.at)} ${f.text}`).join(' ')}</p>
      )}
      <button className="button do" onClick={keep}>
        Lay the day out around it
        <small>
          start {clockTime(beside.start)}, ready {clockTime(beside.ready)}
        </small>
      </button>
    </section>
  );
}

function Result({
  layout,
  later,
  setLater,
  beside,
  go,
  keep,
}: {
  layout: Schemas['LayoutView'];
  beside: Schemas['BesideView'] | null;
  later: Schemas['LaterLoads'];
  setLater: (later: Schemas['LaterLoads']) => void;
  go: string;
  keep: (arrange: boolean) => void;
}) {
  const { mass, length } = useUnits();
  const baked = layout.cuts.filter((c) => c.familyId);
  const [one] = baked;
  const waits = baked.filter((c) => c.waitsFor > 0);
  return (
    <>
      <section className="card facts" aria-label="Result">
        <CutBar cuts={layout.cuts} />
        {baked.length === 1 && one && (
          <span>
            <span className="big num">
              {one.pieces} × {mass(one.each)}
            </span>
            {one.strands > 1
              ? `${one.pieces * one.strands} strands of ${mass(one.eachStrand)}`
              : `of about ${mass(layout.dough)} dough`}
          </span>
        )}
        <span>
          <span className="big num">{clockTime(layout.ready)}</span>
          {layout.lateBy > 0 ? (
            <span className="late">{span(layout.lateBy * 1000)} later than wanted</span>
          ) : (
            `ready ${calendarDay(layout.ready)}, start ${clockTime(layout.start)}`
          )}
        </span>
        {one && (
          <span>
            <span className="big num">{one.bestProof === null ? '?' : span(one.bestProof * 1000)}</span>
            {one.bestProof === null ? 'it does not rise here' : 'second proof'}
          </span>
        )}
        {one?.bake && (
          <span>
            <span className="big num">{span(one.bake.likely * 1000)}</span>
            bake, look at {span(one.bake.firstLook * 1000)}
          </span>
        )}
        {baked.map(
          (c) =>
            c.rings && (
              <p key={`rings ${c.name}`} className="muted">
                With a ring of {length(c.rings.ring)}: {c.rings.perRolling[0]} from the sheet
                {c.rings.perRolling.length > 1 && `, ${c.rings.perRolling.slice(1).join(' and ')} from the scraps`};{' '}
                {mass(c.rings.scrap)} over.
              </p>
            ),
        )}
        {waits.map((c) => (
          <p key={c.name} className={c.overProofed ? 'late' : 'muted'}>
            The {c.name} wait {span(c.waitsFor * 1000)} for the oven
            {c.overProofed ? ': over-proofed by then.' : '.'}
          </p>
        ))}
        {(waits.length > 0 || later !== 'wait') && (
          <Segmented
            aria-label="Later loads"
            value={later}
            onChange={setLater}
            options={laters.map(([value, label]) => ({ value, label }))}
          />
        )}
        {beside && beside.clashes.length > 0 && <Beside beside={beside} keep={() => keep(true)} />}
        <button className={beside?.clashes.some((c) => c.impossible) ? 'button' : 'button do'} onClick={() => keep(false)}>
          {go}
        </button>
      </section>
      <div className="columns">
        <div className="stack">
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
        </div>
        {baked.some((c) => c.pans.length > 0) && (
          <section className="card">
            <h2>Where they go</h2>
            {baked.map((c, i) =>
              c.pans[0] ? (
                <figure key={i} className="pan-here">
                  <PanPicture layout={c.pans[0].layout} room={280} />
                  <figcaption>
                    {c.pans[0].pans > 1 ? `${c.pans[0].pans} × ` : ''}
                    {c.pans[0].name}, {length(c.pans[0].layout.tin.length)}
                    {c.roundTin !== null && c.pans[0].layout.touching && (
                      <span className="muted"> · they would fill a round tin of {length(c.roundTin)}</span>
                    )}
                    {c.pans[0].loads > 1 && <span className="late"> · {c.pans[0].loads} loads</span>}
                  </figcaption>
                </figure>
              ) : (
                <p key={i} className="muted">
                  Nothing in the kitchen holds the {c.name}.
                </p>
              ),
            )}
          </section>
        )}
        <section className="card">
          <h2>When your hands are wanted</h2>
          <table className="plain">
            <tbody>
              {layout.steps
                .filter((s) => !s.step.startsWith('weigh-') || s.step === 'weigh-dough')
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
      </div>
    </>
  );
}
