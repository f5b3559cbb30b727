// Quantities as this household reads them. How many digits, and in what, is the server's to say.
import { readTimesAs } from '../api/clock';
import { api, type Schemas } from '../api/http';

/** Degrees are by how much warmer, a temperature is how warm. */
export type Quantity = 'mass' | 'temperature' | 'length' | 'degrees';

export function shown(unit: Schemas['ShownIn'], value: number) {
  const figure = value * unit.factor + unit.offset;
  const digits = Math.abs(figure) < unit.fine ? unit.digits + 1 : unit.digits;
  return `${Number(figure.toFixed(digits))} ${unit.name}`;
}

const plain: Schemas['UnitsView'] = {
  mass: { name: 'g', factor: 1, offset: 0, digits: 0, fine: 10, long: 'grams' },
  temperature: { name: '°C', factor: 1, offset: 0, digits: 0, fine: 0, long: '°C' },
  length: { name: 'cm', factor: 0.1, offset: 0, digits: 0, fine: 10, long: 'centimetres' },
  typed: { mass: [], temperature: [], length: [] },
  clock: 'twenty-four',
};

export function useUnits() {
  const { data } = api.useQuery('get', '/api/kitchen');
  const units = data?.units ?? plain;
  readTimesAs(units.clock, data?.zone);
  return {
    mass: (grams: number) => shown(units.mass, grams),
    heat: (celsius: number) => shown(units.temperature, celsius),
    length: (millimetres: number) => shown(units.length, millimetres),
    shown: { ...units, degrees: { ...units.temperature, offset: 0 } },
    typed: { ...units.typed, degrees: [] as Schemas['ShownIn'][] },
    /** What a length is typed in, and its millimetres. */
    lengthUnit: units.length.name,
    millimetres: (typed: number) => (typed - units.length.offset) / units.length.factor,
  };
}

export const percent = (share: number, digits = 1) => `${(share * 100).toFixed(digits)} %`;

export const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);
