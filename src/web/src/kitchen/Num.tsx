import { InputNumber } from 'antd';
import type { Schemas } from '../api/http';
import { Field } from '../parts/Field';

/** A number of the kitchen, in the unit people read it in; what is wrong with it stands below. */
export function Num({
  label,
  at,
  value,
  set,
  problems,
  times = 1,
  empty = false,
}: {
  label: string;
  at: string;
  value: number | null | undefined;
  set: (value: number | null) => void;
  problems: Schemas['ProblemView'][];
  times?: number;
  empty?: boolean;
}) {
  const id = at.replace(/[^\w]/g, '-');
  return (
    <Field id={id} label={label} problem={problems.find((p) => p.field === at)?.reason}>
      <InputNumber
        id={id}
        value={value == null ? null : Math.round((value / times) * 1000) / 1000}
        onChange={(v) => (v !== null ? set(v * times) : empty ? set(null) : undefined)}
        controls={false}
        inputMode="decimal"
        style={{ width: '100%' }}
      />
    </Field>
  );
}
