// A time of day to type over, or to move a little at a time by the arrow keys; told when it is left or entered.
import { clockTime, houseNow, timeOfDay } from '../api/clock';
import { useGrain } from '../parts/useGrain';
import css from './day.module.css';

// The time of day that is nearest to where it was, over midnight too; a time that has passed is tomorrow's.
function nearest(at: string, hour: number, minute: number) {
  const same = [-1, 0, 1, 2].map((days) => timeOfDay(at, days, hour, minute));
  const away = (time: number) => Math.abs(time - Date.parse(at));
  const near = same.filter((time) => time >= houseNow() - 60_000).sort((a, b) => away(a) - away(b));
  return new Date(near[0] ?? timeOfDay(at, 0, hour, minute)).toISOString();
}

// "14:30", "1430", "2:30 pm", "2pm".
function timeIn(text: string): [number, number] | null {
  const [, h, m, half] = /^\s*(\d{1,2})(?:[:. ]?(\d{2}))?\s*([ap])?\.?m?\.?\s*$/i.exec(text) ?? [];
  if (h === undefined || (m === undefined && !half)) return null;
  const hour = half ? (Number(h) % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : Number(h);
  const minute = Number(m ?? 0);
  return hour > 23 || minute > 59 || (half && Number(h) > 12) ? null : [hour, minute];
}

export function TimeField({ label, at, set }: { label: string; at: string; set: (at: string) => void }) {
  const shown = clockTime(at);
  const grain = useGrain();
  function commit(field: HTMLInputElement) {
    const typed = timeIn(field.value);
    if (!typed) field.value = shown;
    else if (field.value !== shown) set(nearest(at, ...typed));
  }
  return (
    <input
      key={at}
      className={css.timeField}
      inputMode="numeric"
      aria-label={label}
      defaultValue={shown}
      onFocus={(e) => e.target.select()}
      onBlur={(e) => commit(e.target)}
      onKeyDown={(e) => {
        const steps = { ArrowUp: -1, ArrowDown: 1 }[e.key];
        if (e.key === 'Enter') commit(e.currentTarget);
        if (steps && grain) set(new Date(Date.parse(at) + steps * grain).toISOString());
      }}
    />
  );
}
