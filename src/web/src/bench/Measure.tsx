// A thermometer at the proofing place beats what is reckoned.
import { useState } from 'react';
import type { BakeEvent, Schemas } from '../api/http';
import { typedNumber } from '../parts/typed';

export function Measure({ proof, tell }: { proof: Schemas['ProofView']; tell: (event: BakeEvent) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  if (typed === null)
    return (
      <button className="link muted" style={{ alignSelf: 'start', minHeight: 44 }} onClick={() => setTyped('')}>
        Measured there …
      </button>
    );
  return (
    <form
      className="station-line"
      onSubmit={(e) => {
        e.preventDefault();
        const heat = typedNumber(typed);
        if (heat !== null) tell({ type: 'place-measured', proof: proof.step, heat });
        setTyped(null);
      }}
    >
      <label>
        It is there, °C <input className="typed" inputMode="decimal" value={typed} onChange={(e) => setTyped(e.target.value)} />
      </label>
      <button className="button small">Keep</button>
    </form>
  );
}
