// A pan or tray from above, to scale: where each piece goes, as it is set down and as it will have grown.
import type { Schemas } from '../api/http';
import { useUnits } from '../parts/units';
import { FromAbove } from './FromAbove';
import * as words from './words';

export function PanPicture({ layout, room = 300 }: { layout: Schemas['PanLayout']; room?: number }) {
  const { length } = useUnits();
  const { tin, seats, shaped, grown } = layout;
  const [l, w] = [tin.length, tin.width];
  const pad = 12;
  const fills = tin.shape === 'loaf' || seats.length === 0 || shaped.length >= l - 1;
  const piece = (size: Schemas['Footprint'], turned: boolean | undefined, x: number, y: number, style: object, key: string) => {
    const [a, b] = turned ? [size.width, size.length] : [size.length, size.width];
    return Math.abs(a - b) < 0.5 ? (
      <circle key={key} cx={x} cy={y} r={a / 2} {...style} />
    ) : (
      <rect key={key} x={x - a / 2} y={y - b / 2} width={a} height={b} rx={Math.min(a, b) / 2} {...style} />
    );
  };
  return (
    <svg
      viewBox={`${-pad} ${-pad} ${l + 2 * pad} ${w + 2 * pad}`}
      style={{ width: room, maxWidth: '100%' }}
      role="img"
      aria-label={words.byWith(tin.name, length(l), length(w), seats.length)}
    >
      <g
        fill={tin.shape === 'stone' ? 'var(--line)' : 'var(--lane-machine)'}
        stroke="var(--soft-ink)"
        strokeWidth={tin.shape === 'stone' ? 9 : 4}
      >
        {tin.shape === 'round' ? <circle cx={l / 2} cy={l / 2} r={l / 2} /> : <rect width={l} height={w} rx={14} />}
      </g>
      {tin.shape === 'channels' &&
        seats.map((s, i) => (
          <rect
            key={i}
            x={6}
            y={s.y - w / seats.length / 2 + 4}
            width={l - 12}
            height={w / seats.length - 8}
            rx={18}
            fill="var(--card)"
          />
        ))}
      {fills ? (
        <FromAbove look={layout.look} x={l / 2} y={w / 2} length={l - 20} width={w - 20} />
      ) : (
        <>
          {seats.map((s, i) =>
            piece(
              grown,
              s.across,
              s.x,
              s.y,
              { fill: 'var(--s0-alt)', fillOpacity: 0.55, stroke: 'var(--s0-line)', strokeWidth: 2, strokeDasharray: '7 6' },
              `g${i}`,
            ),
          )}
          {seats.map((s, i) => (
            <FromAbove key={`s${i}`} {...s} look={layout.look} length={shaped.length} width={shaped.width} />
          ))}
        </>
      )}
    </svg>
  );
}
