// The kitchen: what there is to bake with. Everything here is used somewhere, and keeps itself.
import { Checkbox, Input, Select } from 'antd';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { api, newId, type Schemas } from '../api/http';
import { Choice } from '../parts/Choice';
import { Field } from '../parts/Field';
import { Loading } from '../parts/Loading';
import { MachineCard } from './MachineCard';
import { Num } from './Num';
import { useKitchen, type Kitchen } from './save';
import { TinPicture } from './TinPicture';

export default function KitchenPage() {
  const { data, error } = api.useQuery('get', '/api/kitchen/setup', undefined, { staleTime: Infinity, gcTime: 0 });
  const choices = api.useQuery('get', '/api/kitchen');
  if (!data || !choices.data) return <Loading error={error ?? choices.error} />;
  return <Editor first={data} families={choices.data.families} steps={choices.data.scaleSteps} />;
}

const said = {
  kept: 'Kept',
  typing: '…',
  refused: 'Not kept: see below',
  away: 'The kitchen server does not answer; not kept yet',
};

function Editor({
  first,
  families,
  steps,
}: {
  first: Kitchen;
  families: Schemas['FamilyView'][];
  steps: Schemas['ScaleStepView'][];
}) {
  const { kitchen: k, change, problems, state } = useKitchen(first);
  const units = { mass: 'grams', temperature: 'celsius', length: 'metric', ...k.units } as const;
  const prices = k.prices ?? { perKilowattHour: 0, shop: [] };
  const num = (
    label: string,
    at: string,
    value: number | null | undefined,
    set: (v: number | null) => void,
    times = 1,
    empty = false,
  ) => <Num label={label} at={at} value={value} set={set} problems={problems} times={times} empty={empty} />;
  // Hours of every day, or none.
  const hours = (at: 'awake' | 'machinesRun', label: string, from: string, usual: Schemas['OpenHours']) => {
    const open = k[at];
    return (
      <div className="kit">
        <Checkbox
          checked={open != null}
          onChange={(e) => change({ [at]: e.target.checked ? { from: usual.from * hour, to: usual.to * hour } : null })}
        >
          {label}
        </Checkbox>
        {open && (
          <>
            {num(from, at, open.from / hour, (v) => change({ [at]: { ...open, from: (v ?? usual.from) * hour } }))}
            {num('until, h', `${at}.to`, open.to / hour, (v) => change({ [at]: { ...open, to: (v ?? usual.to) * hour } }))}
          </>
        )}
      </div>
    );
  };
  // A list of things: change one, take one away, add one.
  function list<T extends { id: string }>(things: T[], set: (things: T[]) => void) {
    return {
      put: (i: number, to: Partial<T>) => set(things.map((t, j) => (j === i ? { ...t, ...to } : t))),
      drop: (i: number) => set(things.filter((_, j) => j !== i)),
      add: (thing: T) => set([...things, thing]),
    };
  }
  const machines = list(k.machines, (m) => change({ machines: m }));
  const ovens = list(k.ovens, (o) => change({ ovens: o }));
  const tins = list(k.tins ?? [], (t) => change({ tins: t }));
  const places = list(k.places ?? [], (p) => change({ places: p }));
  const vessels = list(k.vessels ?? [], (v) => change({ vessels: v }));
  const name = (at: string, value: string, set: (v: string) => void, label = 'Name') => (
    <Field id={at.replace(/[^\w]/g, '-')} label={label} problem={problems.find((p) => p.field === at)?.reason}>
      <Input id={at.replace(/[^\w]/g, '-')} value={value} onChange={(e) => set(e.target.value)} />
    </Field>
  );
  const seasons = k.seasons ?? { winter: k.room, spring: k.room, summer: k.room, autumn: k.room };

  return (
    <>
      <div className="book-head">
        <h1>Kitchen</h1>
        <span role="status" className={state === 'refused' || state === 'away' ? 'late' : 'muted'}>
          {said[state]}
        </span>
        <Link className="button" to="/kitchen/pantry" style={{ marginLeft: 'auto' }}>
          Pantry and prices
        </Link>
      </div>

      <Section title="The household">
        <div className="kit">
          {name('name', k.name, (v) => change({ name: v }))}
          {(['winter', 'spring', 'summer', 'autumn'] as const).map((s) => (
            <div key={s}>
              {num(`${s[0]?.toUpperCase()}${s.slice(1)}, °C`, `seasons.${s}`, seasons[s], (v) =>
                change({ seasons: { ...seasons, [s]: v ?? 20 } }),
              )}
            </div>
          ))}
          {num('Above the sea, m', 'altitude', k.altitude ?? 0, (v) => change({ altitude: v }), 1000)}
        </div>
        {hours('awake', 'Nothing to do at night', 'Up from, h', { from: 6, to: 22 })}
        {hours('machinesRun', 'Quiet hours: no machine runs', 'Machines from, h', { from: 7, to: 22 })}
        <div className="kit">
          <Choice
            label="Mass"
            value={units.mass}
            options={[
              ['grams', 'grams'],
              ['ounces', 'ounces'],
            ]}
            set={(mass) => change({ units: { ...units, mass } })}
          />
          <Choice
            label="Heat"
            value={units.temperature}
            options={[
              ['celsius', '°C'],
              ['fahrenheit', '°F'],
            ]}
            set={(temperature) => change({ units: { ...units, temperature } })}
          />
          <Choice
            label="Length"
            value={units.length}
            options={[
              ['metric', 'cm'],
              ['inches', 'inches'],
            ]}
            set={(length) => change({ units: { ...units, length } })}
          />
        </div>
      </Section>

      <Section title="Machines">
        {k.machines.map((m, i) => (
          <MachineCard
            key={m.id}
            machine={m}
            at={`machines[${i}]`}
            problems={problems}
            put={(to) => machines.put(i, to)}
            drop={() => machines.drop(i)}
          />
        ))}
        <button
          className="button quiet"
          onClick={() =>
            machines.add({
              id: newId(),
              name: 'Another machine',
              flourLimit: 500,
              doughLimit: 900,
              program: 'dough',
              phases: [
                { kind: 'knead', length: 1500 },
                { kind: 'rise', length: 3600 },
              ],
              display: 'countdown',
              loadOrder: 'liquids-first',
              beep: null,
              paddles: 1,
              pulled: false,
              kneadingWarms: 4,
              otherPrograms: [],
              panEmpty: null,
              byHand: false,
              bought: null,
            })
          }
        >
          Add a machine
        </button>
      </Section>

      <Section title="Ovens">
        {k.ovens.map((o, i) => {
          const at = `ovens[${i}]`;
          return (
            <div className="kit line" key={o.id}>
              {name(`${at}.name`, o.name, (v) => ovens.put(i, { name: v }))}
              {num('Dial from, °C', `${at}.dial`, o.dial.from, (v) => ovens.put(i, { dial: { ...o.dial, from: v ?? 50 } }))}
              {num('to, °C', `${at}.dial.to`, o.dial.to, (v) => ovens.put(i, { dial: { ...o.dial, to: v ?? 250 } }))}
              {num('Heats, °C a min', `${at}.degreesPerMinute`, o.degreesPerMinute, (v) =>
                ovens.put(i, { degreesPerMinute: v ?? 10 }),
              )}
              {num('Cools, °C a min', `${at}.coolsPerMinute`, o.coolsPerMinute, (v) => ovens.put(i, { coolsPerMinute: v ?? 4 }))}
              {num('Inside wide, cm', `${at}.wide`, o.wide ?? null, (v) => ovens.put(i, { wide: v }), 10)}
              {num('deep, cm', `${at}.deep`, o.deep ?? null, (v) => ovens.put(i, { deep: v }), 10)}
              {num('Racks', `${at}.racks`, o.racks, (v) => ovens.put(i, { racks: Math.round(v ?? 1) }))}
              <Field id={`${at}-marks`} label="Dial marked">
                <Select
                  id={`${at}-marks`}
                  value={o.marks ?? 'celsius5'}
                  onChange={(marks) => ovens.put(i, { marks })}
                  options={marks.map(([value, label]) => ({ value, label }))}
                />
              </Field>
              <Checkbox checked={o.fan ?? false} onChange={(e) => ovens.put(i, { fan: e.target.checked })}>
                with fan
              </Checkbox>
              <Drop what={o.name} drop={() => ovens.drop(i)} />
            </div>
          );
        })}
        <Wrong problems={problems} field="ovens" />
        <button
          className="button quiet"
          onClick={() =>
            ovens.add({
              id: newId(),
              name: 'Another oven',
              dial: { from: 50, to: 250 },
              degreesPerMinute: 10,
              coolsPerMinute: 4,
              racks: 1,
              fan: false,
            })
          }
        >
          Add an oven
        </button>
      </Section>

      <Section title="Trays and tins">
        {(k.tins ?? []).map((t, i) => {
          const at = `tins[${i}]`;
          return (
            <div className="kit line tin" key={t.id}>
              <TinPicture tin={t} />
              {name(`${at}.name`, t.name, (v) => tins.put(i, { name: v }))}
              <Field id={`${at}-shape`} label="Shape">
                <Select
                  id={`${at}-shape`}
                  value={t.shape}
                  onChange={(shape) => tins.put(i, { shape })}
                  options={shapes.map(([value, label]) => ({ value, label }))}
                />
              </Field>
              {num(
                t.shape === 'round' ? 'Across, cm' : 'Length, cm',
                `${at}.length`,
                t.length,
                (v) => tins.put(i, t.shape === 'round' ? { length: v ?? 240, width: v ?? 240 } : { length: v ?? 240 }),
                10,
              )}
              {t.shape !== 'round' && num('Width, cm', `${at}.width`, t.width, (v) => tins.put(i, { width: v ?? 240 }), 10)}
              {t.shape === 'loaf' && num('Depth, cm', `${at}.depth`, t.depth, (v) => tins.put(i, { depth: v }), 10)}
              {(t.shape === 'hollows' || t.shape === 'channels') &&
                num(t.shape === 'hollows' ? 'Hollows' : 'Channels', `${at}.count`, t.count, (v) =>
                  tins.put(i, { count: Math.round(v ?? 1) }),
                )}
              {t.shape === 'hollows' &&
                num('mL each', `${at}.hollowVolume`, t.hollowVolume, (v) => tins.put(i, { hollowVolume: v }))}
              <Drop what={t.name} drop={() => tins.drop(i)} />
            </div>
          );
        })}
        <button
          className="button quiet"
          onClick={() =>
            tins.add({
              id: newId(),
              name: 'Another tray',
              shape: 'tray',
              length: 400,
              width: 300,
              depth: null,
              count: 1,
              hollowVolume: null,
            })
          }
        >
          Add a tray or tin
        </button>
      </Section>

      <Section title="Pot, scale, hob and bowls">
        <div className="kit">
          {name('pot.name', k.pot.name, (v) => change({ pot: { ...k.pot, name: v } }), 'Pot')}
          {num('Pot across, cm', 'pot.across', k.pot.across, (v) => change({ pot: { ...k.pot, across: v ?? 260 } }), 10)}
          {num('Filled with, litres', 'pot.litres', k.pot.litres, (v) => change({ pot: { ...k.pot, litres: v ?? 2.5 } }))}
          <Field id="scale-step" label="Scale shows steps of" problem={problems.find((p) => p.field === 'scaleStep')?.reason}>
            <Select
              id="scale-step"
              value={k.noScale ? 0 : (k.scaleStep ?? steps[0]?.step)}
              onChange={(g) => change(g === 0 ? { noScale: true } : { noScale: false, scaleStep: g })}
              options={[...steps.map((s) => ({ value: s.step, label: s.name })), { value: 0, label: 'no scale' }]}
            />
          </Field>
          {num('Leave alone, g', 'tolerance', k.tolerance?.least ?? 2, (v) =>
            change({ tolerance: { least: v ?? 2, part: k.tolerance?.part ?? 0.03 } }),
          )}
          {num('or, %', 'tolerance', (k.tolerance?.part ?? 0.03) * 100, (v) =>
            change({ tolerance: { least: k.tolerance?.least ?? 2, part: (v ?? 3) / 100 } }),
          )}
          {num('Hob, W', 'hob', k.hob ?? 1800, (v) => change({ hob: v }))}
          {num('Microwave, W', 'microwave', k.microwave ?? 800, (v) => change({ microwave: v }))}
        </div>
        {(k.vessels ?? []).map((v, i) => (
          <div className="kit line" key={v.id}>
            {name(`vessels[${i}].name`, v.name, (n) => vessels.put(i, { name: n }))}
            {num('Empty, g', `vessels[${i}].empty`, v.empty, (g) => vessels.put(i, { empty: g ?? 1 }))}
            <Drop what={v.name} drop={() => vessels.drop(i)} />
          </div>
        ))}
        <button className="button quiet" onClick={() => vessels.add({ id: newId(), name: 'Another bowl', empty: 400 })}>
          Add a bowl
        </button>
      </Section>

      <Section title="Places to proof, and the griddle">
        {(k.places ?? []).map((p, i) => (
          <div className="kit line" key={p.id}>
            {name(`places[${i}].name`, p.name, (n) => places.put(i, { name: n }), 'The dough is …')}
            {num('Steady at, °C', `places[${i}].steady`, p.steady ?? 26, (v) => places.put(i, { steady: v ?? 26 }))}
            {num('Trays at once', `places[${i}].trays`, p.trays ?? null, (v) => places.put(i, { trays: v }), 1, true)}
            <Drop what={p.name} drop={() => places.drop(i)} />
          </div>
        ))}
        <button
          className="button quiet"
          onClick={() =>
            places.add({ id: newId(), name: 'on another shelf', inOven: false, steady: 26, overRoom: 0, fallsIn: null })
          }
        >
          Add a place
        </button>
        <div className="kit">
          <Checkbox
            checked={k.griddle != null}
            onChange={(e) =>
              change({
                griddle: e.target.checked
                  ? {
                      id: 'griddle',
                      name: 'Griddle',
                      shape: 'tray',
                      length: 400,
                      width: 260,
                      depth: null,
                      count: 1,
                      hollowVolume: null,
                    }
                  : null,
              })
            }
          >
            a griddle
          </Checkbox>
          {k.griddle && (
            <>
              {num(
                'Griddle long, cm',
                'griddle.length',
                k.griddle.length,
                (v) => k.griddle && change({ griddle: { ...k.griddle, length: v ?? 400 } }),
                10,
              )}
              {num(
                'Griddle wide, cm',
                'griddle.width',
                k.griddle.width,
                (v) => k.griddle && change({ griddle: { ...k.griddle, width: v ?? 260 } }),
                10,
              )}
            </>
          )}
        </div>
      </Section>

      <Section title="Prices">
        <div className="kit">
          {num('Electricity, a kWh', 'prices.perKilowattHour', prices.perKilowattHour, (v) =>
            change({ prices: { ...prices, perKilowattHour: v ?? 0 } }),
          )}
          {families.map((f) => (
            <div key={f.id}>
              {num(
                `The shop: ${f.name}`,
                `prices.shop.${f.id}`,
                prices.shop.find((p) => p.familyId === f.id)?.each,
                (v) => {
                  const others = prices.shop.filter((p) => p.familyId !== f.id);
                  change({ prices: { ...prices, shop: v === null ? others : [...others, { familyId: f.id, each: v }] } });
                },
                1,
                true,
              )}
            </div>
          ))}
        </div>
        <Wrong problems={problems} field="prices.shop" />
      </Section>
    </>
  );
}

const hour = 3600;

const shapes: [Schemas['TinShape'], string][] = [
  ['tray', 'tray'],
  ['round', 'round tin'],
  ['rectangle', 'square tin'],
  ['loaf', 'loaf tin'],
  ['hollows', 'many hollows'],
  ['channels', 'channels'],
  ['stone', 'baking stone'],
];

const marks: [Schemas['DialMarks'], string][] = [
  ['celsius5', 'every 5 °C'],
  ['fahrenheit5', 'every 5 °F'],
  ['fahrenheit25', 'every 25 °F'],
];

function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="card kitchen-section" aria-label={title}>
      <h2>{title}</h2>
      {children}
    </section>
  );
}

export function Drop({ what, drop }: { what: string; drop: () => void }) {
  return (
    <button className="button small" aria-label={`Remove ${what}`} onClick={drop}>
      ×
    </button>
  );
}

function Wrong({ problems, field }: { problems: Schemas['ProblemView'][]; field: string }) {
  return problems
    .filter((p) => p.field === field)
    .map((p) => (
      <p className="problem" role="alert" key={p.field}>
        {p.reason}
      </p>
    ));
}
