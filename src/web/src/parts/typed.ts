// What is typed, as numbers; a comma is as good as a point.
const asNumber = (typed: string) => Number(typed.trim().replace(',', '.'));

export const isBlank = (typed: string) => typed.trim() === '';

/** The number typed; null when nothing or no number was. */
export function typedNumber(typed: string): number | null {
  const number = asNumber(typed);
  return isBlank(typed) || !Number.isFinite(number) ? null : number;
}

/** The number typed, or this one when nothing was; NaN of what is no number, which the server refuses. */
export const typedOr = (typed: string, blank: number) => (isBlank(typed) ? blank : asNumber(typed));
