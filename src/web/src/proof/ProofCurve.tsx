// The proof as a curve with its uncertainty: now, the ready window, every look, and the piece as it was set down and as it should be.
import type { Schemas } from '../api/http';
import { clockTime, useNow } from '../api/clock';
import { useUnits } from '../parts/units';
import { useWidth } from '../parts/useWidth';
import css from './proof.module.css';
import { Size } from './Size';
import * as words from './words';

type Proof = Schemas['ProofView'];

export function ProofCurve({ proof }: { proof: Proof }) {
  const now = useNow(1000);
  const { heat } = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>();
  const height = 230;
  const [left, bottom, top] = [8, 196, 14];
  const from = Date.parse(proof.start);
  const to = Math.max(Date.parse(proof.curve.at(-1)?.at ?? proof.start), now);
  const most = Math.max(proof.wantedRise + 0.6, 1);
  const x = (at: string | number) =>
    left + ((width - left - 12) * ((typeof at === 'number' ? at : Date.parse(at)) - from)) / Math.max(1, to - from);
  const y = (rise: number) => bottom - ((bottom - top) * Math.min(rise, most)) / most;
  const line = (of: (p: Schemas['ProofPoint']) => number, back = false) =>
    (back ? [...proof.curve].reverse() : proof.curve).map((p) => `${x(p.at).toFixed(1)} ${y(of(p)).toFixed(1)}`).join(' L ');
  const hours = (to - from) / 3600e3;
  const step = hours > 8 ? 2 : hours > 3 ? 1 : hours > 1.2 ? 0.5 : 0.25;
  const ticks = Array.from({ length: 40 }, (_, i) => (Math.ceil(from / (step * 3600e3)) + i) * step * 3600e3).filter(
    (t) => t < to,
  );
  return (
    <section aria-label={words.proof} className={css.proofCurve}>
      {proof.ready && (
        <p className={css.ready} role="status">
          <b>{proof.ready}</b>
          {proof.inAt && proof.holdsUntil && (
            <>
              {' '}
              {words.inAt} <b className="num">{clockTime(proof.inAt)}</b>
              {words.theyHoldUntilAbout} <b className="num">{clockTime(proof.holdsUntil)}</b>.
            </>
          )}
        </p>
      )}
      <div ref={ref}>
        {width > 0 && (
          <svg
            className="picture"
            viewBox={`0 0 ${width} ${height}`}
            role="img"
            aria-label={words.grownOfWanted(
              Math.round(proof.riseNow * 100),
              Math.round(proof.wantedRise * 100),
              proof.early && proof.late ? words.readyFromTo(clockTime(proof.early), clockTime(proof.late)) : '',
            )}
          >
            {proof.early && proof.late && (
              <rect
                x={x(proof.early)}
                y={top}
                width={Math.max(3, x(proof.late) - x(proof.early))}
                height={bottom - top}
                fill="var(--good-soft)"
                opacity={0.45}
              />
            )}
            <path d={`M ${line((p) => p.fast)} L ${line((p) => p.slow, true)} Z`} fill="var(--s0-alt)" opacity={0.6} />
            <path d={`M ${line((p) => p.rise)}`} fill="none" stroke="var(--s0-line)" strokeWidth={3} />
            <line
              x1={left}
              x2={width - 12}
              y1={y(proof.wantedRise)}
              y2={y(proof.wantedRise)}
              stroke="var(--good)"
              strokeWidth={2}
              strokeDasharray="6 5"
            />
            <text x={left + 4} y={y(proof.wantedRise) - 6} fontSize={14}>
              {words.wanted}
            </text>
            {proof.moves.map((m) => (
              <g key={m.step}>
                <line
                  x1={x(m.start)}
                  x2={x(m.start)}
                  y1={top}
                  y2={bottom}
                  stroke="var(--soft-ink)"
                  strokeDasharray="3 4"
                  strokeWidth={2}
                />
                <text x={x(m.start) + 5} y={bottom - 8} fontSize={14}>
                  {m.short}
                </text>
              </g>
            ))}
            {proof.looks.map((l) => (
              <circle key={l.at} cx={x(l.at)} cy={y(l.rise)} r={7} fill="var(--card)" stroke="var(--ink)" strokeWidth={3}>
                <title>{`${clockTime(l.at)}: ${l.seen}`}</title>
              </circle>
            ))}
            <line x1={x(now)} x2={x(now)} y1={top - 6} y2={bottom} stroke="var(--now)" strokeWidth={3} />
            <circle cx={x(now)} cy={y(proof.riseNow)} r={5} fill="var(--now)" />
            <line x1={left} x2={width - 12} y1={bottom} y2={bottom} stroke="var(--soft-ink)" />
            {ticks.map((t) => (
              <text key={t} x={x(t)} y={bottom + 20} fontSize={14} textAnchor="middle">
                {clockTime(t)}
              </text>
            ))}
          </svg>
        )}
      </div>
      <p className={`muted ${css.proofLegend}`}>{words.lineAsReckonedFromYour}</p>
      <div className={css.proofFacts}>
        <Size size={proof.size} />
        <p>
          {proof.early && proof.late ? (
            <>
              {words.readyBetween} <b>{clockTime(proof.early)}</b> {words.and} <b>{clockTime(proof.late)}</b>.
            </>
          ) : (
            words.itDoesNotGetThere
          )}
          <span className="muted"> {words.theDoughIsAt(heat(proof.placeNow), proof.place, heat(proof.doughNow))}</span>
        </p>
      </div>
      {proof.trouble && (
        <p className="caution" role="status">
          {proof.trouble}
        </p>
      )}
    </section>
  );
}
