// The day in full: every dough together, what is in whose way, what the hands and the ovens do, and why; all of it can be changed.
import { useState } from 'react';
import { Link } from 'react-router';
import { useUndoDay } from '../api/changes';
import { type Schemas, type Trouble } from '../api/http';
import { clockTime, span } from '../api/clock';
import { Loading } from '../parts/Loading';
import { useWidth } from '../parts/useWidth';
import { Grips } from '../strands/Grips';
import { hueOf } from '../strands/hue';
import { StrandPicture } from '../strands/StrandPicture';
import { Away } from './Away';
import { CalendarCard } from './CalendarCard';
import { Draft } from './Draft';
import { HandsTable } from './HandsTable';
import { Making } from './Making';
import { Fixes, Offered, TroublesOf } from './Troubles';
import { useDay } from './useDay';
import { useDraft } from './useDraft';
import * as words from './words';
import css from './day.module.css';

export default function DayPage() {
  const undo = useUndoDay();
  const [ref, width] = useWidth<HTMLDivElement>();
  const { changes, add, back, forget } = useDraft();
  const { data, error, refetch } = useDay(width, changes);
  const plain = useDay(error && changes.length > 0 ? width : 0);
  const [why, setWhy] = useState<number | null>(null);
  const day = data ?? plain.data;
  const problem = error && changes.length > 0 ? (error as unknown as Trouble).problems?.[0]?.reason : undefined;
  const ovens = new Set(day?.ovens.map((o) => o.oven)).size;
  const drafted = changes.length > 0 && !problem ? (day?.proposal ?? null) : null;
  const told = day?.bakes.map((b) =>
    words.fromTo(b.title, clockTime(b.start), clockTime(b.ready), b.wanted ? words.wantedAt(clockTime(b.wanted)) : ''),
  );
  const title = words.theDayOf(told?.join('; ') ?? '');
  const gripped = (picture: Schemas['Picture']) => (
    <Grips
      picture={picture}
      name={(g) => {
        const bake = day?.bakes[g.bake];
        return `${day?.hands.find((h) => h.bake === bake?.id && h.step === g.step)?.text ?? g.step}, ${bake?.title}`;
      }}
      move={(g, at) => {
        const bake = day?.bakes[g.bake];
        if (bake) add({ bake: bake.id, kind: 'pin', id: g.step, at });
      }}
    />
  );
  return (
    <>
      <div className="book-head">
        <h1>{words.theDay}</h1>
        <span className="choices no-print at-end">
          {day?.bakes.length !== 0 && (
            <Link className="button" to="/day/sheet">
              {words.benchSheet}
            </Link>
          )}
          {day?.canUndo && changes.length === 0 && (
            <button className="button" onClick={() => void undo.make(undefined)}>
              {words.asItWasBefore}
            </button>
          )}
          {day?.bakes.length !== 0 && (
            <Link className="button do" to="/bench">
              {words.toTheBench}
            </Link>
          )}
        </span>
      </div>
      {day && changes.length === 0 && <TroublesOf day={day} />}
      {changes.length > 0 && (
        <>
          <Draft
            changes={changes}
            proposal={drafted}
            problem={problem}
            looking={day?.looking ?? false}
            back={back}
            forget={forget}
          />
          {drafted && day && <Fixes fixes={day.fixes} change={add} />}
        </>
      )}
      <div ref={ref} className="pictures">
        {drafted?.picture && (
          <figure className="picture-box">
            <figcaption>{words.asItWouldBe}</figcaption>
            <div className={css.gripped}>
              <StrandPicture picture={drafted.picture} title={words.asItWouldBeTitle(title)} taut={why} />
              {gripped(drafted.picture)}
            </div>
          </figure>
        )}
        {day?.picture && (
          <figure className="picture-box">
            {drafted && <figcaption>{words.asItIs}</figcaption>}
            <div className={css.gripped}>
              <StrandPicture picture={day.picture} title={title} taut={why} />
              {!drafted && gripped(day.picture)}
            </div>
          </figure>
        )}
        {!day && <Loading error={error} retry={() => void refetch()} />}
      </div>
      {day && changes.length === 0 && <Offered day={day} change={add} />}
      {day?.bakes.length === 0 && (
        <p className="card">
          {words.nothingIsPlannedYet} <Link to="/doughs">{words.chooseADough}</Link> {words.andLayItOut}
        </p>
      )}
      {day && day.bakes.length > 0 && (
        <div className="columns">
          <HandsTable day={day} changes={changes} add={add} />
          <div className="stack">
            <section className="card" aria-label={words.whatTheOvensDo}>
              <h2>{words.whatTheOvensDo}</h2>
              <ul className="lines">
                {day.ovens.map((o) => (
                  <li key={o.oven + o.from + o.text}>
                    <b className="num">{words.toAt(clockTime(o.from), clockTime(o.to))}</b> {o.text}
                    <span className="muted">
                      {ovens > 1 && ` · ${o.oven}`}
                      {o.heat && ` · ${o.heat}`}
                      {o.heatsFrom && words.heatsFrom(clockTime(o.heatsFrom))}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
            {day.bakes.map((b, i) => (
              <details
                key={b.id}
                className={`card of-bake ${hueOf(i)}`}
                open={why === i}
                onToggle={(e) => setWhy(e.currentTarget.open ? i : why === i ? null : why)}
              >
                <summary>{words.toTitle(b.title, clockTime(b.start), clockTime(b.ready))}</summary>
                <Making bake={b} changes={changes} add={add} />
                <p className="muted">
                  {words.whyItBeginsAtReady(clockTime(b.start), clockTime(b.ready))}
                  {b.wanted ? words.wanted(clockTime(b.wanted)) : ''}
                  {words.andTheseLeaveNoSlack}
                </p>
                <ol className="lines">
                  {b.why.map((w) => (
                    <li key={w.at + w.text}>
                      <b className="num">{clockTime(w.at)}</b> {w.text}
                      {w.length >= 60 ? `, ${span(w.length * 1000)}` : ''}
                      {w.held ? words.waitsForTheRestOf : ''}
                    </li>
                  ))}
                </ol>
              </details>
            ))}
            <Away />
            <CalendarCard />
          </div>
        </div>
      )}
    </>
  );
}
