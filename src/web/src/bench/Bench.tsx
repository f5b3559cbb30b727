// The bench: one sentence, one number, one control; what comes next; everything else out of the way.
import { Segmented } from 'antd';
import { useCallback, useEffect, useLayoutEffect, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { api, newId, useTell, type BakeEvent, type BenchView, type Schemas } from '../api/client';
import { clockTime, countdown, houseNow, houseSpeed, useNow, utcOffsetMinutes } from '../api/clock';
import { useLive, whenSettled } from '../api/live';
import { Loading } from '../parts/Loading';
import { useWidth } from '../parts/useWidth';
import { StrandPicture } from '../strands/StrandPicture';
import { Feel, Review, StraightAnswers } from './Answers';
import { EvenOut } from './EvenOut';
import { ScaleHands } from './ScaleHands';
import { speak } from './sound';
import { weight } from './scaleUnits';
import { ShapeHelp } from './ShapeHelp';
import { Station, useDivide } from './Station';
import { StepList } from './StepList';
import { EyePlan, RulerMarks } from './WithoutScale';
import { Finish } from '../oven/Finish';
import { InOven } from '../oven/InOven';
import { PotBeat } from '../oven/PotBeat';
import { Guarded } from '../parts/Broken';
import { ProofCurve } from '../proof/ProofCurve';

export default function Bench() {
  const { id = '' } = useParams();
  return <BenchAt key={id} id={id} />;
}

/** The bench of one bake. */
export function BenchAt({ id, next }: { id: string; next?: ReactNode }) {
  const [step, setStep] = useState<string | null>(null);
  // Stays open though the step changes under it.
  const [all, setAll] = useState(false);
  const { data, error, refetch } = api.useQuery(
    'get',
    '/api/bakes/{id}',
    { params: { path: { id }, ...(step ? { query: { step } } : {}) } },
    { refetchInterval: houseSpeed() > 1 ? 1000 : 5000, placeholderData: (before) => before },
  );
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  if (!data.beat) return <Over bake={data} />;
  // A fresh beat starts with fresh fields.
  return (
    <>
      <AtTheBench key={data.beat.step} bake={data} beat={data.beat} chosen={step} choose={setStep} setAll={setAll} next={next} />
      <AllSteps bake={data} choose={setStep} open={all} setOpen={setAll} />
    </>
  );
}

// Beside the beat, not in it: a touch is not lost when the beat changes under the finger.
function AllSteps(list: Omit<Parameters<typeof StepList>[0], 'send'>) {
  const { send } = useSend(list.bake, () => undefined);
  return <StepList {...list} send={send} />;
}

function Over({ bake }: { bake: BenchView }) {
  const { send } = useSend(bake, () => undefined);
  return (
    <section className="card" style={{ display: 'grid', gap: 16, justifyItems: 'start' }}>
      <h1>{bake.status === 'stopped' ? `${bake.title} was stopped.` : `${bake.title}: eaten and kept.`}</h1>
      <Link className="button do" to={`/logbook/${bake.id}`}>
        See it in the logbook
      </Link>
      {bake.undo && (
        <button className="button" onClick={() => bake.undo && send({ type: 'undone', position: bake.undo.position })}>
          Take back: {bake.undo.short}
        </button>
      )}
    </section>
  );
}

function useSend(bake: BenchView, done: () => void) {
  const tell = useTell(bake.id);
  const send = useCallback(
    (event: BakeEvent) => tell.mutate({ event, basedOn: bake.position, id: newId() }, { onSuccess: done }),
    [tell, bake.position, done],
  );
  return { tell, send };
}

type Beat = Schemas['Beat'];

function AtTheBench({
  bake,
  beat,
  chosen,
  choose,
  setAll,
  next,
}: {
  bake: BenchView;
  beat: Beat;
  chosen: string | null;
  choose: (step: string | null) => void;
  setAll: (open: boolean) => void;
  /** What comes next in all bakes, instead of in this one. */
  next: ReactNode;
}) {
  const back = useCallback(() => choose(null), [choose]);
  const { tell, send } = useSend(bake, back);
  const { reading } = useLive();
  const now = useNow();
  const [early, setEarly] = useState(false);
  const [typed, setTyped] = useState('');
  const [wanting, setWanting] = useState(false);
  const [since, setSince] = useState<string | null>(null);
  const [spoken, setSpoken] = useState(() => localStorage.getItem('speak') === 'yes');
  const divide = useDivide(bake, typed);
  const kitchen = api.useQuery('get', '/api/kitchen');
  const [chosenHow, setHow] = useState(() => localStorage.getItem('divide') as Divided | null);
  const how = chosenHow ?? (kitchen.data?.noScale ? 'eye' : 'scale');

  const due = beat.isDue || Date.parse(beat.due) <= now;
  const open = due || early || chosen !== null;
  const at = since === null ? null : earlier(since);
  const told = (event: BakeEvent) => send(at ? { ...event, at } : event);

  const grams = reading && reading.units !== null ? reading.units * reading.step : null;
  const onScale = grams !== null && grams > 1 && reading?.settled ? Math.round(grams * 10) / 10 : null;
  const mass = typed.trim() === '' ? (onScale ?? beat.expected) : Number(typed.replace(',', '.'));

  const takePart = (units: number, number = divide.piece?.number) => {
    if (number === undefined || !bake.station) return;
    send({ type: 'part-weighed', number, mass: units * bake.station.scale.grams });
    setTyped('');
    divide.again(null);
  };
  // Asked for while the figure still swings: taken when it stands.
  const takeWhenStill = async () => {
    setWanting(true);
    const units = await whenSettled();
    setWanting(false);
    if (units !== null) takePart(units);
  };

  const primary = ((): { label: string; act: () => void; hint?: string } | null => {
    if (!open)
      return {
        label: `${beat.phrase.short} now`,
        act: () => (beat.ending === 'done' ? told({ type: 'step-done', step: beat.step }) : setEarly(true)),
      };
    switch (beat.ending) {
      case 'done':
      case 'yes-no':
        return { label: beat.phrase.button, act: () => told({ type: 'step-done', step: beat.step }) };
      case 'mass':
        return {
          label: beat.phrase.button,
          hint:
            mass === null
              ? ''
              : `${typed ? 'as typed' : onScale !== null ? 'as on the scale' : 'as planned'}: ${Math.round(mass * 10) / 10} g`,
          act: () =>
            told({
              type: beat.tells as 'dough-weighed' | 'ingredient-weighed',
              step: beat.step,
              mass: mass ?? Number.NaN,
            }),
        };
      case 'parts':
        return !divide.piece || how !== 'scale'
          ? { label: 'All divided', act: () => told({ type: 'step-done', step: beat.step }) }
          : {
              label: beat.phrase.button,
              hint: wanting
                ? 'taken as soon as it stands still'
                : divide.units === null || !bake.station
                  ? 'put it on the scale, or type it'
                  : `${weight(bake.station.scale, divide.units)}, Space or Enter`,
              act: () =>
                divide.units !== null ? takePart(divide.units) : divide.words && !wanting ? void takeWhenStill() : undefined,
            };
      default:
        return null;
    }
  })();

  const say = !open ? beat.say : beat.ending === 'parts' && how !== 'scale' ? `${beat.phrase.short}.` : beat.phrase.say;
  useEffect(() => {
    if (spoken && say) speak(say);
  }, [spoken, say]);
  const verdict = open && beat.ending === 'parts' ? divide.words : '';
  useEffect(() => {
    if (spoken && verdict && divide.settled) speak(verdict);
  }, [spoken, verdict, divide.settled]);

  useKeys({
    ' ': () => primary?.act(),
    Enter: () => primary?.act(),
    z: () => bake.undo && send({ type: 'undone', position: bake.undo.position }),
    digit: (d) => {
      if (!open || (beat.ending !== 'parts' && beat.ending !== 'mass')) return;
      setTyped((t) => t + d);
      document.getElementById('typed')?.focus();
    },
  });

  return (
    <div className="bench">
      <section className="card now" aria-label="Now">
        <p className="muted" style={{ margin: 0 }}>
          {bake.title} · {bake.what} · ready {clockTime(bake.ready)}
        </p>
        <h1 className="sentence" aria-live="polite">
          {say}
        </h1>
        {!open ? (
          <>
            <div className="figure" role="timer" aria-label={`${beat.phrase.short} in`}>
              {countdown(Date.parse(beat.due) - now)}
            </div>
            <p className="detail">
              then: {beat.phrase.short}, {clockTime(beat.due)}
            </p>
            {bake.display && (
              <p className="detail">
                The display should show{' '}
                {bake.display.finishAt
                  ? `${clockTime(bake.display.finishAt)}, the time it ends`
                  : `${countdown((bake.display.left ?? 0) * 1000).replace(/:\d\d$/, '')} min left`}
                .
              </p>
            )}
          </>
        ) : beat.ending === 'parts' && bake.station ? (
          <>
            <Segmented<Divided>
              aria-label="Divide by"
              value={how}
              onChange={(v) => {
                localStorage.setItem('divide', v);
                setHow(v);
              }}
              options={[
                { value: 'scale', label: 'By scale' },
                { value: 'ruler', label: 'By ruler' },
                { value: 'eye', label: 'By eye' },
              ]}
            />
            {how === 'scale' ? (
              <Station
                station={bake.station}
                divide={divide}
                typed={typed}
                type={setTyped}
                takeOver={(number, units) => takePart(units, number)}
              />
            ) : how === 'ruler' ? (
              <RulerMarks bake={bake} station={bake.station} />
            ) : (
              <EyePlan station={bake.station} />
            )}
          </>
        ) : (
          <>
            {beat.phrase.figure && (
              <div className="figure">
                {beat.phrase.figure.value}
                <span>{beat.phrase.figure.unit}</span>
              </div>
            )}
            {beat.phrase.detail && <p className="detail">{beat.phrase.detail}</p>}
            {beat.ending === 'mass' && reading?.bake === bake.id && reading.under && (
              <p className="caution" role="status">
                The scale was not tared: under it is {reading.under}. That leaves {onScale ?? '…'} g.
              </p>
            )}
            {beat.ending === 'mass' && (
              <p style={{ margin: 0 }}>
                <label>
                  Really in, g{' '}
                  <input
                    id="typed"
                    className="typed"
                    inputMode="decimal"
                    value={typed}
                    onChange={(e) => setTyped(e.target.value)}
                    onKeyDown={(e) => e.key === 'Enter' && primary?.act()}
                    placeholder={
                      onScale !== null
                        ? String(onScale)
                        : beat.expected === null
                          ? ''
                          : String(Math.round(beat.expected * 10) / 10)
                    }
                  />
                </label>
              </p>
            )}
            {bake.shape && (
              <>
                {bake.station && bake.station.evenOut.length > 0 ? (
                  <EvenOut bake={bake} station={bake.station} />
                ) : (
                  bake.station && <Spread station={bake.station} />
                )}
                <ShapeHelp bake={bake} step={beat.step} />
              </>
            )}
            {beat.ending === 'feel' && (
              <Feel answers={beat.answers} check={bake.check} told={(e) => told({ ...e, step: beat.step })} />
            )}
            {(beat.ending === 'look' || beat.ending === 'take-out' || beat.ending === 'yes-no') && (
              <StraightAnswers beat={beat} told={told} proof={bake.proof} firstRise={bake.firstRise} />
            )}
            {beat.ending === 'review' && <Review bake={bake.id} told={(e) => told({ ...e, step: beat.step })} />}
          </>
        )}
        <Guarded what="This picture" anew={[bake.position]}>
          {bake.bath && <PotBeat bath={bake.bath} id={`${bake.id}/${beat.step}`} />}
          {bake.inOven ? <InOven bake={bake} tell={send} /> : bake.proof && <ProofCurve proof={bake.proof} />}
          {bake.proof && !bake.inOven && <Measure proof={bake.proof} tell={send} />}
          {beat.ending === 'review' && <Finish bake={bake} />}
        </Guarded>
        {open && beat.ending !== 'parts' && <Since beat={beat} since={since} set={setSince} />}
        {open &&
          beat.cautions.map((c) => (
            <p key={c} className="caution" style={{ margin: 0 }}>
              {c}
            </p>
          ))}
        {bake.newSteps && <NewSteps steps={bake.newSteps} take={send} />}
        {tell.isPending && tell.failureCount > 0 && (
          <p className="offline" role="status">
            Not kept yet: it is sent again until the kitchen server answers.
          </p>
        )}
        {tell.error && (
          <p className="problem" role="alert">
            {tell.error.message}
          </p>
        )}
      </section>

      <aside className="card side next" aria-label="Still to come">
        <h2>Still to come</h2>
        {next ??
          bake.next.map((n) => (
            <div className="row" key={n.step}>
              <b>{clockTime(n.start)}</b>
              <span>{n.short}</span>
            </div>
          ))}
        <div className="row">
          <b>{clockTime(bake.ready)}</b>
          <span>
            {bake.what} ready
            <Drift ready={bake.ready} planned={bake.plannedReady} />
          </span>
        </div>
        <button
          className="button"
          style={{ marginTop: 14, width: '100%', background: 'var(--card)' }}
          onClick={() => setAll(true)}
        >
          All steps
        </button>
        {(beat.ending === 'parts' || beat.ending === 'mass') && open && (
          <ScaleHands
            target={divide.piece && bake.station ? divide.piece.target * bake.station.scale.grams : (beat.expected ?? null)}
          />
        )}
      </aside>

      <Strip bake={bake} />

      <div className="bar" role="group" aria-label="Controls">
        <button
          className="button"
          disabled={!bake.undo}
          onClick={() => bake.undo && send({ type: 'undone', position: bake.undo.position })}
        >
          Take back
          <small>{bake.undo?.short ?? 'nothing yet'}</small>
        </button>
        {bake.redo && (
          <button className="button" onClick={() => bake.redo && send({ type: 'undone', position: bake.redo.position })}>
            Put it back
          </button>
        )}
        {primary && (
          <button className="button do" onClick={primary.act} disabled={tell.isPending}>
            {primary.label}
            {primary.hint !== undefined && <small>{primary.hint}</small>}
          </button>
        )}
        {chosen !== null ? (
          <button className="button" onClick={back}>
            Not this one
          </button>
        ) : (
          <button className="button" onClick={() => told({ type: 'step-skipped', step: beat.step })}>
            Skip
            <small>{beat.phrase.short}</small>
          </button>
        )}
        <button
          className="button"
          aria-pressed={spoken}
          onClick={() => {
            localStorage.setItem('speak', spoken ? 'no' : 'yes');
            setSpoken(!spoken);
          }}
        >
          {spoken ? 'Speaking' : 'Speak'}
        </button>
      </div>
    </div>
  );
}

// A thermometer at the proofing place beats what is reckoned.
function Measure({ proof, tell }: { proof: Schemas['ProofView']; tell: (event: BakeEvent) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  if (typed === null)
    return (
      <button className="link muted" style={{ alignSelf: 'start', minHeight: 44 }} onClick={() => setTyped('')}>
        Measured there …
      </button>
    );
  const heat = Number(typed.replace(',', '.'));
  return (
    <form
      className="station-line"
      onSubmit={(e) => {
        e.preventDefault();
        if (typed.trim() !== '' && Number.isFinite(heat)) tell({ type: 'place-measured', proof: proof.step, heat });
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

type Divided = 'scale' | 'ruler' | 'eye';

// How alike the pieces came out, and what that does in the oven.
function Spread({ station }: { station: Schemas['StationView'] }) {
  const said = station.cuts.filter((c) => c.spread !== null && c.spread > 0);
  if (said.length === 0) return null;
  return (
    <p className="muted">
      {said
        .map(
          (c) =>
            `${c.name}: ${weight(station.scale, c.spread ?? 0)} between lightest and heaviest${c.bakeBetween !== null ? `, ${(c.bakeBetween / 60).toFixed(1)} min in the oven` : ''}`,
        )
        .join(' · ')}
      . Good enough: shape on.
    </p>
  );
}

// A time of day typed here is the latest such time that has passed.
function earlier(typed: string) {
  const [h, m] = typed.split(':').map(Number);
  const at = new Date(houseNow());
  at.setHours(h ?? 0, m ?? 0, 0, 0);
  if (at.getTime() > houseNow()) at.setDate(at.getDate() - 1);
  return at.toISOString();
}

function Since({ beat, since, set }: { beat: Beat; since: string | null; set: (time: string | null) => void }) {
  const words = beat.phrase.earlier;
  if (since === null)
    return (
      <button className="link muted" style={{ alignSelf: 'start', minHeight: 44 }} onClick={() => set(clockTime(houseNow()))}>
        {words} …
      </button>
    );
  return (
    <label>
      {words}{' '}
      <input type="time" className="typed" style={{ width: 170 }} value={since} onChange={(e) => set(e.target.value || null)} />{' '}
      <button className="link" onClick={() => set(null)}>
        no, now
      </button>
    </label>
  );
}

function Drift({ ready, planned }: { ready: string; planned: string }) {
  const minutes = Math.round((Date.parse(ready) - Date.parse(planned)) / 60000);
  if (Math.abs(minutes) < 1) return null;
  return (
    <small className="muted">
      {' '}
      {Math.abs(minutes)} min {minutes > 0 ? 'later' : 'sooner'} than planned
    </small>
  );
}

function Strip({ bake }: { bake: BenchView }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { data } = api.useQuery(
    'post',
    '/api/bakes/{id}/picture',
    { params: { path: { id: bake.id } }, body: { width, slim: true, utcOffsetMinutes: utcOffsetMinutes() } },
    { enabled: width > 0, placeholderData: (before) => before, refetchInterval: houseSpeed() > 1 ? 3000 : 30000 },
  );
  return (
    <div className="card strip">
      <div className="picture-box" ref={ref}>
        {data && <StrandPicture picture={data} title={bake.title} />}
      </div>
    </div>
  );
}

function useKeys(keys: { ' ': () => void; Enter: () => void; z: () => void; digit: (d: string) => void }) {
  // Before the sentence is seen, so that no key is lost between the two.
  useLayoutEffect(() => {
    const pressed = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.repeat) return;
      if ((e.target as HTMLElement).closest('input, textarea, select, button, a, [role=dialog], [role=slider]')) return;
      if (e.key === ' ' || e.key === 'Enter') keys[e.key]();
      else if (e.key.toLowerCase() === 'z') keys.z();
      else if (/^[0-9]$/.test(e.key)) keys.digit(e.key);
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  });
  // The screen stays awake while somebody bakes by it.
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const take = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock?.request('screen').then(
          (l) => (lock = l),
          () => undefined,
        );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
}

// Steps that came with an update while the bake was under way: it has them once its baker agrees.
function NewSteps({ steps, take }: { steps: NonNullable<BenchView['newSteps']>; take: (event: BakeEvent) => void }) {
  return (
    <p className="caution" role="status" style={{ margin: 0 }}>
      Known since this was laid out: {steps.steps.join(', ')}.{' '}
      <button className="button small" onClick={() => take({ type: 'rules-taken', rules: steps.rules })}>
        Add them
      </button>
    </p>
  );
}
