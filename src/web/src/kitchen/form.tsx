// The kitchen's form: fields know their place in the kitchen, and find what is wrong with it by themselves.
import { Checkbox, Input, Select } from 'antd';
import { createContext, use, type ReactNode } from 'react';
import type { Schemas } from '../api/http';
import { Field } from '../parts/Field';
import { NumberInput } from '../parts/NumberInput';
import { useUnits, type Quantity } from '../parts/units';
import * as words from './words';
import css from './kitchen.module.css';

/** What the server refused; every field shows its own. */
export const Problems = createContext<Schemas['ProblemView'][]>([]);

export const useProblem = (at: string) => use(Problems).find((p) => p.field === at)?.reason;

const idOf = (at: string) => at.replace(/[^\w]/g, '-');

type Place = { label: string; at: string };

/** Of a quantity, in the household's unit, which stands behind its label; else so many of ours to one of theirs. */
type AsShown = { value: number | null | undefined; times?: number; of?: Quantity; usual?: number | null };

// What nobody knew better is marked as usual.
function NumberField({
  label,
  at,
  value,
  times = 1,
  of,
  usual,
  onChange,
}: Place & AsShown & { onChange: (v: number | null) => void }) {
  const problem = useProblem(at);
  const { shown } = useUnits();
  const quantity = of ? { of, value } : { value: value == null ? null : value / times };
  return (
    <Field
      id={idOf(at)}
      label={of ? `${label}, ${shown[of].name}` : label}
      hint={usual != null && value === usual ? words.usual : undefined}
      problem={problem}
    >
      <NumberInput id={idOf(at)} {...quantity} onChange={(v) => onChange(v === null ? null : v * (of ? 1 : times))} />
    </Field>
  );
}

/** A number, in the unit people read it in: so many of ours to one of theirs. An emptied field changes nothing. */
export function Num({ set, ...field }: Place & AsShown & { set: (value: number) => void }) {
  return <NumberField {...field} onChange={(v) => v !== null && set(v)} />;
}

/** A number that there may be none of. */
export function NumOrNone({ set, ...field }: Place & AsShown & { set: (value: number | null) => void }) {
  return <NumberField {...field} onChange={set} />;
}

export function Name({
  label = words.name,
  at,
  value,
  set,
}: Partial<Place> & { at: string; value: string; set: (v: string) => void }) {
  const problem = useProblem(at);
  return (
    <Field id={idOf(at)} label={label} problem={problem}>
      <Input id={idOf(at)} value={value} onChange={(e) => set(e.target.value)} />
    </Field>
  );
}

export function OneOf<T extends string | number>({
  label,
  at,
  value,
  options,
  set,
}: Place & { value: T; options: [T, string][]; set: (value: T) => void }) {
  const problem = useProblem(at);
  return (
    <Field id={idOf(at)} label={label} problem={problem}>
      <Select id={idOf(at)} value={value} onChange={set} options={options.map(([one, text]) => ({ value: one, label: text }))} />
    </Field>
  );
}

export function Tick({ children, on, set }: { children: ReactNode; on: boolean | undefined; set: (on: boolean) => void }) {
  return (
    <Checkbox checked={on ?? false} onChange={(e) => set(e.target.checked)}>
      {children}
    </Checkbox>
  );
}

/** What was touched, and its few fields. */
/** The fields of one thing, and what they are good for. */
export function Section({ title, usedBy, children }: { title: string; usedBy?: string; children: ReactNode }) {
  return (
    <section className={css.kitchenSection} aria-label={title}>
      <h2 tabIndex={-1}>{title}</h2>
      {children}
      {usedBy && <p className="muted">{words.usedBy(usedBy)}</p>}
    </section>
  );
}

export function Drop({ what, drop }: { what: string; drop: () => void }) {
  return (
    <button className="button small" aria-label={words.remove(what)} onClick={drop}>
      ×
    </button>
  );
}

/** What is wrong with a list as a whole. */
export function Wrong({ at }: { at: string }) {
  const problem = useProblem(at);
  return (
    problem && (
      <p className="problem" role="alert">
        {problem}
      </p>
    )
  );
}

/** A list of things: change one, take one away, add one. */
export function listOf<T extends { id: string }>(things: T[] | undefined, set: (things: T[]) => void) {
  const all = things ?? [];
  return {
    all,
    put: (i: number, to: Partial<T>) => set(all.map((t, j) => (j === i ? { ...t, ...to } : t))),
    drop: (i: number) => set(all.filter((_, j) => j !== i)),
    add: (thing: T) => set([...all, thing]),
  };
}
