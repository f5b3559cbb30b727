// What the dough looks like in the pan, seen from above: five states, so that the eye can choose and not the words.
import type { Schemas } from '../api/http';
import css from './bench.module.css';

const speckles: [number, number, number][] = [
  [22, 20, 3],
  [34, 62, 2.5],
  [98, 18, 2.5],
  [104, 58, 3.5],
  [18, 46, 2.5],
  [88, 68, 2],
  [70, 14, 2],
  [110, 38, 2.5],
  [44, 16, 2],
  [58, 70, 3],
  [26, 34, 1.8],
  [100, 70, 2.4],
];

export function DoughState({ feel }: { feel: Schemas['DoughFeel'] }) {
  const dough = { fill: 'var(--s0)', stroke: 'var(--s0-line)', strokeWidth: 2 };
  return (
    <svg viewBox="0 0 128 86" width={128} height={86} aria-hidden="true" className={css.doughState}>
      <rect x={2} y={2} width={124} height={82} rx={18} fill="var(--lane-machine)" stroke="var(--soft-ink)" strokeWidth={3} />
      {feel === 'ragged' && (
        <>
          <path d="M10 70 Q8 80 20 80 L40 80 Q24 78 10 70Z M118 14 Q124 8 112 6 L92 6 Q108 8 118 14Z" fill="var(--s0-alt)" />
          {speckles.map(([x, y, r]) => (
            <circle key={`${x}${y}`} cx={x} cy={y} r={r} fill="var(--s0-alt)" stroke="var(--s0-line)" strokeWidth={0.8} />
          ))}
          <path
            d="M42 30 L52 24 L60 32 L74 24 L84 34 L80 46 L88 54 L74 62 L62 56 L50 64 L44 52 L36 46Z"
            {...dough}
            strokeLinejoin="round"
          />
          <path d="M56 36 L62 44 M72 38 L66 50 M52 50 L60 52" stroke="var(--s0-line)" strokeWidth={2} />
        </>
      )}
      {feel === 'stiff' && (
        <>
          <path d="M40 44 Q38 22 64 20 Q92 20 92 44 Q90 66 66 66 Q42 66 40 44Z" {...dough} />
          <path
            d="M52 30 L60 40 L56 50 M78 32 L72 42 L80 52 M62 58 L70 52"
            fill="none"
            stroke="var(--s0-line)"
            strokeWidth={2.4}
          />
          <path
            d="M28 30 Q24 43 28 56 M20 34 Q17 43 20 52 M104 30 Q108 43 104 56 M112 34 Q115 43 112 52"
            fill="none"
            stroke="var(--soft-ink)"
            strokeWidth={2.4}
          />
        </>
      )}
      {feel === 'right' && (
        <>
          <ellipse cx={64} cy={44} rx={31} ry={26} {...dough} />
          <path d="M46 36 Q54 24 70 25" fill="none" stroke="var(--s0-alt)" strokeWidth={5} strokeLinecap="round" />
        </>
      )}
      {feel === 'sticky' && (
        <>
          <path
            d="M34 46 Q30 26 54 22 Q62 18 72 24 Q98 22 96 44 Q98 60 78 64 Q60 72 48 62 Q36 60 34 46Z M34 46 Q18 48 8 62 Q22 54 36 52Z M94 36 Q110 32 121 20 Q108 38 95 43Z M60 64 Q60 74 52 82 Q66 76 68 66Z"
            {...dough}
            strokeLinejoin="round"
          />
          <path d="M48 40 Q56 34 66 40 T84 40" fill="none" stroke="var(--s0-line)" strokeWidth={2} />
        </>
      )}
      {feel === 'pooling' && (
        <>
          <path d="M8 46 Q4 20 30 16 Q50 6 76 12 Q112 8 120 34 Q126 64 98 76 Q64 86 32 76 Q8 72 8 46Z" {...dough} />
          <path
            d="M24 44 Q40 26 64 30 T106 38 M28 60 Q52 50 76 60 T104 56"
            fill="none"
            stroke="var(--s0-alt)"
            strokeWidth={4}
            strokeLinecap="round"
          />
          <path d="M56 38 L76 46 L72 54 L54 44Z" fill="var(--soft-ink)" />
        </>
      )}
    </svg>
  );
}
