// Steps that end with an answer: how the dough feels, what the proof looks like, how the bread was.
import { Input } from 'antd';
import { useState } from 'react';
import { api, type BakeEvent, type BenchView, type Schemas } from '../api/client';
import { clockTime, span } from '../api/clock';
import { percent, useUnits } from '../parts/units';
import { useKept } from '../parts/useKept';
import { DoughState } from './DoughState';

type Answer = Schemas['Answer'];

export function Feel({
  answers,
  check,
  told,
}: {
  answers: Answer[];
  check: BenchView['check'];
  told: (event: Omit<Schemas['BakeEventDoughChecked'], 'step'>) => void;
}) {
  const [chosen, setChosen] = useState<Answer | null>(null);
  const [water, setWater] = useState('');
  const [flour, setFlour] = useState('');
  const { mass } = useUnits();
  const choose = (a: Answer) => {
    setChosen(a);
    setWater(a.water ? String(a.water) : '');
    setFlour(a.flour ? String(a.flour) : '');
  };
  return (
    <>
      {check && check.stop ? (
        <div className="caution" role="status">
          <b>No more doses: {check.added} is a lot. Likelier a slip:</b>
          <ul className="slips">
            {check.slips.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ul>
        </div>
      ) : (
        check &&
        (check.added || check.before.length > 0) && (
          <p className="detail">
            {check.added
              ? `So far ${check.added}: ${percent(check.hydration)} hydration, ${mass(check.dough)} in the pan.`
              : check.before.join(' ')}
          </p>
        )
      )}
      <div className="answers feels" role="group" aria-label="How it feels">
        {answers.map((a) => (
          <button
            key={a.value}
            className={chosen === a ? 'button chosen' : 'button'}
            aria-pressed={chosen === a}
            onClick={() => choose(a)}
          >
            <DoughState feel={a.value as Schemas['DoughFeel']} />
            {a.label}
            <small>{a.hint}</small>
          </button>
        ))}
      </div>
      {chosen && (
        <div className="answers dose">
          <label>
            Water added, g{' '}
            <input
              className="typed"
              inputMode="decimal"
              value={water}
              onChange={(e) => setWater(e.target.value)}
              placeholder="0"
            />
          </label>
          <label>
            Flour added, g{' '}
            <input
              className="typed"
              inputMode="decimal"
              value={flour}
              onChange={(e) => setFlour(e.target.value)}
              placeholder="0"
            />
          </label>
          <button
            className="button do"
            onClick={() =>
              told({
                type: 'dough-checked',
                feel: chosen.value as Schemas['DoughFeel'],
                water: Number(water.replace(',', '.')),
                flour: Number(flour.replace(',', '.')),
              })
            }
          >
            {Number(water) || Number(flour) ? 'Added' : 'Leave it alone'}
          </button>
          {check && (Number(water) || Number(flour)) ? (
            <span className="muted">
              Then wait {Math.round(check.wait / 60)} min and look again
              {check.lastLook && `; after ${clockTime(check.lastLook)} no dose helps`}.
            </span>
          ) : null}
        </div>
      )}
    </>
  );
}

const pokes = ['springs-back', 'slow-dent', 'stays'];

// A finger and what it leaves: nothing, a shallow dent, a hole.
function Poke({ kind }: { kind: string }) {
  const depth = kind === 'springs-back' ? 0 : kind === 'slow-dent' ? 11 : 24;
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

export function StraightAnswers({
  beat,
  told,
  proof,
  firstRise,
}: {
  beat: Schemas['Beat'];
  told: (event: BakeEvent) => void;
  proof: BenchView['proof'];
  firstRise: BenchView['firstRise'];
}) {
  const [advice, setAdvice] = useState('');
  const [bulk, setBulk] = useState<number | null>(null);
  const { step } = beat;
  const kitchen = api.useQuery('get', '/api/kitchen');
  const afters: [number | null, string][] = [
    [null, 'as planned'],
    ...(kitchen.data?.afters ?? []).filter((a) => !a.after.early).map((a): [number, string] => [a.after.bulk, a.name]),
  ];
  const tell = (a: Answer) => {
    if (beat.ending === 'look') told({ type: 'proof-looked', step, seen: a.value as Schemas['Seen'] });
    else if (beat.ending === 'take-out') told({ type: 'dough-taken-out', step, feel: a.value as Schemas['DoughFeel'], bulk });
    else setAdvice(a.hint);
  };
  return (
    <>
      {beat.ending === 'look' && proof && (
        <p className="detail">
          Reckoned: {Math.round(proof.riseNow * 100)} % grown, {Math.round(proof.wantedRise * 100)} % wanted.
        </p>
      )}
      {beat.ending === 'take-out' && (
        <>
          <div className="answers" role="group" aria-label="And then">
            {afters.map(([seconds, label]) => (
              <button
                key={label}
                className={seconds === bulk ? 'button small chosen' : 'button small'}
                aria-pressed={seconds === bulk}
                onClick={() => setBulk(seconds)}
              >
                {label}
              </button>
            ))}
          </div>
          {firstRise && (
            <p className="detail">
              By now it should have grown {Math.round(firstRise.rise * 100)} %.
              {firstRise.toDoubled ? ` ${span(firstRise.toDoubled * 1000)} in a bowl would double it.` : ''}
            </p>
          )}
          <p>It is out. How does it feel?</p>
        </>
      )}
      <div className="answers" role="group" aria-label="Answers">
        {beat.answers
          .filter((a) => !pokes.includes(a.value))
          .map((a) => (
            <button key={a.value} className="button" onClick={() => tell(a)}>
              {a.label}
              {beat.ending === 'look' && <small>{a.hint}</small>}
            </button>
          ))}
      </div>
      {beat.ending === 'look' && (
        <div className="answers" role="group" aria-label="Poked">
          {beat.answers
            .filter((a) => pokes.includes(a.value))
            .map((a) => (
              <button key={a.value} className="button" onClick={() => tell(a)}>
                <Poke kind={a.value} />
                {a.label}
                <small>{a.hint}</small>
              </button>
            ))}
        </div>
      )}
      {advice && (
        <p className="caution" role="status">
          {advice}
        </p>
      )}
    </>
  );
}

export function Review({ bake, told }: { bake: string; told: (event: Omit<Schemas['BakeEventReviewed'], 'step'>) => void }) {
  const [stars, setStars, forgetStars] = useKept(`stars/${bake}`, 0);
  const [note, setNote, forgetNote] = useKept(`note/${bake}`, '');
  return (
    <>
      <div className="answers" role="group" aria-label="Rating">
        {[1, 2, 3, 4, 5].map((n) => (
          <button
            key={n}
            className="button"
            style={{
              minWidth: 64,
              fontSize: '1.6rem',
              ...(n <= stars ? { background: 'var(--do)', color: 'var(--do-ink)' } : {}),
            }}
            aria-pressed={n === stars}
            aria-label={`${n} of 5`}
            onClick={() => setStars(n)}
          >
            {n <= stars ? '★' : '☆'}
          </button>
        ))}
      </div>
      <label htmlFor="note">For next time</label>
      <Input.TextArea id="note" rows={2} value={note} onChange={(e) => setNote(e.target.value)} maxLength={2000} />
      <button
        className="button do"
        disabled={stars === 0}
        style={{ alignSelf: 'start', minWidth: 220 }}
        onClick={() => {
          forgetStars();
          forgetNote();
          told({ type: 'reviewed', stars, note });
        }}
      >
        Keep
      </button>
    </>
  );
}
