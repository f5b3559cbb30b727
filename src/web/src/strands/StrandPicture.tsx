// Draws what the core laid out: lanes, heat, strands, hands, windows, labels, and now.
import type { Schemas } from '../api/http';
import { useUnits } from '../parts/units';
import { clockTime, useNow } from '../api/clock';
import { Bread } from '../shaping/BreadPicture';
import { xAt } from './axis';
import { hueOf } from './hue';
import * as words from './words';
import css from './strands.module.css';

type Picture = Schemas['Picture'];
type Point = Schemas['Point'];
const laneNames: Record<Schemas['Lane'], string> = {
  machine: words.machine,
  hands: words.hands,
  proof: words.proof,
  oven: words.oven,
  rack: words.rack,
  table: words.table,
};

// Points are joined by curves that are level at each of them.
const curve = (points: Point[]) =>
  points
    .map((p, i) => {
      const before = points[i - 1];
      if (!before) return `M${p.x} ${p.y}`;
      if (before.y === p.y) return `H${p.x}`;
      const middle = (before.x + p.x) / 2;
      return `C${middle} ${before.y} ${middle} ${p.y} ${p.x} ${p.y}`;
    })
    .join('');
const outline = (points: Point[]) => 'M' + points.map((p) => `${p.x} ${p.y}`).join('L') + 'Z';

export function StrandPicture({
  picture,
  title,
  hideNow,
  taut,
}: {
  picture: Picture;
  title: string;
  hideNow?: boolean;
  /** The bake whose chain is drawn taut. */
  taut?: number | null;
}) {
  const { width, height, lanes } = picture;
  const slim = picture.left < 50;
  const last = lanes.at(-1);
  const hands = lanes.find((l) => l.lane === 'hands');
  const bottom = last ? last.top + last.height : height;
  const at = (iso: string) => xAt(picture.axis, Date.parse(iso));
  const now = useNow(1000);
  const nowX = !hideNow && now >= Date.parse(picture.from) && now <= Date.parse(picture.to) ? xAt(picture.axis, now) : null;
  return (
    <svg className="picture" viewBox={`0 0 ${width} ${height}`} role="img" aria-label={describe(picture, title)}>
      {lanes.map((lane) => (
        <g key={lane.lane}>
          <rect x={0} y={lane.top} width={width} height={lane.height} rx={slim ? 4 : 7} fill={`var(--lane-${lane.lane})`} />
          {!slim && (
            <text x={14} y={lane.top + lane.height / 2 + 5} fontSize={15} fontWeight={700} opacity={0.85}>
              {laneNames[lane.lane]}
            </text>
          )}
        </g>
      ))}
      {picture.ticks.map((tick) => (
        <g key={tick}>
          <line x1={at(tick)} x2={at(tick)} y1={lanes[0]?.top} y2={bottom} stroke="var(--ink)" opacity={0.14} />
          {at(tick) > (slim ? 18 : 0) && at(tick) < width - 18 && (slim || nowX === null || Math.abs(nowX - at(tick)) > 54) && (
            <text className="soft" x={at(tick)} y={slim ? 10 : 20} fontSize={14} textAnchor="middle">
              {clockTime(tick)}
            </text>
          )}
        </g>
      ))}
      {picture.away.map((a) => (
        <g key={a.from}>
          <rect
            x={a.from}
            y={lanes[0]?.top}
            width={a.to - a.from}
            height={bottom - (lanes[0]?.top ?? 0)}
            className={css.nobodyUp}
          />
          {!slim && hands && a.to - a.from > 90 && (
            <text x={(a.from + a.to) / 2} y={hands.top + 18} fontSize={14} textAnchor="middle">
              {words.nobodyUp}
            </text>
          )}
        </g>
      ))}
      {picture.axis
        .flatMap((p, i) => (p.folds ? [(p.x + (picture.axis[i + 1]?.x ?? p.x)) / 2] : []))
        .map((x) => (
          <Fold key={x} x={x} top={lanes[0]?.top ?? 0} bottom={bottom} />
        ))}
      {picture.heats.map((heat, i) => (
        <path key={i} d={outline(heat.outline)} fill="var(--heat)" />
      ))}
      {picture.windows.map((w, i) => (
        <g key={i}>
          <rect
            x={w.early}
            y={w.y - 3}
            width={Math.max(2, w.late - w.early)}
            height={slim ? 4 : 7}
            rx={3}
            fill="var(--good-soft)"
            stroke="var(--good)"
          />
          <rect x={w.best - 1.5} y={w.y - 6} width={3} height={slim ? 9 : 13} fill="var(--good)" />
        </g>
      ))}
      {picture.strands.map((strand) => (
        <g key={strand.hue} className={hueOf(strand.hue)} fill="none" strokeLinejoin="round">
          {strand.ribbons.map((ribbon, i) => {
            const d = curve(ribbon.points);
            const fine = ribbon.thickness < 6;
            // Pieces of a plait butt against one another; whole lengths of dough have round ends.
            const cap = fine || ribbon.points.length === 2 ? 'butt' : 'round';
            return (
              <g key={i}>
                <path d={d} stroke="var(--edge)" strokeWidth={ribbon.thickness + (fine ? 0.7 : 2.4)} strokeLinecap={cap} />
                <path
                  d={d}
                  stroke={ribbon.shade === 1 ? 'var(--alt)' : 'var(--fill)'}
                  strokeWidth={ribbon.thickness - (fine ? 0.2 : 0)}
                  strokeLinecap={cap}
                />
              </g>
            );
          })}
        </g>
      ))}
      {picture.taut
        .filter((t) => t.bake === taut)
        .map((t) => (
          <g key={t.bake} fill="none">
            <path d={curve(t.points)} stroke="var(--card)" strokeWidth={slim ? 4 : 6} opacity={0.8} />
            <path d={curve(t.points)} stroke="var(--now)" strokeWidth={slim ? 2 : 3} />
            {t.loose.map((l) => (
              <path
                key={l.from}
                d={`M${l.from} ${l.y}Q${(l.from + l.to) / 2} ${l.y + 18} ${l.to} ${l.y}`}
                stroke="var(--now)"
                strokeWidth={2}
                strokeDasharray="3 4"
              />
            ))}
          </g>
        ))}
      {picture.hands.map((mark, i) => (
        <rect
          key={i}
          x={mark.from}
          y={mark.y - (slim ? 2 : 3.5)}
          width={Math.max(slim ? 3 : 6, mark.to - mark.from - 1)}
          height={slim ? 4 : 7}
          rx={slim ? 2 : 3.5}
          fill={mark.state === 'done' ? 'var(--soft-ink)' : 'var(--ink)'}
          opacity={mark.state === 'skipped' ? 0.25 : mark.state === 'done' ? 0.55 : 1}
        />
      ))}
      {picture.labels.map((label, i) => (
        <PictureLabel key={i} label={label} slim={slim} bottom={bottom} width={width} />
      ))}
      {nowX !== null && <NowLine x={nowX} now={now} slim={slim} bottom={bottom} />}
    </svg>
  );
}

// Hours left out: the picture is torn there.
function Fold({ x, top, bottom }: { x: number; top: number; bottom: number }) {
  const waves = Math.ceil((bottom - top) / 16);
  const d = `M${x} ${top}${'q4 4 0 8q-4 4 0 8'.repeat(waves)}`;
  return (
    <g fill="none">
      <path d={d} stroke="var(--flour)" strokeWidth={9} />
      <path d={d} stroke="var(--soft-ink)" strokeWidth={1.5} strokeDasharray="3 3" />
    </g>
  );
}

// What comes to the table: drawn, counted in its dough's colour, and when.
function OnTheTable({ label, slim, bottom, width }: { label: Schemas['Label']; slim: boolean; bottom: number; width: number }) {
  const r = slim ? 9 : 13;
  const countX = slim ? label.x : label.x + 20;
  return (
    <g className={hueOf(label.hue ?? 0)}>
      {!slim && label.bread && (
        <g transform={`translate(${label.x - 38} ${label.y - 17}) scale(.42)`}>
          <Bread look={label.bread} />
        </g>
      )}
      <circle cx={countX} cy={label.y} r={r} fill="var(--fill)" stroke="var(--edge)" strokeWidth={2} />
      <text x={countX} y={label.y + 5} fontSize={slim ? 14 : 15} fontWeight={700} textAnchor="middle" className="on-dough">
        {label.count}
      </text>
      <text
        x={Math.min(label.x, width - 32)}
        y={bottom + (slim ? 13 : 19)}
        fontSize={slim ? 14 : 15}
        fontWeight={700}
        textAnchor="middle"
      >
        {label.at && clockTime(label.at)}
      </text>
    </g>
  );
}

function PictureLabel({ label, slim, bottom, width }: { label: Schemas['Label']; slim: boolean; bottom: number; width: number }) {
  const units = useUnits();
  if (label.kind === 'ready') return <OnTheTable label={label} slim={slim} bottom={bottom} width={width} />;
  const named = label.mass == null ? label.text : `${label.text} · ${units.mass(label.mass)}`;
  const said = {
    dough: named,
    'dough-beside': named,
    'oven-on':
      label.heat == null
        ? words.on(label.at ? clockTime(label.at) : '')
        : words.ovenOn(label.at ? clockTime(label.at) : '', units.heat(label.heat)),
    window: words.window(label.at ? clockTime(label.at) : '', label.until ? clockTime(label.until) : ''),
  }[label.kind];
  const inside = label.kind === 'dough';
  return (
    <text
      x={label.x}
      y={label.y + 5}
      fontSize={inside ? 15 : 14}
      fontWeight={700}
      textAnchor={label.anchor}
      style={{
        fill: label.kind === 'oven-on' ? 'var(--heat-ink)' : label.kind === 'window' ? 'var(--good)' : undefined,
        paintOrder: 'stroke',
      }}
      className={inside ? 'on-dough' : undefined}
    >
      {said}
    </text>
  );
}

function NowLine({ x, now, slim, bottom }: { x: number; now: number; slim: boolean; bottom: number }) {
  const pill = clockTime(now).length * 9 + 17;
  return (
    <g>
      <line x1={x} x2={x} y1={slim ? 4 : 24} y2={bottom + 3} stroke="var(--now)" strokeWidth={slim ? 2 : 3} />
      <circle cx={x} cy={bottom + 3} r={slim ? 3 : 5} fill="var(--now)" />
      {!slim && (
        <g>
          <rect x={x - pill / 2} y={1} width={pill} height={25} rx={12.5} fill="#c4360f" />
          <text x={x} y={19} fontSize={15} fontWeight={700} textAnchor="middle" className="on-bar">
            {clockTime(now)}
          </text>
        </g>
      )}
    </g>
  );
}

function describe(picture: Picture, title: string) {
  const ready = picture.labels
    .filter((l) => l.kind === 'ready')
    .map((l) => words.readyAt(l.count ?? 0, l.at ? clockTime(l.at) : ''));
  const on = picture.labels.filter((l) => l.kind === 'oven-on').map((l) => words.ovenOnAt(l.at ? clockTime(l.at) : ''));
  return [title, ...on, ...ready].join(', ');
}
