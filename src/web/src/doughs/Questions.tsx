// Everything a recipe leaves open, in one list above its lines: a heading that says nothing, two amounts that differ.
import { useUnits } from '../parts/units';
import type { Reading, Whereto } from './useReading';

const places: [Whereto, string][] = [
  ['dough', 'the dough'],
  ['topping', 'on top'],
  ['filling', 'inside'],
  ['bath', 'the bath'],
  ['not-mine', 'not mine'],
];

export function Questions({ reading }: { reading: Reading }) {
  const { mass } = useUnits();
  const { open, openHeadings, found, fix } = reading;
  const two = open.filter((p) => found(p).instead !== null);
  if (openHeadings.length + two.length === 0) return null;
  return (
    <ul className="lines questions" aria-label="To be told">
      {openHeadings.map(({ section, name }) => (
        <li key={section}>
          <span>What is “{name}” for?</span>
          <span className="choices">
            {places.map(([to, label]) => (
              <button key={to} className="button small" onClick={() => reading.answerHeading(section, to)}>
                {label}
              </button>
            ))}
          </span>
        </li>
      ))}
      {two.map((p) => (
        <li key={p.key}>
          <span>
            {found(p).ingredient}: “{p.text}” tells two amounts.
          </span>
          <span className="choices">
            {[p.row.mass, p.row.instead].map(
              (grams) =>
                grams != null && (
                  <button key={grams} className="button small" onClick={() => fix(p.key, { mass: grams })}>
                    {mass(grams)}
                  </button>
                ),
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}
