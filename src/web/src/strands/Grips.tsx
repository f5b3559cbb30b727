// Steps to take hold of, over the picture of the day: pulled along, or moved by the arrow keys a little at a time.
import { useState } from 'react';
import type { Schemas } from '../api/http';
import { clockTime, houseNow } from '../api/clock';
import { useGrain } from '../parts/useGrain';
import { timeAt } from './axis';
import css from './strands.module.css';

const minute = 60000;

export function Grips({
  picture,
  name,
  move,
}: {
  picture: Schemas['Picture'];
  name: (grip: Schemas['Grip']) => string;
  move: (grip: Schemas['Grip'], at: string) => void;
}) {
  const [held, setHeld] = useState<{ grip: Schemas['Grip']; from: number; by: number } | null>(null);
  const grain = useGrain();
  const later = (at: number) => Math.max(houseNow() + minute, Math.round(at / grain) * grain);
  return picture.grips.map((grip) => {
    const mine = held?.grip === grip ? held : null;
    const at = mine ? later(timeAt(picture.axis, grip.x + mine.by)) : Date.parse(grip.at);
    return (
      <button
        key={`${grip.bake} ${grip.step}`}
        className={mine ? `${css.grip} ${css.held}` : css.grip}
        role="slider"
        aria-label={name(grip)}
        aria-valuenow={Math.round(at / 60000)}
        aria-valuetext={clockTime(at)}
        style={{
          left: `${((grip.x + (mine?.by ?? 0)) / picture.width) * 100}%`,
          top: `${(grip.y / picture.height) * 100}%`,
        }}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          setHeld({ grip, from: e.clientX, by: 0 });
        }}
        onPointerMove={(e) => mine && setHeld({ ...mine, by: e.clientX - mine.from })}
        onPointerUp={() => {
          if (mine && grain && Math.abs(mine.by) > 3) move(grip, new Date(at).toISOString());
          setHeld(null);
        }}
        onPointerCancel={() => setHeld(null)}
        onKeyDown={(e) => {
          const by = { ArrowLeft: -1, ArrowRight: 1, PageDown: -6, PageUp: 6 }[e.key];
          if (!by || !grain) return;
          e.preventDefault();
          move(grip, new Date(later(Date.parse(grip.at) + by * grain)).toISOString());
        }}
      >
        {mine && <span className={css.gripTime}>{clockTime(at)}</span>}
      </button>
    );
  });
}
