// What is this dough good for? Its wetness beside the band every family likes.
import type { Schemas } from '../api/http';
import { percent, useUnits } from '../parts/units';
import { useWidth } from '../parts/useWidth';
import * as words from './words';

const [row, top, names] = [25, 34, 168];

export function GoodFor({ formula }: { formula: Schemas['FormulaView'] }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { mass } = useUnits();
  const has = formula.workingHydration;
  const low = Math.min(0.5, has) - 0.02;
  const high = Math.max(0.8, has) + 0.02;
  const narrow = width < 560;
  const [left, right] = [names, Math.max(names + 60, width - (narrow ? 10 : 150))];
  const x = (share: number) => left + ((right - left) * (share - low)) / (high - low);
  const well = formula.suits.filter((s) => s.suits === 'well');
  const height = top + formula.suits.length * row + 4;
  return (
    <section className="card" aria-label={words.whatItIsGoodFor}>
      <h2 className="over-list">{well.length === 0 ? words.goodForNoneOfThese : words.whatItIsGoodFor}</h2>
      <div ref={ref} className="picture-box">
        {width > 0 && (
          <svg
            className="picture"
            viewBox={`0 0 ${width} ${height}`}
            role="img"
            aria-label={words.waterToTheHands(
              percent(has),
              formula.suits.map((s) => words.likeTo(s.name, percent(s.from, 0), percent(s.to, 0))).join('; '),
            )}
          >
            {formula.suits.map((s, i) => {
              const y = top + i * row;
              return (
                <g key={s.id}>
                  <text x={0} y={y + 16} fontSize={15} fontWeight={s.suits === 'well' ? 700 : 400}>
                    {s.name}
                  </text>
                  <line x1={left} x2={right} y1={y + 11} y2={y + 11} stroke="var(--line)" />
                  <rect
                    x={x(s.from)}
                    y={y + 4}
                    width={x(s.to) - x(s.from)}
                    height={14}
                    rx={7}
                    fill={s.suits === 'well' ? 'var(--good-soft)' : 'var(--s0-alt)'}
                    stroke={s.suits === 'well' ? 'var(--good)' : 'var(--s0-line)'}
                  />
                  {!narrow && s.suits !== 'well' && (
                    <text x={right + 12} y={y + 16} fontSize={14} fill="var(--soft-ink)">
                      {words.water(mass(Math.abs(s.water)))} {s.water > 0 ? words.more : words.less}
                    </text>
                  )}
                </g>
              );
            })}
            <line x1={x(has)} x2={x(has)} y1={24} y2={height} stroke="var(--now)" strokeWidth={2.5} />
            <rect x={x(has) - 34} y={2} width={68} height={22} rx={11} fill="var(--now)" />
            <text x={x(has)} y={18} textAnchor="middle" fontSize={14} fontWeight={700} className="on-ink">
              {percent(has)}
            </text>
          </svg>
        )}
      </div>
    </section>
  );
}
