// A number as people type it: with a comma, a fraction, a unit. What was understood is shown where it was not plain.
import { Input } from 'antd';
import { useState, type CSSProperties } from 'react';
import type { Schemas } from '../api/http';
import { figureTyped, isBlank, typedIn } from './typed';
import { shown as said, useUnits, type Quantity } from './units';
import * as words from './words';

type Unit = Schemas['ShownIn'];

type Props = {
  id?: string;
  /** In our units: grams, degrees Celsius, millimetres; or as it is typed, where it has no quantity. */
  value: number | null | undefined;
  onChange: (value: number | null) => void;
  /** What it is of, and so the unit it is shown and typed in. */
  of?: Quantity;
  /** Another unit than the household's, such as an oven's dial. */
  unit?: Unit | undefined;
  /** Digits after the point. */
  digits?: number;
  placeholder?: string | number | undefined;
  suffix?: string;
  onPressEnter?: () => void;
  variant?: 'borderless';
  style?: CSSProperties;
  className?: string;
  status?: 'error' | '';
  'aria-label'?: string;
  'aria-invalid'?: boolean;
  'aria-describedby'?: string;
};

const most = 3;

export function NumberInput({ value, onChange, of, unit, digits = most, placeholder, status, ...input }: Props) {
  const units = useUnits();
  const shown = unit ?? (of ? units.shown[of] : null);
  const others = of ? units.typed[of] : [];
  const [typed, setTyped] = useState<string | null>(null);
  const text = (v: number) =>
    String(Number((shown ? v * shown.factor + shown.offset : v).toFixed(shown ? digitsOf(shown) : digits)));
  const expected = (v: number) => (shown ? (said(shown, v).split(' ')[0] ?? '') : text(v));
  const understood = typed === null || isBlank(typed) ? null : typedIn(typed, shown, others);
  const isOdd = typed !== null && !isBlank(typed) && (figureTyped(typed)?.unit !== '' || /[^\d.,\s-]/.test(typed));

  const type = (to: string) => {
    setTyped(to);
    if (isBlank(to)) return onChange(null);
    const now = typedIn(to, shown, others);
    if (now !== null) onChange(now);
  };
  return (
    <>
      <Input
        {...input}
        inputMode="decimal"
        value={typed ?? (value == null ? '' : text(value))}
        placeholder={typeof placeholder === 'number' ? expected(placeholder) : (placeholder ?? '')}
        onChange={(e) => type(e.target.value)}
        onBlur={() => setTyped((t) => (t !== null && !isBlank(t) && typedIn(t, shown, others) === null ? t : null))}
        status={typed !== null && !isBlank(typed) && understood === null ? 'error' : (status ?? '')}
      />
      {typed !== null && !isBlank(typed) && understood === null && (
        <span className="problem" role="alert">
          {words.thatIsNoNumber}
          {shown ? words.ofLong(shown.long) : ''}.
        </span>
      )}
      {isOdd && understood !== null && (
        <small className="muted">
          = {text(understood)} {shown?.name ?? ''}
        </small>
      )}
    </>
  );
}

// More than is shown elsewhere: what is typed is not rounded away.
const digitsOf = (unit: Unit) => unit.digits + 2;
