// The pan seen from above: what lies where, in the order it went in.
import type { Schemas } from '../api/http';
import * as words from './words';

const fill: Record<Schemas['Role'], string> = {
  flour: 'var(--s0-alt)',
  starter: 'var(--s0)',
  liquid: 'var(--s3-alt)',
  egg: 'var(--do)',
  fat: 'var(--s1-alt)',
  sugar: 'var(--s1)',
  salt: '#ffffff',
  yeast: 'var(--good-soft)',
  other: 'var(--s2)',
};

// A layer takes the colour of what there is most of.
const most = (steps: Schemas['LoadStep'][]) => steps.toSorted((a, b) => b.mass - a.mass)[0]?.role;

export function Pan({ load }: { load: Schemas['LoadView'] }) {
  const spread = load.steps.filter((s) => s.spot === 'everywhere');
  const flour = spread.filter((s) => s.role === 'flour');
  const wet = spread.filter((s) => s.role !== 'flour');
  const spots = load.steps.filter((s) => s.spot !== 'everywhere');
  const liquidsFirst = load.order === 'liquids-first';
  const [w, h] = [320, 236];
  // What went in last lies on top.
  const top = liquidsFirst ? flour : wet;
  const under = liquidsFirst ? wet : flour;
  const at: Record<Schemas['Spot'], [number, number]> = {
    everywhere: [w / 2, h / 2],
    'first-corner': [78, 70],
    'second-corner': [w - 78, h - 66],
    dimple: [w / 2, h / 2],
    bottom: [w / 2, h / 2],
  };
  const said = load.steps.map((s) => `${s.ingredient}${s.note ? `: ${s.note}` : ''}`).join('; ');
  const covers = (top.length > 0 ? top : under).map((s) => s.ingredient).join(', ');
  return (
    <figure>
      <svg viewBox={`0 0 ${w} ${h + 6}`} className="picture narrow-picture" role="img" aria-label={words.thePanFromAbove(said)}>
        <rect x={4} y={4} width={w - 8} height={h - 8} rx={34} fill="var(--soft-ink)" />
        <rect x={14} y={14} width={w - 28} height={h - 28} rx={26} fill={fill[most(under) ?? 'liquid']} />
        {/* The layer on top leaves a rim of the one below. */}
        {top.length > 0 && (
          <path
            d={`M 34 60 Q 30 30 70 30 L ${w - 74} 34 Q ${w - 28} 34 ${w - 34} 76 L ${w - 32} ${h - 66} Q ${w - 32} ${h - 32} ${w - 76} ${h - 34} L 74 ${h - 30} Q 30 ${h - 34} 34 ${h - 78} Z`}
            fill={fill[most(top) ?? 'flour']}
            opacity={liquidsFirst ? 1 : 0.75}
          />
        )}
        {Array.from({ length: load.paddles }, (_, i) => (
          <g key={i} transform={`translate(${(w * (i + 1)) / (load.paddles + 1)} ${h / 2})`} opacity={0.35}>
            <circle r={9} fill="none" stroke="var(--soft-ink)" strokeWidth={3} />
            <path d="M 8 -3 Q 30 -14 34 4 Q 24 2 8 4 Z" fill="var(--soft-ink)" />
          </g>
        ))}
        {spots.map((s) => {
          const [x, y] = at[s.spot];
          const dimple = s.spot === 'dimple' || s.spot === 'bottom';
          return (
            <g key={s.ingredient}>
              {dimple && <ellipse cx={x} cy={y} rx={52} ry={36} fill="var(--s0)" opacity={0.8} />}
              <ellipse
                cx={x}
                cy={y}
                rx={dimple ? 36 : 34}
                ry={dimple ? 24 : 22}
                fill={fill[s.role]}
                stroke="#17324a"
                strokeWidth={1.5}
              />
              <text x={x} y={y + 5} textAnchor="middle" fontSize={16} fontWeight={700} className="on-dough">
                {s.role}
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="muted">{words.fromAboveOnTop(covers)}</figcaption>
    </figure>
  );
}
