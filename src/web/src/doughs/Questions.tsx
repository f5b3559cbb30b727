// Everything a recipe leaves open, in one list above its lines: a heading that says nothing, two amounts that differ, what the
// pantry does not know.
import { useState } from 'react';
import { useUnits } from '../parts/units';
import { Correct } from './ReadLine';
import type { Reading, Whereto } from './useReading';
import * as words from './words';
import css from './doughs.module.css';

const places: [Whereto, string][] = [
  ['dough', words.intoTheDough],
  ['topping', words.onTop],
  ['filling', 'inside'],
  ['bath', words.theBath],
  ['not-mine', words.notMine],
];

export function Questions({ reading }: { reading: Reading }) {
  const { mass } = useUnits();
  const { open, openHeadings, found, fix } = reading;
  const two = open.filter((p) => found(p).instead !== null);
  // What was asked stays once it is answered: the answer may be half typed.
  const [asked, setAsked] = useState<string[]>([]);
  const anew = open.filter((p) => found(p).instead === null && !asked.includes(p.key)).map((p) => p.key);
  if (anew.length > 0) setAsked([...asked, ...anew]);
  const unknown = reading.places.filter((p) => asked.includes(p.key) && !found(p).out);
  if (openHeadings.length + two.length + unknown.length === 0) return null;
  return (
    <ul className={`lines ${css.questions}`} aria-label={words.toBeTold}>
      {openHeadings.map(({ section, name }) => (
        <li key={section}>
          <span>{words.whatIsFor(name)}</span>
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
          <span>{words.tellsTwoAmounts(found(p).ingredient, p.text)}</span>
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
      {unknown.map((p) => (
        <li key={p.key} className={css.unknown}>
          <span>
            “{p.text}” {reading.isOpen(p) ? '' : '✓'}
          </span>
          <Correct place={p} reading={reading} />
        </li>
      ))}
    </ul>
  );
}
