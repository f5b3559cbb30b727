// What every beat has round it: the sentence, the pictures, what comes next, and the bar of controls.
import type { ReactNode } from 'react';
import { clockTime } from '../api/clock';
import { isCrossed } from '../api/outbox';
import { api } from '../api/http';
import { Finish } from '../oven/Finish';
import { InOven } from '../oven/InOven';
import { PotBeat } from '../oven/PotBeat';
import { Guarded } from '../parts/Broken';
import { ProofCurve } from '../proof/ProofCurve';
import { BreadPicture } from '../shaping/BreadPicture';
import type { AtBeat } from './AtTheBeat';
import { Controls, type Primary } from './Controls';
import { CycleWatch } from './CycleWatch';
import { KneadIn } from './KneadIn';
import { Measure } from './Measure';
import { MoveIt } from './MoveIt';
import { NewSteps } from './NewSteps';
import { Pieces } from './Pieces';
import { ScaleHere } from '../parts/ScaleHere';
import { ScaleHands } from './ScaleHands';
import { Since } from './Since';
import { OnItsPan } from './ShapeHelp';
import { StillToCome } from './StillToCome';
import { Strip } from './Strip';
import { useAwake } from './useAwake';
import { press, useDeaf } from './useDeaf';
import { useKeys } from './useKeys';
import { useSaid } from './useSpeech';
import { useStandsAt } from './useStandsAt';
import * as words from './words';
import css from './bench.module.css';

type Props = AtBeat & {
  /** The one sentence. */
  say: string;
  /** The big control; null when the answers themselves are it. */
  primary: Primary | null;
  children: ReactNode;
  /** The beat has begun: it may be told of, and its cautions count. */
  begun?: boolean;
  /** It may have happened before now. */
  backdated?: boolean;
  /** A digit was pressed anywhere. */
  digit?: (digit: string) => void;
  /** Grams for the stand-in scale's hands; undefined where nothing is weighed. */
  target?: number | null;
  /** Pictures of this ending, beside what is said. */
  shows?: ReactNode;
};

export function Frame({ say, primary, children, begun = true, backdated = true, digit, target, shows, ...at }: Props) {
  const { bake, beat, send, tell } = at;
  const standIns = api.useQuery('get', '/api/kitchen').data?.standIns ?? false;
  useSaid(say);
  useAwake();
  const sentence = useStandsAt(`${bake.position}/${beat.step}`);
  const free = shows ? null : freeFor(at, begun);
  const deaf = useDeaf(`${bake.position}/${beat.step}`) || tell.isPending;
  useKeys({
    act: () => !tell.isPending && primary && press(primary.act),
    undo: () => bake.undo && send({ type: 'undone', position: bake.undo.position }),
    digit,
  });
  return (
    <div className="bench">
      <section className="card now" aria-label={words.now}>
        <div className={css.saying}>
          <p className="muted tight">{words.ready(bake.title, bake.what, clockTime(bake.ready))}</p>
          <h1 className={css.sentence} aria-live="polite" ref={sentence}>
            {say}
          </h1>
          {children}
          <CycleWatch bake={bake} />
          {begun && <Why why={beat.why ?? ''} />}
          {begun && <Cautions cautions={beat.cautions} />}
          {bake.newSteps && <NewSteps steps={bake.newSteps} take={send} />}
          {tell.error && !isCrossed(tell.error) && (
            <p className="problem" role="alert">
              {tell.error.message}
            </p>
          )}
        </div>
        <div className={css.showing}>
          <Guarded what={words.thisPicture} anew={[bake.position]}>
            {shows}
            {beat.ending !== 'parts' && <Pieces {...at} />}
            {bake.bath && <PotBeat bath={bake.bath} id={`${bake.id}/${beat.step}`} />}
            {bake.inOven ? <InOven bake={bake} tell={send} /> : bake.proof && <ProofCurve proof={bake.proof} />}
            {beat.ending === 'review' && <Finish bake={bake} />}
            {free && (free === 'way' ? <Strip bake={bake} wide /> : <BreadPicture {...free} width={320} />)}
          </Guarded>
        </div>
      </section>
      <StillToCome {...at}>
        {beat.ending !== 'parts' && bake.shape?.pan && <OnItsPan pan={bake.shape.pan} />}
        {begun && bake.onTable && <KneadIn table={bake.onTable} tell={send} />}
        {bake.proof && !bake.inOven && (
          <>
            <MoveIt proof={bake.proof} tell={send} />
            <Measure proof={bake.proof} tell={send} />
          </>
        )}
        {begun && backdated && <Since {...at} />}
        {target !== undefined && (standIns ? <ScaleHands target={target} /> : <ScaleHere />)}
      </StillToCome>
      <Controls {...at} primary={primary} deaf={deaf} waits={tell.isPending} />
      {free !== 'way' && <Strip bake={bake} />}
    </div>
  );
}

// What stands beside the sentence where no other picture does: the bread in hand, or the way of the whole bake.
function freeFor({ bake, beat }: AtBeat, begun: boolean) {
  const isDrawn =
    beat.ending === 'review' ||
    (beat.ending !== 'parts' && bake.shape !== null) ||
    [bake.bath, bake.inOven, bake.proof].some((p) => p !== null);
  if (isDrawn) return null;
  return begun && beat.bread ? { look: beat.bread, raw: bake.finish.length === 0 } : 'way';
}

// A first bake explains itself; once one is over, it is known.
function Why({ why }: { why: string }) {
  const { data: over } = api.useQuery(
    'get',
    '/api/logbook',
    { params: { query: { take: 1 } } },
    { staleTime: 60_000, enabled: ({ state }) => why !== '' && !state.data?.length },
  );
  return why && over?.length === 0 ? <p className="why">{why}</p> : null;
}

// Two lead a step, the gravest first; the others are one touch away.
const leading = 2;

function Cautions({ cautions }: { cautions: string[] }) {
  const said = (c: string) => (
    <p key={c} className="caution tight">
      {c}
    </p>
  );
  return (
    <>
      {cautions.slice(0, leading).map(said)}
      {cautions.length > leading && (
        <details>
          <summary>{words.moreToBeCarefulOf}</summary>
          {cautions.slice(leading).map(said)}
        </details>
      )}
    </>
  );
}
