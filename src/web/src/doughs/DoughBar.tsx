// A dough as a bar: what it is made of, by weight.
import { useUnits } from '../parts/units';
import type { Schemas } from '../api/http';
import * as words from './words';

const fills: Record<Schemas['Role'], string> = {
  flour: 'var(--s0-alt)',
  starter: 'var(--s0)',
  liquid: 'var(--s3-alt)',
  egg: 'var(--do)',
  fat: 'var(--s1-alt)',
  sugar: 'var(--s1)',
  salt: 'var(--soft-ink)',
  yeast: 'var(--good)',
  other: 'var(--s2)',
};

export function DoughBar({ rows }: { rows: Schemas['RowView'][] }) {
  const { mass } = useUnits();
  const total = rows.reduce((sum, r) => sum + r.mass, 0);
  const said = rows.map((r) => `${r.ingredient} ${Math.round((r.mass / total) * 100)} %`).join(', ');
  const shares = rows.map((r) => r.mass / total);
  return (
    <svg viewBox="0 0 1000 40" preserveAspectRatio="none" width="100%" height={26} role="img" aria-label={words.byWeight(said)}>
      {rows.map((r, i) => (
        <rect
          key={i}
          x={1000 * shares.slice(0, i).reduce((sum, s) => sum + s, 0)}
          width={Math.max(0, 1000 * (shares[i] ?? 0) - 1.5)}
          height={40}
          fill={fills[r.role]}
        >
          <title>{`${r.ingredient} ${mass(r.mass)}`}</title>
        </rect>
      ))}
    </svg>
  );
}
