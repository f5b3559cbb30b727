// The kitchen as it is known: the machine's strip of phases, the oven with its dial, trays and tins to scale, and the night.
import type { Schemas } from '../api/http';
import { useUnits } from '../parts/units';
import { useWidth } from '../parts/useWidth';
import * as words from './words';
import css from './first.module.css';

const hues: Record<Schemas['PhaseKind'], string> = {
  warm: 'var(--lane-oven)',
  knead: 'var(--s0-alt)',
  rise: 'var(--s2-alt)',
  'knock-back': 'var(--s1-alt)',
};
const names: Record<Schemas['PhaseKind'], string> = { warm: 'still', knead: 'kneads', rise: 'rises', 'knock-back': '' };

const day = 86400;
const minute = 60;
const ink = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 2 } as const;

export function KitchenDrawn({ q }: { q: Schemas['FirstQuestionsView'] }) {
  const { heat } = useUnits();
  // Letters as large as everywhere, however wide it is.
  const [ref, wide] = useWidth<SVGSVGElement>();
  const { kitchen } = q;
  const [machine] = kitchen.machines;
  const [oven] = kitchen.ovens;
  const awake = kitchen.awake ?? q.usualDay;
  return (
    <svg
      ref={ref}
      viewBox={`0 0 ${wide || 1} 330`}
      role="img"
      aria-label={words.yourKitchenAsKnownSo}
      className={css.kitchenDrawn}
    >
      {machine && <Cycle machine={machine} wide={wide} />}
      {oven && (
        <g transform="translate(0 92)">
          <rect x={1} y={1} width={150} height={128} rx={10} {...ink} />
          <rect x={14} y={38} width={124} height={78} rx={6} fill="var(--lane-oven)" stroke="var(--line)" />
          {Array.from({ length: oven.racks ?? 1 }, (_, i) => (
            <line key={i} x1={18} x2={134} y1={104 - i * 32} y2={104 - i * 32} stroke="var(--ink)" strokeWidth={3} />
          ))}
          {oven.fan && <Fan />}
          <text x={75} y={27} textAnchor="middle" fontSize={16} fontWeight={700} fill="var(--ink)">
            {words.toHeat(heat(oven.dial.to ?? 0))}
          </text>
        </g>
      )}
      <g transform="translate(172 92)">
        <Tins tins={kitchen.tins ?? []} wide={wide - 172} />
      </g>
      <g transform="translate(172 196)">
        {kitchen.noScale ? (
          <path d="M2 2h34l-4 24h-26z M36 8c10 0 10 12 -2 12" {...ink} />
        ) : (
          <>
            <rect x={1} y={1} width={58} height={8} rx={3} {...ink} />
            <path d="M8 9h44l5 18h-54z" {...ink} />
          </>
        )}
        <text x={74} y={22} fontSize={15} fill="var(--ink)">
          {kitchen.noScale ? words.cupsAndSpoons : words.scale}
        </text>
      </g>
      <g transform="translate(0 256)">
        <rect x={0} y={0} width={wide} height={26} rx={8} fill="var(--ink)" opacity={0.75} />
        <rect
          x={(wide * awake.from) / day}
          y={0}
          width={(wide * (awake.to - awake.from)) / day}
          height={26}
          fill="var(--s0-alt)"
        />
        <text x={(wide * awake.from) / day} y={48} fontSize={15} textAnchor="middle" fill="var(--ink)">
          {awake.from / 3600}:00
        </text>
        <text x={Math.min(wide - 22, (wide * awake.to) / day)} y={48} fontSize={15} textAnchor="middle" fill="var(--ink)">
          {awake.to / 3600}:00
        </text>
        <text x={(wide * (awake.from + awake.to)) / 2 / day} y={19} fontSize={15} textAnchor="middle" fill="#17202a">
          {words.somebodyIsUp}
          {kitchen.awake ? '' : words.usually}
        </text>
      </g>
    </svg>
  );
}

function Cycle({ machine, wide }: { machine: Schemas['Machine']; wide: number }) {
  const total = machine.phases.reduce((sum, p) => sum + p.length, 0);
  const starts = machine.phases.map((_, i) => machine.phases.slice(0, i).reduce((sum, p) => sum + p.length, 0));
  return (
    <g>
      {machine.phases.map((p, i) => {
        const [x, width] = [(wide * (starts[i] ?? 0)) / total, (wide * p.length) / total];
        return (
          <g key={i}>
            <rect
              x={x}
              y={0}
              width={width}
              height={44}
              rx={8}
              style={{ fill: hues[p.kind] }}
              stroke="var(--card)"
              strokeWidth={2}
            />
            <text x={x + width / 2} y={27} textAnchor="middle" fontSize={15} fill={p.kind === 'warm' ? 'var(--ink)' : '#17202a'}>
              {width > 64 ? `${names[p.kind]} ${Math.round(p.length / minute)}` : ''}
            </text>
          </g>
        );
      })}
      <text x={0} y={68} fontSize={15} fill="var(--ink)">
        {words.minPartsAsUsual(machine.name, Math.round(total / minute))}
      </text>
    </g>
  );
}

const Fan = () => (
  <g transform="translate(122 56)" stroke="var(--ink)" strokeWidth={2} fill="none">
    <circle r={10} />
    <path d="M0 -7V7M-7 0H7" />
  </g>
);

// To one scale, side by side.
function Tins({ tins, wide }: { tins: Schemas['Tin'][]; wide: number }) {
  if (tins.length === 0)
    return (
      <text x={0} y={40} fontSize={15} fill="var(--ink)">
        {words.noTrayYetAnyWill}
      </text>
    );
  const across = tins.reduce((sum, t) => sum + t.length, 0);
  const scale = Math.min(0.2, (wide - 10 * tins.length) / across);
  const starts = tins.map((_, i) => tins.slice(0, i).reduce((sum, t) => sum + t.length * scale + 10, 0));
  return (
    <>
      {tins.map((t, i) => {
        const [from, width, height] = [starts[i] ?? 0, t.length * scale, t.width * scale];
        return t.shape === 'round' ? (
          <circle key={t.id} cx={from + width / 2} cy={92 - width / 2} r={width / 2} {...ink} />
        ) : (
          <rect
            key={t.id}
            x={from}
            y={92 - height}
            width={width}
            height={height}
            rx={t.shape === 'stone' ? 2 : 6}
            {...ink}
            fill={t.shape === 'stone' ? 'var(--line)' : 'none'}
          />
        );
      })}
    </>
  );
}
