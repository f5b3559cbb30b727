// How far the dough has grown, to the eye or to a finger.
import type { Schemas } from '../../api/http';
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';
import { Figure } from './Shown';
import * as words from '../words';

const goesIn: Schemas['Seen'] = 'goes-in';
const asGrown = (share: number) => `${Math.round(share * 100)} %`;

export function Looked(at: AtBeat) {
  const { bake, beat } = at;
  return (
    <Frame {...at} say={beat.phrase.say} primary={null}>
      <Figure {...at} />
      {bake.proof && (
        <p className="detail">{words.reckonedGrownWanted(asGrown(bake.proof.riseNow), asGrown(bake.proof.wantedRise))}</p>
      )}
      <Seen {...at} label={words.answers} answers={beat.answers.filter((a) => !a.poked && a.value !== goesIn)} />
      <Seen {...at} label={words.poked} answers={beat.answers.filter((a) => a.poked)} />
      <Seen {...at} label={words.whateverItsSize} answers={beat.answers.filter((a) => a.value === goesIn)} />
    </Frame>
  );
}

function Seen({ beat, told, label, answers }: AtBeat & { label: string; answers: Schemas['Answer'][] }) {
  return (
    <div className="answers" role="group" aria-label={label}>
      {answers.map((a) => (
        <button
          key={a.value}
          className="button"
          onClick={() => told({ type: 'proof-looked', step: beat.step, seen: a.value as Schemas['Seen'] })}
        >
          {a.poked && <Poke left={a.poked} />}
          {a.label}
          <small>{a.hint}</small>
        </button>
      ))}
    </div>
  );
}

const depths = { nothing: 0, dent: 11, hole: 24 };

// What a finger leaves.
function Poke({ left }: { left: keyof typeof depths }) {
  const depth = depths[left];
  return (
    <svg viewBox="0 0 100 52" width={100} height={52} aria-hidden="true">
      <path
        d={`M4 50 Q6 14 36 10 Q44 9 46 ${10 + depth / 2} Q50 ${12 + depth} 54 ${10 + depth / 2} Q56 9 64 10 Q94 14 96 50 Z`}
        fill="var(--s0)"
        stroke="var(--s0-line)"
        strokeWidth={2}
      />
    </svg>
  );
}
