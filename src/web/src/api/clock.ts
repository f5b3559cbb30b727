// The house clock: the server's time and speed, kept up between answers.
import { useEffect, useState } from 'react';
import { http } from './http';
import { shared } from './shared';

// Until the house or what was kept of it says the time, this device's own stands in, and nothing is called by it.
const clock = shared({ house: Date.now(), at: performance.now(), speed: 1, isKnown: false });

export async function syncClock() {
  const asked = performance.now();
  const { data } = await http.GET('/api/clock').catch(() => ({ data: undefined }));
  if (!data) return;
  const answered = performance.now();
  clock.set({ house: Date.parse(data.now), at: (asked + answered) / 2, speed: data.speed, isKnown: true });
}

/** By how much the house's clock differs from this device's, and how fast it goes. */
export const clockKept = () => ({ ahead: houseNow() - Date.now(), speed: houseSpeed() });

/** Goes by what was kept, until the house answers. */
export function takeClock({ ahead, speed }: ReturnType<typeof clockKept>) {
  clock.set({ house: Date.now() + ahead, at: performance.now(), speed, isKnown: true });
}

export const houseNow = () => clock.get().house + (performance.now() - clock.get().at) * clock.get().speed;
export const houseSpeed = () => clock.get().speed;
export const isClockKnown = () => clock.get().isKnown;

/** House time in milliseconds, ticking. */
export function useNow(every = 250) {
  const [now, setNow] = useState(houseNow);
  useEffect(() => {
    const tick = () => setNow(houseNow());
    const deaf = clock.listen(tick);
    const timer = setInterval(tick, every);
    return () => {
      deaf();
      clearInterval(timer);
    };
  }, [every]);
  return now;
}

const [minute, day] = [60_000, 86_400_000];
const offsetsOf = (zone?: string) => new Intl.DateTimeFormat('en', { timeZone: zone, timeZoneName: 'longOffset' });
let face: 'twenty-four' | 'twelve' = 'twenty-four';
let offsets = offsetsOf();

/** The time zone of this screen. */
export const ownZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Shows times as this household reads them, and where its kitchen is; this screen's own zone where nobody said. */
export function readTimesAs(as: typeof face | null | undefined, kitchen: string | null | undefined) {
  face = as ?? 'twenty-four';
  offsets = offsetsOf(kitchen ?? undefined);
}

// By how much the kitchen's clock is ahead of UTC then, in milliseconds, from "GMT+05:30".
function ahead(at: number) {
  const said = offsets.formatToParts(at).find((p) => p.type === 'timeZoneName')?.value ?? '';
  const [, sign, hours, minutes] = /([+-])(\d\d):(\d\d)/.exec(said) ?? [];
  return sign ? (Number(hours) * 60 + Number(minutes)) * (sign === '-' ? -minute : minute) : 0;
}

// What the kitchen's clock shows at a moment, as milliseconds of a clock that knows no zones; and the moment it shows so.
const shownAt = (at: string | number) => new Date(at).getTime() + ahead(new Date(at).getTime());
const momentOf = (shown: number) => shown - ahead(shown - ahead(shown));

/** The moment the kitchen's clock shows this time of day, so many days after the day of a moment. */
export function timeOfDay(of: string | number, days: number, hour: number, minutes: number) {
  const shown = shownAt(of);
  return momentOf(shown - (shown % day) + days * day + (hour * 60 + minutes) * minute);
}

/** What a field of date and time holds, "2026-11-28T12:30", as a moment; and a moment as such a field holds it. */
export const typedMoment = (text: string) => new Date(momentOf(Date.parse(`${text}Z`))).toISOString();
export const asTyped = (at: string) => new Date(shownAt(at)).toISOString().slice(0, 16);

export function clockTime(at: string | number) {
  const shown = new Date(shownAt(at)).toISOString().slice(11, 16);
  if (face === 'twenty-four') return shown;
  const hour = Number(shown.slice(0, 2));
  return `${hour % 12 || 12}${shown.slice(2)}\u00a0${hour < 12 ? 'am' : 'pm'}`;
}

/** "Sat, 28 Nov". */
export const calendarDay = (at: string | number) => new Date(shownAt(at)).toUTCString().slice(0, 11).replace(', 0', ', ');

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

export const utcOffsetMinutes = () => ahead(houseNow()) / minute;
