// What is typed, as numbers: a comma is as good as a point, fractions and units are understood.
import type { Schemas } from '../api/http';

type Unit = Schemas['ShownIn'];

const signs: Record<string, number> = { '¼': 1 / 4, '½': 1 / 2, '¾': 3 / 4, '⅓': 1 / 3, '⅔': 2 / 3, '⅛': 1 / 8 };
const withFraction =
  /^(?:(?<whole>\d+)\s*(?:\s|(?=[¼½¾⅓⅔⅛])))?(?:(?<top>\d+)\s*\/\s*(?<under>[1-9]\d*)|(?<sign>[¼½¾⅓⅔⅛]))\s*(?<unit>\D*)$/;
const plain = /^(?<figure>-?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*(?<unit>[^\d.,]*)$/;

const asNumber = (typed: string) => Number(typed.trim().replace(',', '.'));

export const isBlank = (typed: string) => typed.trim() === '';

/** The figure typed and the unit behind it; null when it is no number. */
export function figureTyped(typed: string): { figure: number; unit: string } | null {
  const text = typed.trim();
  const fraction = withFraction.exec(text)?.groups;
  if (fraction) {
    const part = fraction.sign ? (signs[fraction.sign] ?? 0) : Number(fraction.top) / Number(fraction.under);
    return { figure: Number(fraction.whole ?? 0) + part, unit: (fraction.unit ?? '').trim() };
  }
  const number = plain.exec(text)?.groups;
  return number ? { figure: asNumber(number.figure ?? ''), unit: (number.unit ?? '').trim() } : null;
}

const bare = (unit: string) => unit.toLowerCase().replace(/[°.\s]/g, '');

/** What is typed in a unit, in ours: in the unit behind it, where there is one. Null when it is not understood. */
export function typedIn(typed: string, unit: Unit | null, others: Unit[] = []): number | null {
  const found = figureTyped(typed);
  if (!found) return null;
  const named =
    found.unit === '' ? unit : [unit, ...others].find((u) => u && [u.name, u.long].map(bare).includes(bare(found.unit)));
  if (named === undefined) return null;
  return named === null ? found.figure : (found.figure - named.offset) / named.factor;
}

/** The number typed; null when nothing or no number was. */
function typedNumber(typed: string): number | null {
  return figureTyped(typed)?.figure ?? null;
}

/** The number typed, or this one when nothing was; NaN of what is no number, which the server refuses. */
export const typedOr = (typed: string, blank: number) => (isBlank(typed) ? blank : (typedNumber(typed) ?? Number.NaN));
