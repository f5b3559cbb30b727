// One machine: its limits, and its programs as bars of what happens when.
import { Checkbox, Input, Select } from 'antd';
import type { Schemas } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { Choice } from '../parts/Choice';
import { Drop, Name, Num, NumOrNone, Section, useProblem, Wrong } from './form';
import * as words from './words';
import css from './kitchen.module.css';

type Machine = Schemas['Machine'];
type Program = Schemas['DoughProgram'];
const minute = 60;
const kinds: [Schemas['PhaseKind'], string, string][] = [
  ['warm', 'warm', 'var(--lane-oven)'],
  ['knead', 'knead', 'var(--s0-alt)'],
  ['rise', 'rise', 'var(--s2-alt)'],
  ['knock-back', words.knockBack, 'var(--s1-alt)'],
];

export function MachineCard({
  machine: m,
  usual,
  at,
  put,
  drop,
}: {
  machine: Machine;
  usual: Schemas['UsualKitchen'];
  at: string;
  put: (to: Partial<Machine>) => void;
  drop: () => void;
}) {
  const others = m.otherPrograms ?? [];
  return (
    <Section title={m.name} usedBy={words.howMuchFitsInWhen}>
      <div className={css.kit}>
        <Name at={`${at}.name`} value={m.name} set={(name) => put({ name })} />
        <Num
          label={words.flourUpTo}
          of="mass"
          at={`${at}.flourLimit`}
          value={m.flourLimit}
          usual={usual.machine.flourLimit}
          set={(flourLimit) => put({ flourLimit })}
        />
        <Num
          label={words.doughUpTo}
          of="mass"
          at={`${at}.doughLimit`}
          value={m.doughLimit}
          usual={usual.machine.doughLimit}
          set={(doughLimit) => put({ doughLimit })}
        />
        <Num label={words.paddles} at={`${at}.paddles`} value={m.paddles} set={(v) => put({ paddles: Math.round(v) })} />
        <NumOrNone
          label={words.emptyPan}
          of="mass"
          at={`${at}.panEmpty`}
          value={m.panEmpty}
          set={(panEmpty) => put({ panEmpty })}
        />
        <Num
          label={words.kneadingWarms}
          of="degrees"
          at={`${at}.kneadingWarms`}
          value={m.kneadingWarms}
          usual={usual.machine.kneadingWarms}
          set={(kneadingWarms) => put({ kneadingWarms })}
        />
        <NumOrNone label={words.costWhenBought} at={`${at}.bought`} value={m.bought} set={(bought) => put({ bought })} />
        <Choice
          label={words.goesInFirst}
          value={m.loadOrder}
          set={(loadOrder) => put({ loadOrder })}
          options={[
            ['liquids-first', 'liquids'],
            ['dry-first', 'dry'],
          ]}
        />
        <Choice
          label={words.display}
          value={m.display}
          set={(display) => put({ display })}
          options={[
            ['countdown', words.timeLeft],
            ['finish-clock', words.timeOfDay],
          ]}
        />
        {m.display === 'finish-clock' && (
          <NumOrNone
            label={words.countsDownFromMin}
            at={`${at}.countsDownFrom`}
            value={m.countsDownFrom}
            set={(countsDownFrom) => put({ countsDownFrom })}
            times={minute}
          />
        )}
      </div>
      <ProgramRow
        program={{ name: m.program, phases: m.phases, beep: m.beep, pulled: m.pulled ?? false }}
        at={at}
        first
        usual={usual.phase}
        put={(p) => put({ program: p.name, phases: p.phases, beep: p.beep ?? null, pulled: p.pulled ?? false })}
      />
      {others.map((p, i) => (
        <ProgramRow
          key={i}
          program={p}
          at={`${at}.otherPrograms[${i}]`}
          usual={usual.phase}
          put={(to) => put({ otherPrograms: others.map((o, j) => (j === i ? to : o)) })}
          drop={() => put({ otherPrograms: others.filter((_, j) => j !== i) })}
        />
      ))}
      <Wrong at={`${at}.otherPrograms`} />
      <div className="buttons-row">
        <button
          className="button quiet"
          onClick={() =>
            put({
              otherPrograms: [
                ...others,
                { name: words.program(others.length + 2), phases: m.phases, beep: m.beep, pulled: false },
              ],
            })
          }
        >
          {words.addAProgram}
        </button>
        <Drop what={m.name} drop={drop} />
      </div>
    </Section>
  );
}

function ProgramRow({
  program: p,
  at,
  first = false,
  usual,
  put,
  drop,
}: {
  program: Program;
  at: string;
  first?: boolean;
  /** One more phase. */
  usual: Schemas['Phase'];
  put: (to: Program) => void;
  drop?: () => void;
}) {
  const total = p.phases.reduce((sum, f) => sum + f.length, 0);
  const wrongName = useProblem(`${at}.${first ? 'program' : 'name'}`);
  const phase = (i: number, to: Partial<Schemas['Phase']>) =>
    put({ ...p, phases: p.phases.map((f, j) => (j === i ? { ...f, ...to } : f)) });
  return (
    <div className={css.program}>
      <label htmlFor={`${at}.program`}>
        <span className="muted">{words.aProgram}</span>
        <Input
          id={`${at}.program`}
          aria-label={words.aProgram}
          value={p.name}
          onChange={(e) => put({ ...p, name: e.target.value })}
        />
      </label>
      <div className={css.phases}>
        {p.phases.map((f, i) => (
          <div
            key={i}
            className={`${css.phase} ${f.kind}`}
            style={{ flexGrow: Math.max(1, f.length / minute), background: kinds.find((k) => k[0] === f.kind)?.[2] }}
          >
            <Select
              aria-label={words.phase(i + 1)}
              variant="borderless"
              value={f.kind}
              onChange={(kind) => phase(i, { kind })}
              options={kinds.map(([value, label]) => ({ value, label }))}
              popupMatchSelectWidth={130}
            />
            <span className={css.phaseMinutes}>
              <NumberInput
                aria-label={words.minutesOfPhase(i + 1)}
                variant="borderless"
                value={Math.round(f.length / minute)}
                onChange={(v) => v && phase(i, { length: v * minute })}
              />
              <button
                className="link"
                aria-label={words.removePhase(i + 1)}
                onClick={() => put({ ...p, phases: p.phases.filter((_, j) => j !== i) })}
              >
                ×
              </button>
            </span>
          </div>
        ))}
        <button className="button small" aria-label={words.addAPhase} onClick={() => put({ ...p, phases: [...p.phases, usual] })}>
          +
        </button>
      </div>
      <div className="choices">
        <span className="muted num">{words.min(Math.round(total / minute))}</span>
        <label>
          {words.beep}{' '}
          <NumberInput
            aria-label={words.addInBeepMinutesInto}
            className={css.minutes}
            value={p.beep == null ? null : Math.round(p.beep / minute)}
            placeholder={words.none}
            onChange={(v) => put({ ...p, beep: v === null ? null : v * minute })}
          />{' '}
          {words.minIntoKneading}
        </label>
        <Checkbox checked={p.pulled ?? false} onChange={(e) => put({ ...p, pulled: e.target.checked })}>
          {words.runsOnPulledOutHere}
        </Checkbox>
        {drop && <Drop what={words.programName(p.name)} drop={drop} />}
      </div>
      {wrongName && (
        <p className="problem" role="alert">
          {wrongName}
        </p>
      )}
      <Wrong at={`${at}.phases`} />
    </div>
  );
}
