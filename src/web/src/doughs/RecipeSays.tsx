// What the recipe itself plans: proposals that are taken, or left one by one.
import { Checkbox } from 'antd';
import type { Schemas } from '../api/http';
import { api } from '../api/http';
import { useUnits } from '../parts/units';
import type { Reading } from './useReading';
import * as words from './words';
import css from './doughs.module.css';

type Plan = Schemas['RecipePlan'];
type Lasts = Schemas['Lasts'];

const pans: Record<Schemas['PanKind'], string> = {
  loaf: words.loafTin,
  round: words.roundTin,
  rectangle: words.squareTin,
  hollows: words.tinWithHollows,
  tray: 'tray',
};
const steams: Record<NonNullable<Schemas['ToldSteam']>, string> = {
  none: 'none',
  tray: words.waterOnAHotTray,
  stones: 'stones',
  spray: 'sprayed',
};
const coolings: Record<NonNullable<Schemas['ToldCooling']>, string> = {
  rack: words.onARack,
  cloth: words.inACloth,
  oven: words.inTheOvenSwitchedOff,
};

/** "loaf tin 23 × 13 cm". */
export function panSaid({ kind, long, wide }: Schemas['ToldPan'], length: (mm: number) => string) {
  return [pans[kind], long == null ? '' : length(long), wide == null ? '' : `× ${length(wide)}`].filter(Boolean).join(' ');
}

/** "25 to 28 min", "45 s". */
export function lasting({ from, to }: Lasts) {
  const [one, unit] = to < 120 ? [1, 's'] : [60, 'min'];
  const shown = (seconds: number) => String(Math.round(seconds / one));
  return from === to ? `${shown(to)} ${unit}` : words.fromTo(shown(from), shown(to), unit);
}

export function RecipeSays({ reading }: { reading: Reading }) {
  const { heat, length } = useUnits();
  const kitchen = api.useQuery('get', '/api/kitchen');
  const { plan, left } = reading;
  if (!plan) return null;
  const family = kitchen.data?.families.find((f) => f.id === plan.familyId)?.name ?? plan.familyId;
  const said: [keyof Plan, string, string | null][] = [
    ['pieces', words.pieces, plan.pieces == null ? null : String(plan.pieces)],
    ['familyId', words.shape, family ?? null],
    ['rest', words.rest, plan.rest ? lasting(plan.rest) : null],
    ['proof', words.secondProof, plan.proof ? lasting(plan.proof) : null],
    ['boil', words.inTheBathASide, plan.boil ? lasting(plan.boil) : null],
    ['heat', words.oven, plan.heat == null ? null : plan.withFan ? words.withFan(heat(plan.heat)) : heat(plan.heat)],
    ['bake', words.bake, plan.bake ? lasting(plan.bake) : null],
    ['program', words.doughProgram, plan.program ? lasting(plan.program) : null],
    ['pan', words.pan, plan.pan ? panSaid(plan.pan, length) : null],
    ['placeId', words.stands, kitchen.data?.shelves.find((s) => s.id === plan.placeId)?.name ?? null],
    ['washId', words.brushedWith, kitchen.data?.washes.find((w) => w.id === plan.washId)?.name ?? null],
    ['steam', words.steam, plan.steam ? steams[plan.steam] : null],
    ['cooling', words.cools, plan.cooling ? coolings[plan.cooling] : null],
  ];
  return (
    <section aria-label={words.theRecipeSays}>
      <h2 className={`small-head ${css.sectionHead}`}>{words.theRecipeSays}</h2>
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
