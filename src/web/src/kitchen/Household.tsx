// The household: its rooms through the year, its hours, and what it reads.
import { Select } from 'antd';
import { Choice } from '../parts/Choice';
import { Field } from '../parts/Field';
import type { Schemas } from '../api/http';
import { Name, Num, Section, Tick } from './form';
import { capital } from '../parts/units';
import type { Part } from './KitchenPage';
import * as words from './words';
import css from './kitchen.module.css';

const hour = 3600;
const metre = 1000;
const zones = Intl.supportedValuesOf('timeZone').map((z) => ({ value: z, label: z.replaceAll('_', ' ') }));
const seasons = ['winter', 'spring', 'summer', 'autumn'] as const;

export function Household(part: Part) {
  const { k, usual, change } = part;
  const rooms = k.seasons ?? usual.seasons;
  return (
    <Section title={words.theHousehold} usedBy={words.howFastDoughRisesAt}>
      <div className={css.kit}>
        <Name at="name" value={k.name} set={(name) => change({ name })} />
        {seasons.map((s) => (
          <Num
            key={s}
            label={capital(s)}
            of="temperature"
            at={`seasons.${s}`}
            value={rooms[s]}
            usual={k.seasons ? null : rooms[s]}
            set={(v) => change({ seasons: { ...rooms, [s]: v } })}
          />
        ))}
        <Num
          label={words.aboveTheSeaM}
          at="altitude"
          value={k.altitude ?? usual.altitude}
          set={(altitude) => change({ altitude })}
          times={metre}
        />
      </div>
      <WhatIsRead {...part} />
    </Section>
  );
}

export function Night({ k, usual, change }: Part) {
  return (
    <Section title={words.nightAndQuietHours} usedBy={words.theDayWhichWakesNobody}>
      <Hours at="awake" hours={k.awake} usual={usual.awake} from={words.upFromH} set={(awake) => change({ awake })}>
        {words.nothingToDoAtNight}
      </Hours>
      <Hours
        at="machinesRun"
        hours={k.machinesRun}
        usual={usual.machinesRun}
        from={words.machinesFromH}
        set={(machinesRun) => change({ machinesRun })}
      >
        {words.quietHoursNoMachineRuns}
      </Hours>
    </Section>
  );
}

type Open = Schemas['OpenHours'];

// Hours of every day, or none.
function Hours({
  at,
  hours,
  usual,
  from,
  set,
  children,
}: {
  at: string;
  hours: Open | null | undefined;
  usual: Open;
  from: string;
  set: (hours: Open | null) => void;
  children: string;
}) {
  return (
    <div className={css.kit}>
      <Tick on={hours != null} set={(on) => set(on ? usual : null)}>
        {children}
      </Tick>
      {hours && (
        <>
          <Num label={from} at={at} value={hours.from} set={(v) => set({ ...hours, from: v })} times={hour} />
          <Num label={words.untilH} at={`${at}.to`} value={hours.to} set={(v) => set({ ...hours, to: v })} times={hour} />
        </>
      )}
    </div>
  );
}

function WhatIsRead({ k, usual, change }: Part) {
  const units = { ...usual.units, ...k.units } as Required<Schemas['HouseholdUnits']>;
  const set = (to: Partial<typeof units>) => change({ units: { ...units, ...to } });
  return (
    <div className={css.kit}>
      <Choice
        label={words.mass}
        value={units.mass}
        options={[
          ['grams', 'grams'],
          ['ounces', 'ounces'],
        ]}
        set={(mass) => set({ mass })}
      />
      <Choice
        label={words.heat}
        value={units.temperature}
        options={[
          ['celsius', '°C'],
          ['fahrenheit', '°F'],
        ]}
        set={(temperature) => set({ temperature })}
      />
      <Choice
        label={words.length}
        value={units.length}
        options={[
          ['metric', 'cm'],
          ['inches', 'inches'],
        ]}
        set={(length) => set({ length })}
      />
      <Choice
        label={words.clock}
        value={units.clock ?? 'twenty-four'}
        options={[
          ['twenty-four', '24 h'],
          ['twelve', words.amPm],
        ]}
        set={(clock) => set({ clock })}
      />
      <Field id="zone" label={words.timeZone}>
        <Select
          id="zone"
          showSearch
          value={k.zone ?? ''}
          onChange={(zone) => change({ zone: zone || null })}
          options={[{ value: '', label: words.asEachScreenSays }, ...zones]}
        />
      </Field>
    </div>
  );
}
