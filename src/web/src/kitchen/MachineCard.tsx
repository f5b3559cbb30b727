// One machine: its limits, and its programs as bars of what happens when.
import { Checkbox, Input, InputNumber, Select } from 'antd';
import type { Schemas } from '../api/http';
import { Choice } from '../parts/Choice';
import { Field } from '../parts/Field';
import { Drop } from './KitchenPage';
import { Num } from './Num';

type Machine = Schemas['Machine'];
type Program = Schemas['DoughProgram'];
const kinds: [Schemas['PhaseKind'], string, string][] = [
  ['warm', 'warm', 'var(--lane-oven)'],
  ['knead', 'knead', 'var(--s0-alt)'],
  ['rise', 'rise', 'var(--s2-alt)'],
  ['knock-back', 'knock back', 'var(--s1-alt)'],
];

export function MachineCard({
  machine: m,
  at,
  problems,
  put,
  drop,
}: {
  machine: Machine;
  at: string;
  problems: Schemas['ProblemView'][];
  put: (to: Partial<Machine>) => void;
  drop: () => void;
}) {
  const num = (
    label: string,
    field: string,
    value: number | null | undefined,
    set: (v: number | null) => void,
    empty = false,
    times = 1,
  ) => <Num label={label} at={`${at}.${field}`} value={value} set={set} problems={problems} empty={empty} times={times} />;
  const others = m.otherPrograms ?? [];
  return (
    <div className="machine" role="group" aria-label={m.name}>
      <div className="kit">
        <Field id={`${m.id}-name`} label="Name" problem={problems.find((p) => p.field === `${at}.name`)?.reason}>
          <Input id={`${m.id}-name`} value={m.name} onChange={(e) => put({ name: e.target.value })} />
        </Field>
        {num('Flour up to, g', 'flourLimit', m.flourLimit, (v) => put({ flourLimit: v ?? 500 }))}
        {num('Dough up to, g', 'doughLimit', m.doughLimit, (v) => put({ doughLimit: v ?? 900 }))}
        {num('Paddles', 'paddles', m.paddles, (v) => put({ paddles: Math.round(v ?? 1) }))}
        {num('Empty pan, g', 'panEmpty', m.panEmpty, (v) => put({ panEmpty: v }), true)}
        {num('Kneading warms, °C', 'kneadingWarms', m.kneadingWarms, (v) => put({ kneadingWarms: v ?? 4 }))}
        {num('Cost when bought', 'bought', m.bought, (v) => put({ bought: v }), true)}
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
        {m.display === 'finish-clock' &&
          num('Counts down from, min', 'countsDownFrom', m.countsDownFrom, (v) => put({ countsDownFrom: v }), true, 60)}
      </div>
      <ProgramRow
        program={{ name: m.program, phases: m.phases, beep: m.beep, pulled: m.pulled ?? false }}
        at={at}
        first
        problems={problems}
        put={(p) => put({ program: p.name, phases: p.phases, beep: p.beep ?? null, pulled: p.pulled ?? false })}
      />
      {others.map((p, i) => (
        <ProgramRow
          key={i}
          program={p}
          at={`${at}.otherPrograms[${i}]`}
          problems={problems}
          put={(to) => put({ otherPrograms: others.map((o, j) => (j === i ? to : o)) })}
          drop={() => put({ otherPrograms: others.filter((_, j) => j !== i) })}
        />
      ))}
      {problems
        .filter((p) => p.field === `${at}.otherPrograms`)
        .map((p) => (
          <p className="problem" key={p.field}>
            {p.reason}
          </p>
        ))}
      <div style={{ display: 'flex', gap: 10 }}>
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
        <span style={{ marginLeft: 'auto' }} />
        <Drop what={m.name} drop={drop} />
      </div>
    </div>
  );
}

function ProgramRow({
  program: p,
  at,
  first = false,
  problems,
  put,
  drop,
}: {
  program: Program;
  at: string;
  first?: boolean;
  problems: Schemas['ProblemView'][];
  put: (to: Program) => void;
  drop?: () => void;
}) {
  const total = p.phases.reduce((sum, f) => sum + f.length, 0);
  const wrong = problems.filter((w) => w.field === `${at}.phases` || w.field === `${at}.${first ? 'program' : 'name'}`);
  const phase = (i: number, to: Partial<Schemas['Phase']>) =>
    put({ ...p, phases: p.phases.map((f, j) => (j === i ? { ...f, ...to } : f)) });
  return (
    <div className="program">
      <label htmlFor={`${at}.program`}>
        <span className="muted">Program</span>
        <Input id={`${at}.program`} aria-label="Program" value={p.name} onChange={(e) => put({ ...p, name: e.target.value })} />
      </label>
      <div className="phases">
        {p.phases.map((f, i) => (
          <div
            key={i}
            className="phase"
            style={{ flexGrow: Math.max(1, f.length / 60), background: kinds.find((k) => k[0] === f.kind)?.[2] }}
          >
            <Select
              aria-label={`Phase ${i + 1}`}
              variant="borderless"
              value={f.kind}
              onChange={(kind) => phase(i, { kind })}
              options={kinds.map(([value, label]) => ({ value, label }))}
              popupMatchSelectWidth={130}
            />
            <span className="phase-minutes">
              <InputNumber
                aria-label={`Minutes of phase ${i + 1}`}
                variant="borderless"
                controls={false}
                value={Math.round(f.length / 60)}
                onChange={(v) => v && phase(i, { length: v * 60 })}
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
        <button
          className="button small"
          aria-label="Add a phase"
          onClick={() => put({ ...p, phases: [...p.phases, { kind: 'rise', length: 1800 }] })}
        >
          +
        </button>
      </div>
      <div className="choices">
        <span className="muted num">{Math.round(total / 60)} min</span>
        <label>
          beep{' '}
          <InputNumber
            aria-label="Add-in beep, minutes into kneading"
            controls={false}
            style={{ width: 60 }}
            value={p.beep == null ? null : Math.round(p.beep / 60)}
            placeholder="none"
            onChange={(v) => put({ ...p, beep: v === null ? null : v * 60 })}
          />{' '}
          min into kneading
        </label>
        <Checkbox checked={p.pulled ?? false} onChange={(e) => put({ ...p, pulled: e.target.checked })}>
          runs on: pulled out here
        </Checkbox>
        {drop && <Drop what={`program ${p.name}`} drop={drop} />}
      </div>
      {wrong.map((w) => (
        <p className="problem" role="alert" key={w.field + w.reason}>
          {w.reason}
        </p>
      ))}
    </div>
  );
}
