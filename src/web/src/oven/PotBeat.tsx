// The pot, followed by ear: in, turn, out, one batch after the other.
import { useEffect, useState } from 'react';
import type { Schemas } from '../api/http';
import { houseNow, houseSpeed, useNow } from '../api/clock';
import { hush, ring, speak } from '../bench/sound';
import * as words from './words';
import css from './oven.module.css';

export function PotBeat({ bath, id }: { bath: Schemas['BathView']; id: string }) {
  const key = `pot/${id}`;
  const [from, setFrom] = useState(() => Number(localStorage.getItem(key)) || null);
  const now = useNow(100);
  const { beats } = bath;
  const ends = beats.map((_, i) => beats.slice(0, i + 1).reduce((sum, b) => sum + b.length, 0));
  const whole = ends.at(-1) ?? 0;
  const gone = from === null ? 0 : (now - from) / 1000;
  const at = from === null ? -1 : ends.findIndex((e) => gone < e);
  const over = from !== null && at < 0;
  const beat = beats[at];
  const left = at < 0 ? 0 : (ends[at] ?? 0) - gone;

  // A short bell and a word at each change.
  useEffect(() => {
    if (from === null || (!beat && !over)) return;
    ring();
    if (localStorage.getItem('speak') === 'yes') speak(beat?.say ?? words.allThrough);
    const timer = setTimeout(hush, 1400);
    return () => {
      clearTimeout(timer);
      hush();
    };
  }, [at, over, from, beat]);

  const start = (to: number | null) => {
    if (to === null) localStorage.removeItem(key);
    else localStorage.setItem(key, String(to));
    setFrom(to);
  };
  return (
    <section aria-label={words.thePot} className={css.potBeat}>
      <svg className="picture wide-picture" viewBox="0 0 600 60" aria-hidden="true">
        {beats.map((b, i) => {
          const [x, w] = [(600 * ((ends[i] ?? 0) - b.length)) / whole, (600 * b.length) / whole];
          return (
            <rect
              key={i}
              x={x + 1}
              y={b.boiling ? 8 : 22}
              width={Math.max(1, w - 2)}
              height={b.boiling ? 36 : 8}
              rx={5}
              fill={b.boiling ? 'var(--s3)' : 'var(--line)'}
            />
          );
        })}
        {from !== null && (
          <line
            x1={Math.min(600, (600 * gone) / whole)}
            x2={Math.min(600, (600 * gone) / whole)}
            y1={0}
            y2={54}
            stroke="var(--now)"
            strokeWidth={4}
          />
        )}
      </svg>
      <p className="trainer-say" aria-live="assertive">
        {from === null ? bath.say : over ? words.allThrough : beat?.say}
        {beat && <span className="num muted"> {words.secondsLeft(Math.max(0, Math.ceil(left)))}</span>}
      </p>
      <div className="trainer-steps">
        <button className="button" onClick={() => start(from === null ? houseNow() : null)}>
          {from === null ? words.theFirstAreInCount : words.stopCounting}
        </button>
        {at >= 0 && (
          <button className="button" onClick={() => start((from ?? 0) - left * 1000)}>
            {words.soonerNext}
          </button>
        )}
        {houseSpeed() > 1 && <span className="muted">{words.atTimesThePace(houseSpeed())}</span>}
      </div>
    </section>
  );
}
