// At the shaping: the size to aim for, drawn to scale; the moves of a plait; where each goes; a rest for what springs back.
import { useEffect, useState } from 'react';
import { api, type BenchView, type Schemas } from '../api/http';
import { countdown, houseNow, span, useNow } from '../api/clock';
import { useUnits } from '../parts/units';
import { useWidth } from '../parts/useWidth';
import { PanPicture } from '../shaping/PanPicture';
import { PlaitTrainer } from '../shaping/PlaitTrainer';
import { hush, ring } from './sound';
import * as words from './words';
import css from './bench.module.css';

export function ShapeHelp({ bake, step }: { bake: BenchView; step: string }) {
  const { shape } = bake;
  if (!shape) return null;
  return (
    <>
      {shape.shares.map((s) => (
        <p key={s}>{s}</p>
      ))}
      <AimPicture shape={shape} />
      <Rest id={`${bake.id}/${step}`} />
      {(shape.form === 'plait' || shape.tie !== null) && <PlaitTrainer of={{ tie: shape.tie, strands: shape.strands }} />}
    </>
  );
}

/** Where each goes, to scale. */
export function OnItsPan({ pan }: { pan: Schemas['PanLayout'] }) {
  return (
    <figure className="pan-here">
      <PanPicture layout={pan} room={240} />
      <figcaption className="muted">
        {pan.tin.name}: {pan.touching ? words.justTouchingWhenGrown : words.apartTheDashesShowThem}
      </figcaption>
    </figure>
  );
}

// A rope, strand or disc on a rule, so that the eye has something to lay it beside.
function AimPicture({ shape }: { shape: Schemas['ShapeView'] }) {
  const { length } = useUnits();
  const [ref, width] = useWidth<SVGSVGElement>();
  const { rope, across, thickness } = shape.aim;
  if (shape.aim.sheet) return <SheetPicture sheet={shape.aim.sheet} />;
  if (rope === null && across === null) return null;
  const size = rope ?? across ?? 1;
  const rolled = shape.rollTo ?? size;
  const height = rope === null ? size : Math.max(12, thickness ?? 15);
  const tick = length(25.4).endsWith('in') ? 25.4 : 10;
  const marks = Array.from({ length: Math.floor(rolled / tick) + 1 }, (_, i) => i * tick);
  const pad = 14;
  // Letters as large as everywhere, whatever the scale.
  const letters = (14.5 * (rolled + 2 * pad)) / Math.max(1, Math.min(width, widest(rope)));
  return (
    <svg
      ref={ref}
      className="picture"
      viewBox={`${-pad} 0 ${rolled + 2 * pad} ${height + 20 + letters}`}
      style={{ maxWidth: widest(rope) }}
      role="img"
      aria-label={words.rolledTo(length(size), rope === null ? words.across : words.long, length(rolled))}
    >
      {rope === null ? (
        <>
          {rolled > size && (
            <circle
              cx={rolled / 2}
              cy={height / 2 + 2}
              r={rolled / 2}
              fill="none"
              stroke="var(--now)"
              strokeWidth={1.5}
              strokeDasharray="5 4"
            />
          )}
          <circle
            cx={rolled / 2}
            cy={height / 2 + 2}
            r={size / 2 - 2}
            fill="var(--s0)"
            stroke="var(--s0-line)"
            strokeWidth={1.5}
          />
        </>
      ) : (
        <>
          <rect
            x={(rolled - size) / 2}
            y={4}
            width={size}
            height={height}
            rx={height / 2}
            fill="var(--s0)"
            stroke="var(--s0-line)"
            strokeWidth={1.5}
          />
          {[0, rolled].map((x) => (
            <line key={x} x1={x} x2={x} y1={0} y2={height + 10} stroke="var(--now)" strokeWidth={2} />
          ))}
        </>
      )}
      <g transform={`translate(0 ${height + 14})`} stroke="var(--soft-ink)" strokeWidth={1}>
        {marks.map((m, i) => (
          <line key={m} x1={m} x2={m} y1={0} y2={i % 5 === 0 ? 10 : 5} />
        ))}
      </g>
      {marks
        .filter((_, i) => i % (rolled > 200 ? 10 : 5) === 0)
        .map((m) => (
          <text key={m} x={m} y={height + 16 + letters} fontSize={letters} textAnchor="middle">
            {Math.round(m / tick)}
          </text>
        ))}
    </svg>
  );
}

const widest = (rope: number | null | undefined) => (rope == null ? 260 : 640);

function SheetPicture({ sheet }: { sheet: Schemas['Footprint'] }) {
  const { length } = useUnits();
  const { length: a, width: b } = sheet;
  return (
    <svg
      className="picture narrow-picture"
      viewBox={`-6 -6 ${a + 60} ${b + 40}`}

      role="img"
      aria-label={words.aRectangleOfBy(length(a), length(b))}
    >
      <rect width={a} height={b} rx={16} fill="var(--s0)" stroke="var(--s0-line)" strokeWidth={2} />
      <text x={a / 2} y={b + 26} textAnchor="middle" fontSize={18}>
        {length(a)}
      </text>
      <text x={a + 8} y={b / 2} fontSize={18}>
        {length(b).split(' ')[0]}
      </text>
    </svg>
  );
}

// Outlives a reload: its end is written down.
function Rest({ id }: { id: string }) {
  const key = `rest/${id}`;
  const [until, setUntil] = useState(() => Number(localStorage.getItem(key)) || null);
  const now = useNow();
  const rests = api.useQuery('get', '/api/kitchen').data?.rests ?? [];
  const over = until !== null && now >= until;
  useEffect(() => {
    if (!over) return;
    ring();
    return hush;
  }, [over]);
  const set = (to: number | null) => {
    if (to === null) localStorage.removeItem(key);
    else localStorage.setItem(key, String(to));
    setUntil(to);
  };
  return (
    <div className={css.rest}>
      {until === null ? (
        <>
          <span>{words.springsBack}</span>
          {rests.map((seconds) => (
            <button key={seconds} className="button small" onClick={() => set(houseNow() + seconds * 1000)}>
              {words.rest(span(seconds * 1000))}
            </button>
          ))}
        </>
      ) : (
        <>
          <span role="timer">{over ? words.restedRollOn : words.resting(countdown(until - now))}</span>
          <button className="button small" onClick={() => set(null)}>
            {over ? words.heard : words.enough}
          </button>
        </>
      )}
    </div>
  );
}
