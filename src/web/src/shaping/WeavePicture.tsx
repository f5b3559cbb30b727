// Strands over and under one another: pieces drawn lowest first, each with its edge, so that what lies on top covers what lies below.
import type { Schemas } from '../api/http';

type Weave = Schemas['Weave'];

const fills = [
  'var(--s0)',
  'var(--s2)',
  'var(--s1)',
  'var(--s3)',
  'var(--s0-alt)',
  'var(--s2-alt)',
  'var(--s1-alt)',
  'var(--s3-alt)',
];
const edges = ['var(--s0-line)', 'var(--s2-line)', 'var(--s1-line)', 'var(--s3-line)'];

/** Steps up to this one; of a rope, this step alone. */
export function WeavePicture({
  weave,
  step,
  label,
  flipped,
  room = 460,
}: {
  weave: Weave;
  step: number;
  label: string;
  flipped?: boolean;
  room?: number;
}) {
  const shown = weave.stacked ? weave.steps.slice(0, step + 1) : weave.steps.slice(step, step + 1);
  const last = shown.at(-1);
  if (!last) return null;
  const [top, bottom] = weave.stacked ? [-0.9, last.bottom + 0.7] : [last.top, last.bottom];
  // A long plait is followed downwards: its last moves stay in sight.
  const scale = weave.stacked ? 44 : 30;
  const height = Math.min((bottom - top) * scale, room);
  const from = weave.stacked ? Math.max(top, bottom - room / scale) : top;
  const width = (weave.width + 0.6) * scale;
  const order = last.pieces.map((p) => ({ strand: p.strand, x: p.points.at(-2) ?? 0, y: p.points.at(-1) ?? 0 }));
  return (
    <svg
      className="weave"
      viewBox={`-0.3 ${from} ${weave.width + 0.6} ${height / scale}`}
      width={width}
      style={{ maxWidth: '100%', ...(flipped ? { transform: 'scaleY(-1)' } : {}) }}
      role="img"
      aria-label={label}
    >
      {shown.map((s, i) =>
        s.pieces.map((p, k) => {
          const points = p.points.reduce((d, v, n) => d + (n === 0 ? 'M' : n % 2 === 0 ? 'L' : ' ') + v, '');
          const now = p.active === true && i === shown.length - 1;
          const fill = weave.strands === 1 ? 'var(--s0)' : fills[(p.strand - 1) % fills.length];
          const edge = weave.strands === 1 ? 'var(--s0-line)' : edges[(p.strand - 1) % edges.length];
          // A rope that lies on itself is cut off flush; free ends are round.
          const cap = weave.stacked || k > 0 ? 'butt' : 'round';
          return (
            <g key={`${i}-${k}`} fill="none" strokeLinejoin="round" strokeLinecap={cap}>
              {/* The edge ends a little sooner than the dough, so that no seam shows where two rows meet. */}
              <path
                d={points}
                style={{ stroke: edge }}
                strokeWidth={1.02}
                pathLength={100}
                strokeDasharray={cap === 'butt' ? '0 1 98 1' : undefined}
              />
              <path d={points} style={{ stroke: fill }} strokeWidth={now ? 0.8 : 0.9} />
              {now && <path d={points} stroke="var(--ink)" strokeWidth={0.1} strokeDasharray="0.28 0.2" />}
            </g>
          );
        }),
      )}
      {weave.stacked &&
        order
          .filter((o) => o.y > bottom - 1.2)
          .filter((o, i, all) => all.findIndex((p) => p.strand === o.strand) === i)
          .map((o) => (
            <text
              key={o.strand}
              x={o.x}
              y={bottom - 0.12}
              fontSize={0.52}
              fontWeight={700}
              textAnchor="middle"
              style={{
                fill: 'var(--ink)',
                ...(flipped ? { transform: 'scaleY(-1)', transformOrigin: `${o.x}px ${bottom - 0.3}px` } : {}),
              }}
            >
              {Math.floor((o.x / weave.width) * weave.strands) + 1}
            </text>
          ))}
    </svg>
  );
}
