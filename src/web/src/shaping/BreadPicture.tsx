// A bread as it comes out of the oven: its shape, its crust, its slashes, and a light from the upper left.
import type { CSSProperties, ReactNode } from 'react';
import type { Schemas } from '../api/http';
import css from './shaping.module.css';

type Form = NonNullable<Schemas['Form']>;
type Slashes = NonNullable<Schemas['Slashes']>;
type Look = Schemas['BreadLook'];

const crust = { fill: 'var(--crust)', stroke: 'var(--crust-line)', strokeWidth: 2.5, strokeLinejoin: 'round' as const };
const cut = { fill: 'none', stroke: 'var(--crumb)', strokeWidth: 4.5, strokeLinecap: 'round' as const };
const rope = { fill: 'none', strokeLinecap: 'round' as const, strokeLinejoin: 'round' as const };

/** As it comes out of the oven, with a crust of this colour if one is said, or as dough before it. */
type Baked = { look: Look; raw?: boolean; crust?: string; hot?: boolean };

export function BreadPicture({ width = 96, ...bread }: Baked & { width?: number }) {
  return (
    <svg viewBox="0 0 120 80" width={width} aria-hidden="true">
      <Bread {...bread} />
    </svg>
  );
}

/** The same as part of another drawing, 120 by 80. */
export function Bread({ look, raw = false, crust, hot = false }: Baked) {
  const form = look.form ?? 'ball';
  const slash = look.slashes && slashes[form]?.[look.slashes];
  return (
    <g
      className={raw ? `bread ${css.raw}` : look.dark ? `bread ${css.dark}` : 'bread'}
      style={crust ? coloured(crust) : undefined}
    >
      <ellipse cx={60} cy={71} rx={48} ry={5} className={css.shade} />
      {look.tie === 'knot' ? knot : drawn[form]}
      {slash && <path {...cut} d={slash} />}
      {look.strewn && !raw && <path d={strewn[form] ?? onTop} className={css.strewn} />}
      {hot && <path d={steam} className={css.steam} />}
    </g>
  );
}

// The crust's own custom property, set for one bread.
const coloured = (crust: string) => ({ '--crust': crust }) as CSSProperties;

// Where its slashes are, on the forms that have some.
const slashes: Partial<Record<Form, Partial<Record<Slashes, string>>>> = {
  ball: {
    cross: 'M52 36 L72 54 M72 36 L52 54',
    long: 'M34 46 Q60 34 86 46',
    diagonals: 'M40 42 L48 54 M56 38 L66 54 M74 40 L82 52',
  },
  log: {
    cross: 'M52 42 L70 56 M70 42 L52 56',
    long: 'M24 51 Q60 40 96 51',
    diagonals: 'M34 42 L46 56 M54 41 L66 56 M74 42 L86 55',
  },
  loaf: {
    cross: 'M48 26 L72 42 M72 26 L48 42',
    long: 'M34 30 Q60 22 86 30',
    diagonals: 'M34 28 L44 42 M54 25 L64 40 M74 26 L84 40',
  },
};

// Seeds, salt or cheese on top: short strokes, on the crust and not beside it.
const onTop = 'M42 38l3 2M52 31l3-2M60 40l4 1M70 33l3 2M80 42l3-1M50 46l3 2M72 48l3-2M88 50l2 2M34 50l3-1';
const strewn: Partial<Record<Form, string>> = {
  rope: 'M28 34l2 3M46 23l3 1M72 24l3-1M92 34l-1 3M36 54l3 2M82 56l3-2M56 64l3 0M62 44l2 3',
  disc: 'M34 50l3 1M48 58l3-1M58 48l3 1M72 60l3-1M86 52l3 1M64 54l3 0',
  tray: 'M40 40l3 1M54 50l3-1M66 39l3 1M78 52l3 0M92 42l3 1M46 57l3-1M98 55l3 1',
  loaf: 'M30 30l3 1M44 24l3-1M56 30l3 1M70 24l3 1M84 30l3-1M38 38l3 0M62 38l3 1M92 38l2 1',
};
const steam = 'M46 16q-4-4 0-8t0-8M60 13q-4-4 0-7t0-6M74 16q-4-4 0-8t0-8';

const light = (d: string) => <path d={d} className={css.light} fill="none" strokeWidth={5} strokeLinecap="round" />;

const roll = (
  <>
    <path {...crust} d="M20 58 Q20 20 60 20 Q100 20 100 58 Q100 70 60 70 Q20 70 20 58 Z" />
    {light('M34 42 Q40 30 56 29')}
  </>
);

// A rope drawn twice, its edge and its crust.
function Rope({ d, thick = 15 }: { d: string; thick?: number }) {
  return (
    <>
      <path {...rope} d={d} stroke="var(--crust-line)" strokeWidth={thick} />
      <path {...rope} d={d} stroke="var(--crust)" strokeWidth={thick - 5} />
      <path {...rope} d={d} className={css.light} strokeWidth={2} transform="translate(-1 -2.5)" />
    </>
  );
}

export const plait = (
  <>
    {[0, 1, 2, 3, 4].map((i) => (
      <g key={i} transform={`translate(${16 + i * 18} ${i % 2 === 0 ? 34 : 46})`}>
        <ellipse {...crust} cx={6} cy={8} rx={16} ry={11} transform={`rotate(${i % 2 === 0 ? 32 : -32} 6 8)`} />
        <path d="M0 3 Q5 -1 11 2" className={css.light} fill="none" strokeWidth={3.5} strokeLinecap="round" />
      </g>
    ))}
  </>
);

export const pretzel = <Rope d="M60 66 C20 60 22 22 48 24 C70 26 74 58 96 56 M60 66 C100 60 98 22 72 24 C50 26 46 58 24 56" />;

export const knot = (
  <>
    <Rope d="M26 58 C30 22 84 16 86 44 C87 62 60 66 46 56" thick={19} />
    <Rope d="M46 56 C34 46 38 26 60 34 C78 41 84 54 96 64" thick={19} />
  </>
);

export const coil = <Rope d="M60 46 C52 40 68 36 70 46 C72 58 46 60 44 46 C42 30 78 26 84 46 C88 66 34 72 30 48" thick={13} />;

const loaf = (
  <>
    <path {...crust} d="M14 66 L18 34 Q20 16 60 16 Q100 16 102 34 L106 66 Z" />
    {light('M26 44 Q26 36 30 34')}
  </>
);

const log = (
  <>
    <path {...crust} d="M8 54 Q14 34 60 34 Q106 34 112 54 Q106 68 60 68 Q14 68 8 54 Z" />
    {light('M22 48 Q32 41 46 40')}
  </>
);

const disc = (
  <>
    <ellipse {...crust} cx={60} cy={52} rx={50} ry={18} />
    <g fill="var(--crust-dark)">
      <ellipse cx={42} cy={48} rx={6} ry={2.5} />
      <ellipse cx={66} cy={56} rx={8} ry={3} />
      <ellipse cx={82} cy={47} rx={5} ry={2} />
    </g>
    {light('M24 46 Q36 39 56 38')}
  </>
);

const drawn: Record<Form, ReactNode> = {
  ball: roll,
  disc,
  rope: pretzel,
  plait,
  log,
  coil,
  loaf,
  swirl: (
    <>
      {loaf}
      <path {...rope} d="M60 46 q8 -6 10 3 q0 12 -14 10 q-14 -6 -4 -20" stroke="var(--crust-dark)" strokeWidth={3} />
    </>
  ),
  tray: (
    <>
      <path {...crust} d="M16 62 L28 34 L104 34 L112 62 Z" />
      <g fill="var(--crust-dark)">
        {[0, 1, 2, 3].map((i) => (
          <g key={i}>
            <ellipse cx={38 + i * 18} cy={42} rx={3} ry={1.8} />
            <ellipse cx={34 + i * 20} cy={54} rx={3.4} ry={2} />
          </g>
        ))}
      </g>
    </>
  ),
  ring: (
    <>
      <path {...crust} d="M26 42 L26 58 Q26 68 60 68 Q94 68 94 58 L94 42 Z" />
      <ellipse {...crust} cx={60} cy={42} rx={34} ry={11} />
      <ellipse cx={60} cy={42} rx={24} ry={6} fill="var(--crust-dark)" opacity={0.6} />
    </>
  ),
};
