// Dividing without a scale: marks on a log of measured length, or a tree of cuts for the eye.
import { api, type BenchView, type Schemas, type Trouble } from '../api/http';
import { useLater } from '../parts/useLater';
import { useUnits } from '../parts/units';
import { useTyped } from '../parts/useTyped';
import { useWidth } from '../parts/useWidth';
import { weight } from './scaleUnits';
import * as words from './words';
import css from './bench.module.css';

const hues = ['var(--s0)', 'var(--s2)', 'var(--s3)', 'var(--s1)'];

export function RulerMarks({ bake, station }: { bake: BenchView; station: Schemas['StationView'] }) {
  const { length } = useUnits();
  const typed = useTyped('length');
  const usualLog = api.useQuery('get', '/api/kitchen').data?.usualLog ?? 0;
  const log = useLater(typed.blank ? usualLog : (typed.value ?? 0));
  const [ref, width] = useWidth<HTMLDivElement>();
  const marks = api.useQuery(
    'post',
    '/api/bakes/{id}/ruler',
    { params: { path: { id: bake.id } }, body: { log } },
    { enabled: log > 0, retry: false, placeholderData: (before) => before },
  );
  const trouble = marks.error as Trouble | null;
  const end = marks.data?.at(-1)?.at ?? 1;
  const x = (mm: number) => 12 + ((width - 24) * mm) / end;
  const starts = marks.data?.map((m, i) => ({ ...m, from: marks.data[i - 1]?.at ?? 0 })) ?? [];
  // Labels where they have room: every one, or every second, third …
  const every = Math.max(1, Math.ceil((starts.length * 46) / Math.max(1, width)));
  return (
    <section aria-label={words.ruler} className={css.withoutScale}>
      <label className={css.logLength}>
        {words.rollAnEvenLogIts(typed.unit)}{' '}
        <input
          className="typed"
          inputMode="decimal"
          value={typed.text}
          onChange={(e) => typed.type(e.target.value)}
          placeholder={length(usualLog).split(' ')[0]}
        />
      </label>
      {trouble && <p className="problem">{trouble.title}</p>}
      <div ref={ref}>
        {width > 0 && starts.length > 0 && (
          <svg
            className="picture"
            viewBox={`0 0 ${width} 132`}
            role="img"
            aria-label={words.cutAt(
              starts
                .slice(0, -1)
                .map((m) => m.text)
                .join(', '),
            )}
          >
            <defs>
              <clipPath id="log">
                <rect x={x(0)} y={18} width={x(end) - x(0)} height={48} rx={24} />
              </clipPath>
            </defs>
            <g clipPath="url(#log)">
              {starts.map((m) => (
                <rect
                  key={m.number}
                  x={x(m.from)}
                  y={18}
                  width={x(m.at) - x(m.from)}
                  height={48}
                  style={{ fill: hues[m.cut % hues.length] }}
                />
              ))}
            </g>
            <rect x={x(0)} y={18} width={x(end) - x(0)} height={48} rx={24} fill="none" stroke="var(--s0-line)" strokeWidth={2} />
            {starts.slice(0, -1).map((m, i) => (
              <g key={m.number}>
                <line x1={x(m.at)} x2={x(m.at)} y1={8} y2={76} stroke="var(--now)" strokeWidth={2.5} />
                {(i + 1) % every === 0 && (
                  <text x={x(m.at)} y={96} textAnchor="middle" fontSize={15} fontWeight={700}>
                    {m.text}
                  </text>
                )}
              </g>
            ))}
            <text x={x(end)} y={124} textAnchor="end" fontSize={15}>
              {length(end)}
            </text>
          </svg>
        )}
      </div>
      <p className="muted">
        {station.cuts
          .map((c, i) => ({ c, i, p: station.pieces.find((p) => p.cut === i) }))
          .map(({ c, i, p }) =>
            words.about(
              c.name,
              station.noScale ? words.aBallOf(length(station.balls[i] ?? 0)) : weight(station.scale, p?.target ?? 0),
              c.strands > 1 ? words.aStrand : words.each,
            ),
          )
          .join(' · ')}
      </p>
    </section>
  );
}

type EyeCut = Schemas['EyeCut'];

const verbs: Record<number, string> = { 2: 'halve', 3: 'thirds', 5: 'fifths' };
const part = (cut: EyeCut) => (cut.share >= 0.995 ? 'all' : `${Math.round(cut.share * 100)} %`);

export function EyePlan({ station }: { station: Schemas['StationView'] }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const levels: EyeCut[][] = [[station.eye]];
  while (levels.at(-1)?.some((c) => c.parts.length > 0) && levels.length < 9)
    levels.push(levels.at(-1)?.flatMap((c) => (c.parts.length > 0 ? c.parts : [c])) ?? []);
  const row = 70;
  // Lumps side by side as wide as they are heavy.
  const place = (level: EyeCut[]) => {
    let from = 0;
    return level.map((cut) => {
      const at = { cut, from, to: from + cut.share };
      from = at.to;
      return at;
    });
  };
  const x = (share: number) => 2 + (width - 4) * share;
  const cutting = ({ parts }: (typeof levels)[number][number]) => verbs[parts.length] ?? words.inCount(parts.length);
  const steps = levels.slice(0, -1).map((level) => {
    const cuts = level.filter((c) => c.parts.length > 0);
    const [first] = cuts;
    if (!first) return '';
    const same = cuts.every((c) => c.parts.length === first.parts.length && c.even);
    if (same) return cuts.length === 1 ? cutting(first) : words.eachOne(cutting(first));
    return cuts
      .map((c) => (c.even ? cutting(c) : words.apart(c.parts.map(part).join(' · '))))
      .filter((w, i, all) => all.indexOf(w) === i)
      .join('; ');
  });
  return (
    <section aria-label={words.byEye} className={css.withoutScale}>
      <ol className={css.eyeSteps}>
        {steps.map((s, i) => (
          <li key={i}>{s}</li>
        ))}
      </ol>
      <div ref={ref}>
        {width > 0 && (
          <svg
            className="picture"
            viewBox={`0 0 ${width} ${levels.length * row}`}
            role="img"
            aria-label={words.aTreeOfCuts(steps.join(words.commaThen))}
          >
            {levels.map((level, l) =>
              place(level).map(({ cut, from, to }, i) => {
                const w = Math.max(2, x(to) - x(from) - 4);
                return (
                  <g key={`${l}-${i}`}>
                    <rect
                      x={x(from) + 2}
                      y={l * row + 4}
                      width={w}
                      height={42}
                      rx={Math.min(14, w / 2)}
                      style={{ fill: hues[(cut.cut ?? 0) % hues.length] }}
                      stroke="var(--s0-line)"
                    />
                    {w > 40 && (
                      <text
                        x={x(from) + 14}
                        y={l * row + 31}

                        fontSize={15}
                        fontWeight={700}
                        className="on-dough"
                      >
                        {cut.parts.length > 0 ? (cut.pieces > 1 ? `${cut.pieces}` : '') : ''}
                      </text>
                    )}
                    {l < levels.length - 1 &&
                      cut.parts.length > 0 &&
                      cut.parts.slice(1).map((_, k) => {
                        const share = cut.parts.slice(0, k + 1).reduce((sum, p) => sum + p.share, from);
                        return (
                          <line
                            key={k}
                            x1={x(share)}
                            x2={x(share)}
                            y1={l * row}
                            y2={l * row + 60}
                            stroke="var(--now)"
                            strokeWidth={2.5}
                            strokeDasharray={cut.even ? undefined : '5 4'}
                          />
                        );
                      })}
                  </g>
                );
              }),
            )}
          </svg>
        )}
      </div>
    </section>
  );
}
