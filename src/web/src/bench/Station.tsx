// The scale station: one number, the verdict in words, every piece where it will be picked up again.
import { useEffect, useState } from 'react';
import { useScaleTakesByItself } from '../api/changes';
import { type BenchView, type Schemas } from '../api/http';
import { judge, useLive, type LiveReading } from '../api/live';
import { isBlank, typedOr } from '../parts/typed';
import { figure } from './scaleUnits';
import { FromAbove } from '../shaping/FromAbove';
import * as words from './words';
import css from './bench.module.css';

type StationView = Schemas['StationView'];

/** The piece on the pan: the scale's, or what is typed. */
export function useDivide(bake: BenchView, typed: string) {
  const { reading } = useLive();
  const [again, setAgain] = useState<number | null>(null);
  const [judged, setJudged] = useState<LiveReading | null>(null);
  const station = bake.station;
  const scale = station?.scale;
  const live = reading?.bake === bake.id ? reading : null;
  const piece = station?.pieces.find((p) => p.number === (again ?? station.next));

  // What is typed, or meant for another piece than the next, is judged on asking.
  const isTyped = !isBlank(typed);
  const typedUnits = typedOr(typed, 0) / (scale?.perStep ?? 1);
  const onScaleAgain = again === null ? null : (live?.units ?? null);
  const asked = isTyped ? typedUnits : onScaleAgain;
  useEffect(() => {
    if (!station || asked === null || !Number.isFinite(asked)) return;
    let current = true;
    judge(bake.id, Math.round(asked), again).then(
      (j) => current && setJudged(j),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [asked, again, station, bake.id]);

  const shown = asked !== null ? judged : live;
  const there = shown !== null && shown.verdict !== 'empty';
  const settled = isTyped || (live?.settled ?? false);
  const isAmount = Number.isFinite(typedUnits) && typedUnits > 0;
  const typedWhole = isAmount ? Math.round(typedUnits) : null;
  const scaleWhole = there && settled ? shown.units : null;
  return {
    piece,
    again: setAgain,
    shown,
    settled,
    live,
    // What is typed counts at once; a scale's figure when it stands still.
    units: isTyped ? typedWhole : scaleWhole,
    words: there && scale ? verdictSaid(shown, scale) : '',
  };
}

function verdictSaid({ verdict, off }: LiveReading, scale: Schemas['ScaleUnitView']) {
  switch (verdict) {
    case 'pinch-off':
      return words.pinchOff(figure(scale, off));
    case 'add':
      return words.addFigure(figure(scale, -off));
    case 'good':
      return 'good';
    default:
      return '';
  }
}

type Divide = ReturnType<typeof useDivide>;

export function Station({
  station,
  divide,
  typed,
  type,
  enter,
  takeOver,
}: {
  station: StationView;
  divide: Divide;
  typed: string;
  type: (t: string) => void;
  enter: () => void;
  takeOver: (number: number, units: number) => void;
}) {
  const { shown, live, piece } = divide;
  const takeByItself = useScaleTakesByItself();
  const { scale } = station;
  const silent = live !== null && live.units === null && typed === '';
  const on = shown !== null && shown.verdict !== 'empty' && shown.units !== null;
  // A little more on the pan beside a piece that was taken: trimmings that belong to it.
  const last = [...station.pieces].reverse().find((p) => p.weighed !== null);
  const trimmings = live?.trimmings ? live.units : null;
  return (
    <>
      <div
        className="figure"
        aria-live="polite"
        aria-label={on ? words.onTheScale(figure(scale, shown.units ?? 0), scale.unit) : words.target}
      >
        {silent ? '—' : on ? figure(scale, shown.units ?? 0) : piece ? figure(scale, piece.target) : ''}
        <span>{scale.unit}</span>
        <span className={`${css.verdict} ${shown?.verdict ?? ''}`}>
          {silent ? words.nothingFromTheScale : divide.words || (piece ? words.wanted : words.allWeighed)}
        </span>
      </div>
      {piece && <Gauge units={on ? (shown.units ?? 0) : 0} piece={piece} />}
      {live?.under && (
        <p className="caution" role="status">
          {words.untaredReckonedWithoutIt(live.under)}
        </p>
      )}
      <div className="station-line">
        <label>
          {words.noScaleType} {scale.unit === 'g' ? words.grams : words.ounces}{' '}
          <input
            id="typed"
            className="typed"
            inputMode="decimal"
            value={typed}
            onChange={(e) => type(e.target.value.replace(/[^0-9.,]/g, '').slice(0, 7))}
            onKeyDown={(e) => e.key === 'Enter' && enter()}
          />
        </label>
        <label className="check">
          <input type="checkbox" checked={live?.auto ?? false} onChange={(e) => void takeByItself.make(e.target.checked)} />{' '}
          {words.takeGoodOnesByItself}
        </label>
        <span className="muted">
          {words.left(figure(scale, station.left), scale.unit)}
          {live && live.beside > 0 ? words.onThePan(live.beside) : ''}
        </span>
        {trimmings !== null && last && (
          <button className="button small quiet" onClick={() => takeOver(last.number, (last.weighed ?? 0) + trimmings)}>
            {words.itBelongsToTheLast}
          </button>
        )}
      </div>
    </>
  );
}

// The tolerance is a window on the bar; what is over it is drawn as what to pinch off.
function Gauge({ units, piece }: { units: number; piece: Schemas['Piece'] }) {
  const { target, tolerance } = piece;
  const [from, to] = [target - tolerance, target + tolerance];
  const x = (g: number) => (Math.min(g, target * 1.9) / Math.max(1, target * 1.9)) * 600;
  return (
    <svg viewBox="0 0 600 54" className="whole wide-picture" aria-hidden="true">
      <rect x={0} y={10} width={600} height={26} rx={13} fill="var(--line)" />
      <rect x={x(from)} y={3} width={Math.max(3, x(to) - x(from))} height={40} rx={6} fill="var(--good-soft)" />
      {units > 0 && <rect x={0} y={10} width={x(Math.min(units, to))} height={26} rx={13} fill="var(--s0)" />}
      {units > to && <rect x={x(to)} y={10} width={x(units) - x(to)} height={26} fill="var(--now)" />}
      <line x1={x(target)} x2={x(target)} y1={0} y2={44} stroke="var(--ink)" strokeWidth={3} />
    </svg>
  );
}

/** Every piece where it will be picked up again. */
export function OnTheTable({ station, divide }: { station: StationView; divide: Divide }) {
  const { piece } = divide;
  return (
    <>
      <Pieces station={station} current={piece?.number ?? null} pick={divide.again} />
      {piece && piece.number !== station.next && (
        <p className="muted">
          {words.weighingThisOneAgain}{' '}
          <button className="link" onClick={() => divide.again(null)}>
            {words.leaveIt}
          </button>
        </p>
      )}
    </>
  );
}

// Every piece by its cut, strands by their plait.
function Pieces({ station, current, pick }: { station: StationView; current: number | null; pick: (number: number) => void }) {
  const usual = Math.max(...station.pieces.map((p) => p.target), 1);
  return (
    <div className={css.cutGroups}>
      {station.cuts.map((cut, c) => (
        <section key={c} aria-label={cut.name}>
          {station.cuts.length > 1 && <h2 className="small-head">{cut.name}</h2>}
          <ul className={station.pieces.length > 24 ? `pieces ${css.many}` : 'pieces'}>
            {station.pieces
              .filter((p) => p.cut === c)
              .map((p) => (
                <li key={p.number} className={cut.strands > 1 && p.strand === 1 && p.of > 1 ? css.nextPlait : ''}>
                  <PieceMark
                    piece={p}
                    cut={cut}
                    scale={station.scale}
                    current={p.number === current}
                    pick={() => pick(p.number)}
                    usual={usual}
                  />
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

function PieceMark({
  piece,
  cut,
  scale,
  current,
  pick,
  usual,
}: {
  piece: Schemas['Piece'];
  cut: Schemas['StationCut'];
  scale: Schemas['ScaleUnitView'];
  current: boolean;
  pick: () => void;
  usual: number;
}) {
  const { weighed, verdict } = piece;
  const strand = cut.strands > 1;
  const r = Math.max(9, 26 * Math.cbrt((weighed ?? piece.target) / usual));
  const off = weighed !== null && verdict !== 'good';
  const name = strand ? `${piece.of}.${piece.strand}` : String(piece.of);
  const [f, u] = [(n: number) => figure(scale, n), scale.unit];
  const said =
    weighed === null
      ? words.toComeAbout(name, f(piece.target), u)
      : `${name}: ${f(weighed)} ${u}${off ? words.besideItsOwn(weighed > piece.target ? words.over : words.under, f(piece.target), u) : ''}`;
  const [long, wide] = strand ? [56, r * 1.24] : cut.shape === null ? [52, 40] : [2 * r, 2 * r];
  const look = {
    form: strand ? 'log' : cut.shape === null ? 'tray' : 'ball',
    tie: null,
    slashes: 'none',
    dark: false,
    strewn: false,
  } as const;
  return (
    <button className={css.piece} aria-label={said} onClick={pick} disabled={weighed === null} title={said}>
      <svg viewBox="-32 -32 64 64" width={58} height={58} aria-hidden="true">
        {off && <circle r={30} fill="none" stroke="var(--now)" strokeWidth={2.5} strokeDasharray="3 4" />}
        {weighed !== null && <FromAbove look={look} x={0} y={0} length={long} width={wide} />}
        {(weighed === null || current) && (
          <rect
            x={-long / 2}
            y={-wide / 2}
            width={long}
            height={wide}
            rx={cut.shape === null ? 9 : wide / 2}
            fill={weighed === null ? 'var(--card)' : 'none'}
            stroke={current ? 'var(--ink)' : 'var(--soft-ink)'}
            strokeWidth={current ? 4 : 2}
            strokeDasharray={current ? undefined : '2 5'}
          />
        )}
        <text y={6} textAnchor="middle" fontSize={17} fontWeight={700} fill={weighed === null ? 'var(--ink)' : '#17202a'}>
          {weighed === null ? (current ? name : '') : f(weighed)}
        </text>
      </svg>
    </button>
  );
}
