// The house clock: the server's time and speed, kept up between answers.
import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';
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

dayjs.extend(utc);
dayjs.extend(timezone);

const faces = { 'twenty-four': 'HH:mm', twelve: 'h:mm\u00a0a' };
let face = faces['twenty-four'];
let zone: string | undefined;

/** The time zone of this screen. */
export const ownZone = () => dayjs.tz.guess();

/** Shows times as this household reads them, and where its kitchen is; this screen's own zone where nobody said. */
export function readTimesAs(as: keyof typeof faces | null | undefined, kitchen: string | null | undefined) {
  face = faces[as ?? 'twenty-four'];
  zone = kitchen ?? undefined;
}

/** A moment on the kitchen's clock. */
export const inKitchen = (at: string | number) => dayjs(at).tz(zone ?? ownZone());

/** What a field of date and time holds, "2026-11-28T12:30", as a moment; and a moment as such a field holds it. */
export const typedMoment = (text: string) => dayjs.tz(text, zone ?? ownZone()).toISOString();
export const asTyped = (at: string) => inKitchen(at).format('YYYY-MM-DDTHH:mm');

export const clockTime = (at: string | number) => inKitchen(at).format(face);
export const calendarDay = (at: string | number) => inKitchen(at).format('ddd, D MMM');

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

export const utcOffsetMinutes = () => inKitchen(houseNow()).utcOffset();
