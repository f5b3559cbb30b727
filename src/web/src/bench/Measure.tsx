// A thermometer at the proofing place beats what is reckoned.
import { useState } from 'react';
import type { BakeEvent, Schemas } from '../api/http';
import { useTyped } from '../parts/useTyped';
import { useUnits } from '../parts/units';
import { useAskedBack } from './useAskedBack';
import * as words from './words';

export function Measure({ proof, tell }: { proof: Schemas['ProofView']; tell: (event: BakeEvent) => void }) {
  const [open, setOpen] = useState(false);
  const typed = useTyped('temperature');
  const { heat } = useUnits();
  const { asked, ask } = useAskedBack(proof.placeBelieved);
  const isAsked = asked !== null && asked === typed.value;
  if (!open)
    return (
      <button className="link muted at-start reach" onClick={() => setOpen(true)}>
        {words.measuredThere}
      </button>
    );
  return (
    <form
      className="station-line"
      onSubmit={(e) => {
        e.preventDefault();
        const { value } = typed;
        ask(value, () => {
          if (value !== null) tell({ type: 'place-measured', proof: proof.step, heat: value });
          typed.type('');
          setOpen(false);
        });
      }}
    >
      <label>
        {words.itIsThere(typed.unit)}{' '}
        <input className="typed" inputMode="decimal" value={typed.text} onChange={(e) => typed.type(e.target.value)} />
      </label>
      <button className="button small">{isAsked ? words.yes(heat(asked)) : words.keep}</button>
      {isAsked && (
        <span className="caution" role="alert">
          {words.whereWasExpected(heat(asked), heat(proof.placeNow))}
        </span>
      )}
    </form>
  );
}
