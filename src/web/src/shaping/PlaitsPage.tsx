// Every plait and tie, and any word a baker types.
import { Input, Segmented } from 'antd';
import { useState } from 'react';
import { Field } from '../parts/Field';
import { PlaitTrainer, type Plaited } from './PlaitTrainer';
import * as words from './words';
import css from './shaping.module.css';

const kinds: [string, string, Plaited][] = [
  ['3', words.threeStrands, { tie: null, strands: 3 }],
  ['4', words.four, { tie: null, strands: 4 }],
  ['6', words.six, { tie: null, strands: 6 }],
  ['2', words.twist, { tie: null, strands: 2 }],
  ['coil', words.coil, { tie: 'coil', strands: 1 }],
  ['knot', words.knot, { tie: 'knot', strands: 1 }],
  ['pretzel', words.pretzel, { tie: 'pretzel', strands: 1 }],
  ['own', words.yourOwn, { tie: null, strands: 4 }],
];

export default function PlaitsPage() {
  const [kind, setKind] = useState('3');
  const [strands, setStrands] = useState(4);
  const [word, setWord] = useState('4 over 3 under 2 over 1');
  const of = kinds.find(([id]) => id === kind)?.[2] ?? { tie: null, strands: 3 };
  return (
    <>
      <h1>{words.plaitsAndKnots}</h1>
      <div className="answers" role="group" aria-label={words.which}>
        {kinds.map(([id, label]) => (
          <button
            key={id}
            className={id === kind ? 'button small chosen' : 'button small'}
            aria-pressed={id === kind}
            onClick={() => setKind(id)}
          >
            {label}
          </button>
        ))}
      </div>
      {kind === 'own' && (
        <div className={`card ${css.ownPlait}`}>
          <Field id="strands" label={words.strands}>
            <Segmented value={strands} onChange={setStrands} options={[2, 3, 4, 5, 6, 7, 8]} aria-label={words.strands} />
          </Field>
          <Field id="word" label={words.movesOverAndOverPlace}>
            <Input id="word" value={word} onChange={(e) => setWord(e.target.value)} />
          </Field>
        </div>
      )}
      <div className="card">
        <PlaitTrainer
          key={kind === 'own' ? `${strands}` : kind}
          of={kind === 'own' ? { tie: null, strands } : of}
          word={kind === 'own' ? word : ''}
        />
      </div>
    </>
  );
}
