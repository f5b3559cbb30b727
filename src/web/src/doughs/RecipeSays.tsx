// What the recipe itself plans: proposals that are taken, or left one by one.
import { Checkbox } from 'antd';
import type { Schemas } from '../api/http';
import { api } from '../api/http';
import { useUnits } from '../parts/units';
import type { Reading } from './useReading';
import css from './doughs.module.css';

type Plan = Schemas['RecipePlan'];
type Lasts = Schemas['Lasts'];

const pans: Record<Schemas['PanKind'], string> = {
  loaf: 'loaf tin',
  round: 'round tin',
  rectangle: 'square tin',
  hollows: 'tin with hollows',
  tray: 'tray',
};
const steams: Record<NonNullable<Schemas['ToldSteam']>, string> = {
  none: 'none',
  tray: 'water on a hot tray',
  stones: 'stones',
  spray: 'sprayed',
};
const coolings: Record<NonNullable<Schemas['ToldCooling']>, string> = {
  rack: 'on a rack',
  cloth: 'in a cloth',
  oven: 'in the oven, switched off',
};

/** "loaf tin 23 × 13 cm". */
export function panSaid({ kind, long, wide }: Schemas['ToldPan'], length: (mm: number) => string) {
  return [pans[kind], long == null ? '' : length(long), wide == null ? '' : `× ${length(wide)}`].filter(Boolean).join(' ');
}

/** "25 to 28 min", "45 s". */
export function lasting({ from, to }: Lasts) {
  const [one, unit] = to < 120 ? [1, 's'] : [60, 'min'];
  const shown = (seconds: number) => String(Math.round(seconds / one));
  return from === to ? `${shown(to)} ${unit}` : `${shown(from)} to ${shown(to)} ${unit}`;
}

export function RecipeSays({ reading }: { reading: Reading }) {
  const { heat, length } = useUnits();
  const kitchen = api.useQuery('get', '/api/kitchen');
  const { plan, left } = reading;
  if (!plan) return null;
  const family = kitchen.data?.families.find((f) => f.id === plan.familyId)?.name ?? plan.familyId;
  const said: [keyof Plan, string, string | null][] = [
    ['pieces', 'Pieces', plan.pieces == null ? null : String(plan.pieces)],
    ['familyId', 'Shape', family ?? null],
    ['rest', 'Rest', plan.rest ? lasting(plan.rest) : null],
    ['proof', 'Second proof', plan.proof ? lasting(plan.proof) : null],
    ['boil', 'In the bath, a side', plan.boil ? lasting(plan.boil) : null],
    ['heat', 'Oven', plan.heat == null ? null : `${heat(plan.heat)}${plan.withFan ? ', fan' : ''}`],
    ['bake', 'Bake', plan.bake ? lasting(plan.bake) : null],
    ['program', 'Dough program', plan.program ? lasting(plan.program) : null],
    ['pan', 'Pan', plan.pan ? panSaid(plan.pan, length) : null],
    ['placeId', 'Stands', kitchen.data?.shelves.find((s) => s.id === plan.placeId)?.name ?? null],
    ['washId', 'Brushed with', kitchen.data?.washes.find((w) => w.id === plan.washId)?.name ?? null],
    ['steam', 'Steam', plan.steam ? steams[plan.steam] : null],
    ['cooling', 'Cools', plan.cooling ? coolings[plan.cooling] : null],
  ];
  return (
    <section aria-label="The recipe says">
      <h2 className={`small-head ${css.sectionHead}`}>The recipe says</h2>
      <div className="choices">
        {said.map(
          ([key, label, value]) =>
            value !== null && (
              <Checkbox key={key} checked={!left.includes(key)} onChange={(e) => reading.leave(key, !e.target.checked)}>
                {label} <b className="num">{value}</b>
              </Checkbox>
            ),
        )}
      </div>
    </section>
  );
}
