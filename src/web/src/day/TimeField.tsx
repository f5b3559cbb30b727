// A time of day to type over, or to move five minutes at a time by the arrow keys; told when it is left or entered.
import { clockTime } from '../api/clock';

const grain = 5;

export function TimeField({ label, at, set }: { label: string; at: string; set: (at: string) => void }) {
  const shown = clockTime(at);
  function commit(field: HTMLInputElement) {
    const [, h, m] = /^\s*(\d{1,2})[:. ]?(\d{2})\s*$/.exec(field.value) ?? [];
    if (h === undefined || Number(h) > 23 || Number(m) > 59) field.value = shown;
    else if (field.value !== shown) {
      const to = new Date(at);
      to.setHours(Number(h), Number(m), 0, 0);
      set(to.toISOString());
    }
  }
  return (
    <input
      key={at}
      className="time-field"
      inputMode="numeric"
      aria-label={label}
      defaultValue={shown}
      onFocus={(e) => e.target.select()}
      onBlur={(e) => commit(e.target)}
      onKeyDown={(e) => {
        const by = { ArrowUp: -grain, ArrowDown: grain }[e.key];
        if (e.key === 'Enter') commit(e.currentTarget);
        if (by) set(new Date(Date.parse(at) + by * 60000).toISOString());
      }}
    />
  );
}
