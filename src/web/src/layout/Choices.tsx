// Every choice of a bake, in the order in which they are made.
import { Checkbox, Input, Segmented, Select } from 'antd';
import { asTyped, freshChoices, typedMoment } from '../api/clock';
import type { Schemas } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { Field } from '../parts/Field';
import { useUnits } from '../parts/units';
import { CutList } from './CutList';
import { CutsThatDoNotAddUp } from './CutsThatDoNotAddUp';
import { MachineLine } from './MachineLine';
import type { Chosen, LaidOut } from './useChoice';
import { WaysList } from './WaysList';
import * as words from './words';

type Kitchen = Schemas['KitchenView'];
type Props = { kitchen: Kitchen; chosen: Chosen; laidOut: LaidOut };

const named = (things: { id: string; name: string }[]) => things.map((t) => ({ value: t.id, label: t.name }));
// A length of time, or none.
const none = 0;
const spans = (seconds: number[], without: string, said: (hours: number) => string) =>
  [none, ...seconds].map((s) => ({ value: s, label: s === none ? without : said(s / 3600) }));
const spanOrNull = (seconds: number) => (seconds === none ? null : seconds);

export function Choices({ doughs, parts, ...at }: Props & { doughs: Schemas['DoughName'][]; parts: Schemas['PartView'][] }) {
  const { kitchen, chosen, laidOut } = at;
  const { choice, set, cuts } = chosen;
  const { layout, problem } = laidOut;
  const { shown } = useUnits();
  const bathed = cuts.some((c) => kitchen.families.find((f) => f.id === c.familyId)?.bathed);
  return (
    <form className="card fields" onSubmit={(e) => e.preventDefault()} aria-label={words.choices}>
      <When {...at} />
      {!choice.from && (
        <Field id="dough" label={words.dough} wide>
          <Select
            id="dough"
            value={chosen.doughId}
            onChange={chosen.setDough}
            options={named(doughs)}
            showSearch={{ optionFilterProp: 'label' }}
            virtual
          />
        </Field>
      )}
      <LacksSomething {...at} />
      <CutList
        cuts={cuts}
        laid={layout?.cuts}
        kitchen={kitchen}
        ovenId={choice.ovenId}
        set={chosen.setCuts}
        problem={problem}
        parts={parts}
      />
      <CutsThatDoNotAddUp chosen={chosen} laidOut={laidOut} />
      {!choice.from && <WhichMachine {...at} />}
      <WhereToProof {...at} />
      {!choice.from && <Loading {...at} />}
      <Field id="room" label={words.kitchen(shown.temperature.name)} problem={problem('room')}>
        <NumberInput
          id="room"
          of="temperature"
          value={choice.room ?? layout?.room ?? kitchen.room}
          onChange={(room) => set({ room })}
        />
      </Field>
      <Field id="oven" label={words.oven} problem={problem('ovenId')}>
        <Select id="oven" value={choice.ovenId} onChange={(ovenId) => set({ ovenId })} options={named(kitchen.ovens)} />
      </Field>
      {bathed && <Bath {...at} />}
      <WaysList ways={chosen.ways} usualWays={kitchen.usualWays} set={chosen.setWays} cuts={layout?.cuts} />
      {!choice.from && <AfterTheCycle {...at} />}
      <Checkbox
        className="wide"
        checked={choice.noScale ?? kitchen.noScale}
        onChange={(e) => set({ noScale: e.target.checked === kitchen.noScale ? null : e.target.checked })}
      >
        {words.withoutAScaleCupsAnd}
      </Checkbox>
    </form>
  );
}

// No liquid, no leaven: said, and laid out all the same once it is meant so.
function LacksSomething({ chosen: { choice, set }, laidOut: { problem } }: Props) {
  const lacks = problem('meant');
  if (!lacks && !choice.meant) return null;
  return (
    <div className="wide field">
      {lacks && (
        <span className="problem" role="alert">
          {lacks}
        </span>
      )}
      <Checkbox checked={choice.meant ?? false} onChange={(e) => set({ meant: e.target.checked })}>
        {words.itIsMeantSo}
      </Checkbox>
    </div>
  );
}

function When({ kitchen, chosen: { choice, set }, laidOut: { layout, problem } }: Props) {
  const { readyBy } = choice;
  return (
    <Field id="when" label={words.when} wide problem={problem('readyBy')}>
      <Segmented
        block
        value={readyBy ? 'by' : 'now'}
        onChange={(v) => set({ readyBy: v === 'by' ? (layout?.roundReady ?? null) : null })}
        options={[
          { value: 'now', label: words.startNow },
          { value: 'by', label: words.readyBy, disabled: !layout && !readyBy },
        ]}
      />
      {readyBy && (
        <>
          <Input
            id="when"
            type="datetime-local"
            aria-label={words.readyBy}
            value={asTyped(readyBy)}
            onChange={(e) => e.target.value && set({ readyBy: typedMoment(e.target.value) })}
          />
          <Select
            aria-label={words.howFresh}
            value={choice.fresh ?? none}
            onChange={(fresh) => set({ fresh: spanOrNull(fresh) })}
            options={freshChoices(kitchen.freshes)}
          />
        </>
      )}
    </Field>
  );
}

function WhichMachine({ kitchen, chosen, laidOut: { layout, problem, is } }: Props) {
  const { choice, set, setScaleToFit } = chosen;
  const machine = kitchen.machines.find((m) => m.id === choice.machineId);
  return (
    <Field id="machine" label={words.machine} wide problem={problem('machineId')}>
      <Select
        id="machine"
        value={choice.machineId}
        onChange={(machineId) => set({ machineId, program: null })}
        options={named(kitchen.machines)}
      />
      {machine && machine.programs.length > 1 && (
        <Select
          aria-label={words.program}
          value={choice.program ?? machine.programs[0]?.name ?? null}
          onChange={(program) => set({ program })}
          options={machine.programs.map((p) => ({ value: p.name, label: words.programName(p.name) }))}
        />
      )}
      {!machine?.byHand && (
        <Select
          aria-label={words.timer}
          value={choice.timer ?? none}
          onChange={(timer) => set({ timer: spanOrNull(timer) })}
          options={spans(kitchen.timers, words.beginsAtOnce, (h) => words.onItsTimerHLater(h))}
        />
      )}
      {problem('timer') && (
        <span className="problem" role="alert">
          {problem('timer')}
        </span>
      )}
      {machine && <MachineLine machine={machine} program={choice.program} />}
      {is('capacity') && (
        <button type="button" className="button" onClick={() => setScaleToFit(true)}>
          {words.scaleItToFit}
        </button>
      )}
      {layout && layout.scaled < 1 && (
        <span className="muted">
          {words.scaledTo((layout.scaled * 100).toFixed(1))}{' '}
          <button type="button" className="link" onClick={() => setScaleToFit(false)}>
            {words.undo}
          </button>
        </span>
      )}
    </Field>
  );
}

function WhereToProof({ kitchen, chosen: { choice, set }, laidOut: { inDay, problem } }: Props) {
  return (
    <Field id="place" label={words.secondProof} wide problem={problem('placeId')}>
      <Select id="place" value={choice.placeId} onChange={(placeId) => set({ placeId })} options={named(kitchen.places)} />
      <Select
        aria-label={words.inTheFridgeFirst}
        value={choice.cold ?? none}
        onChange={(cold) => set({ cold: spanOrNull(cold) })}
        options={spans(kitchen.colds, words.notInTheFridgeFirst, (h) => words.hInTheFridgeFirst(h))}
      />
      {inDay?.placeNote && (
        <span className="late" role="status">
          {inDay.placeNote}
        </span>
      )}
    </Field>
  );
}

function Loading({ chosen: { school, setSchool } }: Props) {
  return (
    <div className="wide choices">
      <Checkbox checked={school.bloom ?? false} onChange={(e) => setSchool({ bloom: e.target.checked })}>
        {words.bloomTheYeastFirst}
      </Checkbox>
      <Checkbox checked={school.holdBack ?? false} onChange={(e) => setSchool({ holdBack: e.target.checked })}>
        {words.holdAThirdOfThe}
      </Checkbox>
    </div>
  );
}

function Bath({ chosen: { choice, set } }: Props) {
  return (
    <Field id="bath" label={words.soda}>
      <Select
        id="bath"
        value={choice.bath ?? 'in-the-pot'}
        onChange={(bath) => set({ bath })}
        options={[
          { value: 'in-the-pot', label: words.inTheBoilingPot },
          { value: 'dip-after-boil', label: words.plainBoilThenADip },
        ]}
      />
    </Field>
  );
}

const minute = 60;
function AfterTheCycle(at: Props) {
  const { kitchen, chosen } = at;
  const byHand = kitchen.machines.find((m) => m.id === chosen.choice.machineId)?.byHand ?? false;
  return byHand ? <ByHand {...at} /> : <AfterTheMachine {...at} />;
}

// Kneaded and left to rise as long as this baker does it.
function ByHand({ kitchen, chosen: { choice, set }, laidOut: { problem } }: Props) {
  const phases = kitchen.machines.find((m) => m.byHand)?.programs[0]?.phases ?? [];
  const usual = (kind: Schemas['PhaseKind']) => (phases.find((p) => p.kind === kind)?.length ?? 0) / minute;
  const rises = choice.after?.bulk;
  return (
    <>
      <Field id="knead" label={words.kneadedMin} problem={problem('knead')}>
        <NumberInput
          id="knead"
          value={choice.knead == null ? null : choice.knead / minute}
          onChange={(to) => set({ knead: to === null ? null : to * minute })}
          placeholder={usual('knead')}
        />
      </Field>
      <Field id="rises" label={words.risesInItsBowlMin} problem={problem('after.bulk')}>
        <NumberInput
          id="rises"
          value={rises == null ? null : rises / minute}
          onChange={(to) => set({ after: to === null ? null : { early: false, bulk: to * minute } })}
          placeholder={usual('rise')}
        />
      </Field>
      <InTheBowl kitchen={kitchen} choice={choice} set={set} problem={problem} />
    </>
  );
}

// Where the bowl stands, until the dough is how large, and how often it is folded.
function InTheBowl({
  kitchen,
  choice,
  set,
  problem,
}: { kitchen: Kitchen; problem: (field: string) => string | undefined } & Pick<Chosen, 'choice' | 'set'>) {
  const { folds } = choice;
  return (
    <>
      <Field id="bowl" label={words.theBowlStands}>
        <Select
          id="bowl"
          aria-label={words.whereTheBowlStands}
          value={choice.bowlPlaceId ?? kitchen.bowlPlaces[0]?.id ?? null}
          onChange={(bowlPlaceId) => set({ bowlPlaceId })}
          options={named(kitchen.bowlPlaces)}
        />
      </Field>
      <Field id="grown" label={words.untilItHas} problem={problem('grown')}>
        <Select
          id="grown"
          value={choice.grown ?? 1}
          onChange={(grown) => set({ grown: grown === 1 ? null : grown })}
          options={kitchen.grows.map((g) => ({ value: g.by, label: g.name }))}
        />
      </Field>
      <Field id="folds" label={words.foldedTimes} problem={problem('folds.count')}>
        <NumberInput
          id="folds"
          digits={0}
          value={folds?.count ?? null}
          onChange={(count) => set({ folds: count ? { count, gap: folds?.gap ?? kitchen.usualFolds.gap } : null })}
          placeholder={words.not}
        />
      </Field>
      {folds && (
        <Field id="fold-gap" label={words.everyMin} problem={problem('folds.gap')}>
          <NumberInput
            id="fold-gap"
            value={folds.gap / minute}
            onChange={(to) => to && set({ folds: { count: folds.count, gap: to * minute } })}
          />
        </Field>
      )}
    </>
  );
}

function AfterTheMachine({ kitchen, chosen: { choice, set }, laidOut: { problem } }: Props) {
  const { early, bulk } = { early: false, bulk: 0, ...choice.after };
  const at = kitchen.afters.findIndex(({ after }) => after.early === early && after.bulk === bulk);
  return (
    <Field id="after" label={words.afterTheCycle} wide problem={problem('after.bulk')}>
      <Select
        id="after"
        value={at}
        onChange={(i) => i !== at && set({ after: kitchen.afters[i]?.after ?? null })}
        options={[
          ...kitchen.afters.map((a, value) => ({ value, label: a.name })),
          ...(at < 0 ? [{ value: at, label: words.minInABowl(bulk / 60) }] : []),
        ]}
      />
      {bulk > 0 && (
        <>
          <NumberInput
            aria-label={words.minutesInTheBowl}
            value={bulk / 60}
            onChange={(minutes) => minutes && set({ after: { early, bulk: minutes * 60 } })}
          />
          <InTheBowl kitchen={kitchen} choice={choice} set={set} problem={problem} />
        </>
      )}
    </Field>
  );
}
