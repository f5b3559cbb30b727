// Strands over and under one another: ribbons drawn lowest first, each with its edge and its light, so that what lies on top
// covers what lies below.
import type { Schemas } from '../api/http';
import css from './shaping.module.css';

type Weave = Schemas['Weave'];
type Piece = Schemas['WeavePiece'];

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

// A strand is one wide; so much of it is worked in sight, and so long hang the free ends at least.
const [inSight, hanging, below] = [8.5, 1.6, 1.25];

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
  const last = weave.steps[Math.min(step, weave.steps.length - 1)];
  if (!last) return null;
  if (!weave.stacked) return <Rope step={last} width={weave.width} label={label} room={room} />;

  // A long plait is followed downwards: its last moves stay in sight, and the free ends fill what is left.
  const tall = inSight + hanging + below;
  const bottom = Math.max(tall - 0.6, last.bottom + hanging + below);
  const from = bottom - tall;
  const worked = weave.steps.slice(0, step + 1);
  const ends = bottom - below;
  const order = (last.tails ?? []).map((p) => p.points.at(-2) ?? 0);
  return (
    <svg
      className={css.weave}
      viewBox={`-0.4 ${from} ${weave.width + 0.8} ${tall}`}
      height={room}
      style={{ maxWidth: '100%', ...(flipped ? { transform: 'scaleY(-1)' } : {}) }}
      role="img"
      aria-label={label}
    >
      {(last.tails ?? []).map((p) => (
        <Ribbon key={p.strand} d={`${pathOf(p.points)}L${p.points.at(-2)} ${ends}`} strand={p.strand} cap="round" />
      ))}
      {worked.map((s, i) =>
        s.pieces.map((p, k) => (
          <Ribbon
            key={`${i}-${k}`}
            d={pathOf(p.points)}
            strand={p.strand}
            cap="butt"
            moves={p.active === true && i === worked.length - 1}
          />
        )),
      )}
      <rect x={weave.width * 0.2} y={-0.42} width={weave.width * 0.6} height={0.62} rx={0.31} className={css.tucked} />
      {order.map((x, place) => (
        <text
          key={place}
          x={x}
          y={bottom - 0.08}
          fontSize={0.58}
          fontWeight={700}
          textAnchor="middle"
          style={{
            fill: 'var(--ink)',
            ...(flipped ? { transform: 'scaleY(-1)', transformOrigin: `${x}px ${bottom - 0.28}px` } : {}),
          }}
        >
          {Math.floor((x / weave.width) * weave.strands) + 1}
        </text>
      ))}
    </svg>
  );
}

function Rope({ step, width, label, room }: { step: Schemas['WeaveStep']; width: number; label: string; room: number }) {
  const scale = 30;
  return (
    <svg
      className={css.weave}
      viewBox={`-0.7 ${step.top} ${width + 1.4} ${step.bottom - step.top}`}
      width={(width + 1.4) * scale}
      style={{ maxWidth: '100%', maxHeight: room }}
      role="img"
      aria-label={label}
    >
      {step.pieces.map((p, k) => (
        // Where it lies on itself it is cut off flush; free ends are round.
        <Ribbon key={k} d={pathOf(p.points)} strand={1} cap={k > 0 ? 'butt' : 'round'} />
      ))}
    </svg>
  );
}

const pathOf = (points: Piece['points']) => points.reduce((d, v, n) => d + (n === 0 ? 'M' : n % 2 === 0 ? 'L' : ' ') + v, '');

type RibbonOf = { d: string; strand: number; cap: 'butt' | 'round'; moves?: boolean };

// Edge, dough and light, all along the same line.
function Ribbon({ d, strand, cap, moves = false }: RibbonOf) {
  const fill = fills[(strand - 1) % fills.length];
  const edge = edges[(strand - 1) % edges.length];
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap={cap}>
      {/* The edge ends a little sooner than the dough, so that no seam shows where two rows meet. */}
      <path
        d={d}
        style={{ stroke: edge }}
        strokeWidth={1.02}
        pathLength={100}
        strokeDasharray={cap === 'butt' ? '0 0.4 99.2 0.4' : undefined}
      />
      <path d={d} style={{ stroke: fill }} strokeWidth={0.9} />
      <path d={d} className={css.light} style={{ color: fill }} strokeWidth={0.2} transform="translate(-0.17 0)" />
      {moves && <path d={d} className={css.moving} pathLength={100} strokeWidth={0.14} />}
    </g>
  );
}
