// The house clock: the server's time and speed, kept up between answers.
import { useEffect, useState } from 'react';
import { http } from './http';

let anchor = { house: Date.now(), at: performance.now(), speed: 1 };

export async function syncClock() {
  const asked = performance.now();
  const { data } = await http.GET('/api/clock').catch(() => ({ data: undefined }));
  if (!data) return;
  const answered = performance.now();
  anchor = { house: Date.parse(data.now), at: (asked + answered) / 2, speed: data.speed };
}

/** By how much the house's clock differs from this device's, and how fast it goes. */
export const clockKept = () => ({ ahead: houseNow() - Date.now(), speed: anchor.speed });

/** Goes by what was kept, until the house answers. */
export function takeClock({ ahead, speed }: ReturnType<typeof clockKept>) {
  anchor = { house: Date.now() + ahead, at: performance.now(), speed };
}

export const houseNow = () => anchor.house + (performance.now() - anchor.at) * anchor.speed;
export const houseSpeed = () => anchor.speed;

/** House time in milliseconds, ticking. */
export function useNow(every = 250) {
  const [now, setNow] = useState(houseNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(houseNow()), every);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}

const faces = {
  'twenty-four': new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' }),
  twelve: new Intl.DateTimeFormat('en-US', { hour: 'numeric', minute: '2-digit', hour12: true }),
};
let time = faces['twenty-four'];

/** Shows times of day as this household reads them. */
export const readTimesAs = (face: keyof typeof faces | null | undefined) => void (time = faces[face ?? 'twenty-four']);

const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

// "2:30 pm", with a space that does not break.
export const clockTime = (at: string | number) =>
  time
    .format(typeof at === 'number' ? at : Date.parse(at))
    .toLowerCase()
    .replace(/\s/, '\u00a0');
export const calendarDay = (at: string | number) => day.format(typeof at === 'number' ? at : Date.parse(at));

/** The time of day, with its day where that is not today. */
export const dayAndTime = (at: string) =>
  calendarDay(at) === calendarDay(houseNow()) ? clockTime(at) : `${calendarDay(at)} ${clockTime(at)}`;

/** "4 min", "1 h 05": how long until then, from so many milliseconds. */
export function span(ms: number) {
  const minutes = Math.max(0, Math.round(ms / 60000));
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
}

/** How fresh bread could be wanted, as a list to choose from; 0 when any time will do. */
export const freshChoices = (seconds: number[]) =>
  [0, ...seconds].map((s) => ({ value: s, label: s === 0 ? 'cool any time before' : `cool at most ${span(s * 1000)} before` }));

/** "3:05" to the second, for countdowns. */
export function countdown(ms: number) {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  return h > 0 ? `${h}:${String(m).padStart(2, '0')}:${String(s).padStart(2, '0')}` : `${m}:${String(s).padStart(2, '0')}`;
}

export const utcOffsetMinutes = () => -new Date().getTimezoneOffset();
