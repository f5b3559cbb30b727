// One machine: its limits, and its programs as bars of what happens when.
import { Checkbox, Input, Select } from 'antd';
import type { Schemas } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { Choice } from '../parts/Choice';
import { Drop, Name, Num, NumOrNone, Section, useProblem, Wrong } from './form';
import css from './kitchen.module.css';

type Machine = Schemas['Machine'];
type Program = Schemas['DoughProgram'];
const minute = 60;
const kinds: [Schemas['PhaseKind'], string, string][] = [
  ['warm', 'warm', 'var(--lane-oven)'],
  ['knead', 'knead', 'var(--s0-alt)'],
  ['rise', 'rise', 'var(--s2-alt)'],
  ['knock-back', 'knock back', 'var(--s1-alt)'],
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
    <Section title={m.name} usedBy="how much fits in, when it beeps and is checked, when the dough comes out">
      <div className={css.kit}>
        <Name at={`${at}.name`} value={m.name} set={(name) => put({ name })} />
        <Num
          label="Flour up to"
          of="mass"
          at={`${at}.flourLimit`}
          value={m.flourLimit}
          usual={usual.machine.flourLimit}
          set={(flourLimit) => put({ flourLimit })}
        />
        <Num
          label="Dough up to"
          of="mass"
          at={`${at}.doughLimit`}
          value={m.doughLimit}
          usual={usual.machine.doughLimit}
          set={(doughLimit) => put({ doughLimit })}
        />
        <Num label="Paddles" at={`${at}.paddles`} value={m.paddles} set={(v) => put({ paddles: Math.round(v) })} />
        <NumOrNone label="Empty pan" of="mass" at={`${at}.panEmpty`} value={m.panEmpty} set={(panEmpty) => put({ panEmpty })} />
        <Num
          label="Kneading warms"
          of="degrees"
          at={`${at}.kneadingWarms`}
          value={m.kneadingWarms}
          usual={usual.machine.kneadingWarms}
          set={(kneadingWarms) => put({ kneadingWarms })}
        />
        <NumOrNone label="Cost when bought" at={`${at}.bought`} value={m.bought} set={(bought) => put({ bought })} />
        <Choice
          label="Goes in first"
          value={m.loadOrder}
          set={(loadOrder) => put({ loadOrder })}
          options={[
            ['liquids-first', 'liquids'],
            ['dry-first', 'dry'],
          ]}
        />
        <Choice
          label="Display"
          value={m.display}
          set={(display) => put({ display })}
          options={[
            ['countdown', 'time left'],
            ['finish-clock', 'time of day'],
          ]}
        />
        {m.display === 'finish-clock' && (
          <NumOrNone
            label="Counts down from, min"
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
              otherPrograms: [...others, { name: `program ${others.length + 2}`, phases: m.phases, beep: m.beep, pulled: false }],
            })
          }
        >
          Add a program
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
        <span className="muted">Program</span>
        <Input id={`${at}.program`} aria-label="Program" value={p.name} onChange={(e) => put({ ...p, name: e.target.value })} />
      </label>
      <div className={css.phases}>
        {p.phases.map((f, i) => (
          <div
            key={i}
            className={`${css.phase} ${f.kind}`}
            style={{ flexGrow: Math.max(1, f.length / minute), background: kinds.find((k) => k[0] === f.kind)?.[2] }}
          >
            <Select
              aria-label={`Phase ${i + 1}`}
              variant="borderless"
              value={f.kind}
              onChange={(kind) => phase(i, { kind })}
              options={kinds.map(([value, label]) => ({ value, label }))}
              popupMatchSelectWidth={130}
            />
            <span className={css.phaseMinutes}>
              <NumberInput
                aria-label={`Minutes of phase ${i + 1}`}
                variant="borderless"
                value={Math.round(f.length / minute)}
                onChange={(v) => v && phase(i, { length: v * minute })}
              />
              <button
                className="link"
                aria-label={`Remove phase ${i + 1}`}
                onClick={() => put({ ...p, phases: p.phases.filter((_, j) => j !== i) })}
              >
                ×
              </button>
            </span>
          </div>
        ))}
        <button className="button small" aria-label="Add a phase" onClick={() => put({ ...p, phases: [...p.phases, usual] })}>
          +
        </button>
      </div>
      <div className="choices">
        <span className="muted num">{Math.round(total / minute)} min</span>
        <label>
          beep{' '}
          <NumberInput
            aria-label="Add-in beep, minutes into kneading"
            className={css.minutes}
            value={p.beep == null ? null : Math.round(p.beep / minute)}
            placeholder="none"
            onChange={(v) => put({ ...p, beep: v === null ? null : v * minute })}
          />{' '}
          min into kneading
        </label>
        <Checkbox checked={p.pulled ?? false} onChange={(e) => put({ ...p, pulled: e.target.checked })}>
          runs on: pulled out here
        </Checkbox>
        {drop && <Drop what={`program ${p.name}`} drop={drop} />}
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
