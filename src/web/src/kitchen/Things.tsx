// The kitchen with all that is in it, each thing as it is: machines as strips of what happens when, ovens, trays and tins to one
// scale, the worktop, the places where dough rises, the night.
import { use, type ReactNode } from 'react';
import { span } from '../api/clock';
import { api, newId, type Schemas } from '../api/http';
import { useUnits } from '../parts/units';
import { Problems } from './form';
import type { Part } from './KitchenPage';
import { risesAs } from './Learned';
import { TinPicture } from './TinPicture';
import * as words from './words';
import css from './kitchen.module.css';

type Props = Part & { choices: Schemas['KitchenView']; touched: string; touch: (thing: string) => void };

export function Things({ k, usual, change, choices, touched, touch }: Props) {
  const { mass, heat } = useUnits();
  const thing = (name: string, at: string) => ({ isOpen: touched === name, at, touch: () => touch(name) });
  // One more of a list, as is usual, and its fields open.
  const more = (kind: string, what: string, put: (id: string) => void) => (
    <button
      className={css.more}
      aria-label={words.add(what)}
      onClick={() => {
        const id = newId();
        put(id);
        touch(`${kind}:${id}`);
      }}
    >
      +
    </button>
  );
  const [machines, ovens, tins, places] = [k.machines, k.ovens, k.tins ?? [], k.places ?? []];
  const awake = k.awake ?? usual.awake;
  const learned = api.useQuery('get', '/api/kitchen/learned');
  // What has to be made warm first is no place of the kitchen's.
  const shelves = choices.shelves.filter((p) => p.made == null);
  return (
    <section className={`card ${css.things}`} aria-label={words.whatIsInIt}>
      <div className={css.machines}>
        {machines.map((m, i) => (
          <Thing key={m.id} {...thing(`machine:${m.id}`, `machines[${i}]`)} name={m.name} className={css.wide}>
            <span>
              <b>{m.name}</b> <span className="muted">{words.upToFlour(mass(m.flourLimit), m.program)}</span>
            </span>
            <Cycle machine={m} />
          </Thing>
        ))}
        {more('machine', words.aMachine, (id) => change({ machines: [...machines, { ...usual.machine, id }] }))}
      </div>
      <div className={css.baking}>
        <div className={css.ovens}>
          {ovens.map((o, i) => (
            <Thing key={o.id} {...thing(`oven:${o.id}`, `ovens[${i}]`)} name={o.name}>
              <OvenDrawn oven={o} />
              <span>
                <b>{o.name}</b> {words.toHeat(heat(o.dial.to ?? 0))}
              </span>
            </Thing>
          ))}
          {more('oven', words.anOven, (id) => change({ ovens: [...ovens, { ...usual.oven, id }] }))}
        </div>
        <div className={css.tins}>
          {tins.map((t, i) => (
            <Thing key={t.id} {...thing(`tin:${t.id}`, `tins[${i}]`)} name={t.name}>
              <TinPicture tin={t} />
              {t.name}
            </Thing>
          ))}
          {more('tin', words.aTrayOrTin, (id) => change({ tins: [...tins, { ...usual.tin, id }] }))}
        </div>
      </div>
      <div className={css.row}>
        {worktop.map(({ name, label, at, drawn }) => (
          <Thing key={name} {...thing(name, at)} name={label}>
            <svg viewBox="0 0 60 36" width={60} height={36} aria-hidden="true" className={css.ink}>
              {name === 'scale' && k.noScale ? cups : drawn}
            </svg>
            {name === 'scale' && k.noScale ? words.cupsAndSpoons : name === 'griddle' && !k.griddle ? words.noGriddle : label}
          </Thing>
        ))}
      </div>
      <div className={css.row}>
        {shelves.map((p) => {
          const own = places.findIndex((q) => q.id === p.id);
          const degrees = p.steady ?? choices.room + p.overRoom;
          const warm = { background: warmth(degrees) };
          return (
            <Thing key={p.id} {...thing(`place:${p.id}`, `places[${own}]`)} name={words.whereItRises(p.name)} style={warm}>
              <span>
                <b>{p.name}</b> {heat(degrees)}
                <small>{risesAs(learned.data?.places.find((l) => l.id === p.id))}</small>
              </span>
            </Thing>
          );
        })}
        {more('place', words.aPlaceToRise, (id) => change({ places: [...places, { ...usual.place, id }] }))}
      </div>
      <Thing {...thing('night', 'awake')} name={words.nightAndQuietHours} className={css.wide}>
        <Hours awake={awake} known={k.awake != null} />
      </Thing>
      <div className={css.row}>
        <Thing {...thing('household', 'name')} name={words.householdAndUnits}>
          <b>{k.name}</b>
          {words.roomsAndUnits}
        </Thing>
        <Thing {...thing('prices', 'prices')} name={words.prices}>
          {words.prices}
        </Thing>
        <Thing {...thing('phones', '-')} name={words.phonesAndTablets}>
          {words.phonesAndTablets}
        </Thing>
        <Thing {...thing('kept', '-')} name={words.whereYourBreadIsKept}>
          {words.whereYourBreadIsKept}
        </Thing>
      </div>
    </section>
  );
}

// Something to touch; what the server refused of it shows on it.
function Thing({
  isOpen,
  at,
  touch,
  name,
  className = '',
  style,
  children,
}: {
  isOpen: boolean;
  at: string;
  touch: () => void;
  name: string;
  className?: string | undefined;
  style?: { background: string };
  children: ReactNode;
}) {
  const isWrong = use(Problems).some((p) => p.field.startsWith(at));
  return (
    <button
      className={`${css.thing} ${isWrong ? css.wrong : ''} ${className}`}
      style={style}
      aria-pressed={isOpen}
      aria-label={isWrong ? words.notKept(name) : name}
      onClick={touch}
    >
      {children}
    </button>
  );
}

const hues: Record<Schemas['PhaseKind'], [string, string]> = {
  warm: [words.standsStill, 'var(--lane-oven)'],
  knead: ['kneads', 'var(--s0-alt)'],
  rise: ['rises', 'var(--s2-alt)'],
  'knock-back': [words.knocksBack, 'var(--s1-alt)'],
};
const minute = 60;

function Cycle({ machine: { phases, beep } }: { machine: Schemas['Machine'] }) {
  const total = phases.reduce((sum, p) => sum + p.length, 0);
  const kneads = phases.findIndex((p) => p.kind === 'knead');
  return (
    <span className={css.cycle}>
      {phases.map((p, i) => (
        <span key={i} style={{ flexGrow: p.length, background: hues[p.kind][1] }} className={p.kind === 'warm' ? css.warm : ''}>
          <span>
            <b>{hues[p.kind][0]}</b> {Math.round(p.length / minute)}
            {i === kneads && beep != null && <small> {words.beepAt(Math.round(beep / minute))}</small>}
          </span>
        </span>
      ))}
      <span className={css.total}>{span(total * 1000)}</span>
    </span>
  );
}

function OvenDrawn({ oven: { racks, fan } }: { oven: Schemas['Oven'] }) {
  const count = Math.max(1, Math.min(6, racks ?? 1));
  const gap = 66 / (count + 1);
  return (
    <svg viewBox="0 0 150 126" width={108} height={91} aria-hidden="true" className={css.ink}>
      <rect x={1.5} y={1.5} width={147} height={123} rx={10} />
      <circle cx={22} cy={19} r={10} />
      <path d="M22 19l5 -6" stroke="var(--now)" strokeWidth={3} />
      <rect x={12} y={38} width={126} height={78} rx={6} className="in-oven" />
      {Array.from({ length: count }, (_, i) => (
        <path key={i} d={`M16 ${48 + gap * (i + 1)}H134`} strokeWidth={3} />
      ))}
      {fan && <path d="M128 12v14M121 19h14M123 14l10 10M133 14l-10 10" />}
    </svg>
  );
}

const cups = <path d="M6 8h30l-4 24h-22zM36 12c12 0 12 12 -2 12" />;
const worktop: { name: string; label: string; at: string; drawn: ReactNode }[] = [
  { name: 'scale', label: words.scale, at: 'scaleStep', drawn: <path d="M6 8h48v7h-48zM12 15h36l5 17h-46zM24 22h12v5h-12z" /> },
  {
    name: 'pot',
    label: words.potAndHob,
    at: 'pot',
    drawn: <path d="M10 12h40v16q0 5 -6 5h-28q-6 0 -6 -5zM4 16h6M50 16h6M8 12h44M26 8h8" />,
  },
  { name: 'griddle', label: words.griddle, at: 'griddle', drawn: <path d="M4 14h40q0 12 -8 12h-24q-8 0 -8 -12zM44 16h14" /> },
  {
    name: 'ring',
    label: words.ring,
    at: 'ring',
    drawn: <path d="M14 12v12q0 6 16 6t16 -6v-12M14 12a16 6 0 1 0 32 0a16 6 0 1 0 -32 0" />,
  },
  { name: 'bowls', label: words.bowls, at: 'vessels', drawn: <path d="M6 10h48q0 22 -24 22t-24 -22z" /> },
];

// The warmer, the redder.
const warmth = (celsius: number) =>
  celsius < 10 ? 'var(--lane-machine)' : celsius < 22 ? 'var(--lane-proof)' : celsius < 27 ? 'var(--lane-oven)' : 'var(--heat)';

const hour = 3600;
const day = 24 * hour;
const clock = (seconds: number) => `${Math.floor(seconds / hour)}:${String(Math.round((seconds % hour) / 60)).padStart(2, '0')}`;

function Hours({ awake, known }: { awake: Schemas['OpenHours']; known: boolean }) {
  const up = awake.from < awake.to ? awake.to - awake.from : day - awake.from + awake.to;
  return (
    <span className={css.hours}>
      <span style={{ flexGrow: awake.from }}>{words.until(clock(awake.from))}</span>
      <span style={{ flexGrow: up }} className={css.up}>
        {known ? words.handsToBeHad : words.somebodyIsUpUsual}
      </span>
      <span style={{ flexGrow: day - awake.to }}>{words.fromClock(clock(awake.to))}</span>
    </span>
  );
}
