// The first opening: five questions, each a touch or two, each answer seen at once in the kitchen drawn beside them.
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { ownZone } from '../api/clock';
import { useAnswerFirst } from '../api/changes';
import { api, type Schemas } from '../api/http';
import { typedOr } from '../parts/typed';
import { useKept } from '../parts/useKept';
import { useUnits } from '../parts/units';
import { KitchenDrawn } from './KitchenDrawn';
import * as words from './words';
import css from './first.module.css';

type Questions = Schemas['FirstQuestionsView'];
type Answers = Schemas['FirstAnswers'];
type Ask = { q: Questions; answer: (to: Answers) => void; next: () => void };

const minute = 60;
const hour = 3600;
const cycle = (seconds: number) =>
  `${Math.floor(seconds / hour)}:${String(Math.round((seconds % hour) / minute)).padStart(2, '0')}`;
const oclock = (seconds: number) => `${(seconds / hour) % 24}:00`;

const asked: [string, (ask: Ask) => React.ReactNode][] = [
  [words.whatDoesTheDoughCycle, Cycle],
  [words.whatDoYouMeasureWith, Measures],
  [words.howHotDoesTheOven, Oven],
  [words.whichOfTheseDoYou, Tins],
  [words.whenIsSomebodyUp, Days],
];

export function FirstQuestions() {
  const { data } = api.useQuery('get', '/api/kitchen/first');
  const [at, go] = useKept('first-question', 0);
  const { make, busy } = useAnswerFirst();
  // One after the other: what a finger said last is what holds.
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const [question, Form] = asked[at] ?? [];
  if (!data || !Form) return null;
  const next = () => go(at + 1);
  const answer = (to: Answers) => {
    line.current = line.current.then(() => make({ ...to, zone: ownZone() }));
  };
  return (
    <section className={`card ${css.firstQuestions}`} aria-label={words.yourKitchen}>
      <div aria-busy={busy}>
        <p className="muted num">{words.ofAt(at + 1, asked.length)}</p>
        <h2>{question}</h2>
        <Form q={data} answer={answer} next={next} />
        <div className="buttons-row">
          {at > 0 && (
            <button type="button" className="button quiet" onClick={() => go(at - 1)}>
              {words.back}
            </button>
          )}
          <button type="button" className="button quiet" onClick={next}>
            {words.skipAsUsual}
          </button>
          <button type="button" className="button quiet" onClick={() => go(asked.length)}>
            {words.skipAll}
          </button>
        </div>
      </div>
      <KitchenDrawn q={data} />
    </section>
  );
}

function Touch({ label, on, act }: { label: string; on: boolean; act: () => void }) {
  return (
    <button type="button" className={on ? 'button chosen' : 'button'} aria-pressed={on} onClick={act}>
      {label}
    </button>
  );
}

// Ticked at once; what the kitchen says comes after.
function Tick({ label, on, set }: { label: string; on: boolean; set: (on: boolean) => void }) {
  const [now, setNow] = useState(on);
  return (
    <label className="check">
      <input
        type="checkbox"
        checked={now}
        onChange={(e) => {
          setNow(e.target.checked);
          set(e.target.checked);
        }}
      />{' '}
      {label}
    </label>
  );
}

function Cycle({ q, answer, next }: Ask) {
  const [typed, type] = useState('');
  const phases = q.kitchen.machines[0]?.phases ?? [];
  const stands = phases[0]?.kind === 'warm';
  return (
    <>
      <Tick label={words.itBeginsByStandingStill} on={stands} set={(standsFirst) => answer({ standsFirst })} />
      <div className="answers" role="group" aria-label={words.cycle}>
        {q.cycles.map((c) => (
          <Touch
            key={c}
            label={cycle(c)}
            on={false}
            act={() => {
              answer({ cycle: c });
              next();
            }}
          />
        ))}
      </div>
      <form
        className="station-line"
        onSubmit={(e) => {
          e.preventDefault();
          answer({ cycle: typedOr(typed, 0) * minute });
          next();
        }}
      >
        <label>
          {words.orInMinutes} <input className="typed" inputMode="numeric" value={typed} onChange={(e) => type(e.target.value)} />
        </label>
        {typed !== '' && <button className="button small">{words.soLong}</button>}
        {typed === '' && q.kitchen.machines[0] && (
          <Link className="button quiet" to={`/kitchen?thing=machine:${q.kitchen.machines[0].id}`}>
            {words.orItsTable}
          </Link>
        )}
      </form>
    </>
  );
}

const sets: [string, Answers][] = [
  [words.scaleGramsC, { noScale: false, units: { mass: 'grams', temperature: 'celsius', length: 'metric' } }],
  [
    words.scaleOuncesF,
    { noScale: false, units: { mass: 'ounces', temperature: 'fahrenheit', length: 'inches', clock: 'twelve' } },
  ],
  [
    words.cupsAndSpoonsF,
    { noScale: true, units: { mass: 'ounces', temperature: 'fahrenheit', length: 'inches', clock: 'twelve' } },
  ],
  [words.cupsAndSpoonsC, { noScale: true, units: { mass: 'grams', temperature: 'celsius', length: 'metric' } }],
];

function Measures({ answer, next }: Ask) {
  return (
    <div className="answers" role="group" aria-label={words.measures}>
      {sets.map(([label, to]) => (
        <Touch
          key={label}
          label={label}
          on={false}
          act={() => {
            answer(to);
            next();
          }}
        />
      ))}
    </div>
  );
}

function Oven({ q, answer, next }: Ask) {
  const { heat } = useUnits();
  const oven = q.kitchen.ovens[0];
  return (
    <>
      <Tick label={words.itHasAFanAnd} on={oven?.fan ?? false} set={(fan) => answer({ fan })} />
      <Tick label={words.twoTraysAtOnce} on={(oven?.racks ?? 1) > 1} set={(two) => answer({ racks: two ? 2 : 1 })} />
      <div className="answers" role="group" aria-label={words.topOfTheDial}>
        {q.tops.map((t) => (
          <Touch
            key={t}
            label={heat(t)}
            on={false}
            act={() => {
              answer({ hottest: t });
              next();
            }}
          />
        ))}
      </div>
    </>
  );
}

function Tins({ q, answer, next }: Ask) {
  const [own, setOwn] = useState(() => q.tins.map((t) => t.id).filter((id) => q.kitchen.tins?.some((t) => t.id === id)));
  const { length } = useUnits();
  const touch = (id: string) => {
    const now = own.includes(id) ? own.filter((o) => o !== id) : [...own, id];
    setOwn(now);
    answer({ tins: now });
  };
  return (
    <>
      <div className="answers" role="group" aria-label={words.traysAndTins}>
        {q.tins.map((t) => (
          <Touch
            key={t.id}
            label={`${t.name}, ${length(t.length)}${t.shape === 'round' ? '' : ` × ${length(t.width)}`}`}
            on={own.includes(t.id)}
            act={() => touch(t.id)}
          />
        ))}
      </div>
      <button type="button" className="button do at-start" onClick={next}>
        {words.thatIsAll}
      </button>
    </>
  );
}

function Days({ q, answer, next }: Ask) {
  return (
    <div className="answers" role="group" aria-label={words.up}>
      {q.days.map((d) => (
        <Touch
          key={d.from}
          label={words.fromTo(oclock(d.from), oclock(d.to))}
          on={false}
          act={() => {
            answer({ awake: d });
            next();
          }}
        />
      ))}
    </div>
  );
}
