// One past bake: plan against what happened, weights, evenness, notes.
import { Input } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type BenchView, type Schemas } from '../api/http';
import { calendarDay, clockTime, utcOffsetMinutes } from '../api/clock';
import { figure, weight } from '../bench/scaleUnits';
import { StarButtons } from '../bench/StarButtons';
import { useSend } from '../bench/useSend';
import { Finish } from '../oven/Finish';
import { whereItIs } from '../parts/kept';
import { Loading } from '../parts/Loading';
import { useWidth } from '../parts/useWidth';
import { StrandPicture } from '../strands/StrandPicture';
import { useUnits } from '../parts/units';
import { Stars } from './Logbook';
import { Photo } from './Photo';
import * as words from './words';
import css from './logbook.module.css';

export default function LogbookPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = api.useQuery('get', '/api/logbook/{id}', { params: { path: { id } } });
  const { mass } = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>();
  const picture = api.useQuery(
    'post',
    '/api/bakes/{id}/picture',
    { params: { path: { id } }, body: { width, utcOffsetMinutes: utcOffsetMinutes() } },
    { enabled: width > 0 },
  );
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  return (
    <div className={picture.isPending ? 'page settling' : 'page'}>
      <header className="row on-line">
        <h1>{data.title}</h1>
        <span className="muted">
          {data.what} · {data.finishedAt ? calendarDay(data.finishedAt) : words.notOverYet}
          {data.source && (
            <>
              {' · '}
              <Link to={`/doughs/${data.source.id}`}>{words.versionOfTheDough(data.source.version)}</Link>
            </>
          )}
        </span>
        {data.stars !== null && <Stars n={data.stars} />}
        {data.source && (
          <Link className="button small" to={`/lay-out?again=${id}`}>
            {words.sameAgain}
          </Link>
        )}
        <a className="button small" href={`/api/archive?id=${id}`} download>
          {words.asAFile}
        </a>
      </header>
      {data.note && <p className="tight said-big">{data.note}</p>}
      <div className="picture-box" ref={ref}>
        {picture.data && <StrandPicture picture={picture.data} title={data.title} hideNow />}
      </div>
      <Photo id={id} of={`${data.title}, ${data.what}`} />
      <WhatIsLeft id={id} />
      <KeptOfIt id={id} />
      <Judge page={data} />
      <div className="columns">
        <section className="card">
          <h2>{words.planAndWhatHappened}</h2>
          <table className="plain">
            <thead>
              <tr>
                <th>{words.step}</th>
                <th className="num">{words.plan}</th>
                <th className="num">{words.was}</th>
                <th className="num">{words.min}</th>
              </tr>
            </thead>
            <tbody>
              {data.steps.map((s) => (
                <tr key={s.step}>
                  <td>{s.short}</td>
                  <td className="num">{s.planned ? clockTime(s.planned) : ''}</td>
                  <td className="num">
                    {s.state === 'skipped' ? words.skipped : s.actual ? clockTime(s.actual) : words.notDone}
                  </td>
                  <td className="num">
                    {s.planned && s.actual ? signed((Date.parse(s.actual) - Date.parse(s.planned)) / 60000) : ''}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section className="card">
          <h2>{words.weights}</h2>
          <p>
            {words.dough} {data.dough === null ? words.notWeighed : mass(data.dough)}
            {words.aboutExpectedAddedAtThe(mass(data.expected), data.added)}
          </p>
          {data.parts.some((p) => p.weighed !== null) ? (
            data.cuts.map((cut, c) => <Weights key={c} page={data} cut={cut} parts={data.parts.filter((p) => p.cut === c)} />)
          ) : (
            <p className="muted">{words.noPieceWasWeighed}</p>
          )}
        </section>
      </div>
    </div>
  );
}

const signed = (minutes: number) =>
  Math.abs(minutes) < 0.5 ? '0' : `${minutes > 0 ? '+' : '−'}${Math.abs(Math.round(minutes))}`;

function Weights({ page, cut, parts }: { page: Schemas['LogbookPage']; cut: Schemas['StationCut']; parts: Schemas['Piece'][] }) {
  const { scale } = page;
  const [ref, all] = useWidth<HTMLDivElement>();
  const weighed = parts.flatMap((p) => (p.weighed === null ? [] : [p.weighed]));
  if (weighed.length === 0) return null;
  const [lightest, heaviest] = [Math.min(...weighed), Math.max(...weighed)];
  const width = all / parts.length;
  return (
    <>
      {page.cuts.length > 1 && <h3>{cut.name}</h3>}
      <div ref={ref} />
      <svg
        viewBox={`0 0 ${all} 150`}
        width="100%"
        role="img"
        aria-label={words.weightsParts(
          parts.map((p) => (p.weighed === null ? words.notWeighed : weight(scale, p.weighed))).join(', '),
        )}
      >
        {parts.map((p, i) => {
          const h = (110 * (p.weighed ?? 0)) / heaviest;
          return (
            <g key={p.number}>
              <rect
                x={i * width + 2}
                y={140 - h}
                width={Math.max(3, Math.min(90, width - 4))}
                height={h}
                rx={5}
                fill="var(--s0)"
                stroke="var(--s0-line)"
              />
              {width > 26 && p.weighed !== null && (
                <text
                  x={i * width + 2 + Math.min(90, width - 4) / 2}
                  y={134 - h}
                  fontSize={14}
                  textAnchor="middle"
                  fill="var(--ink)"
                >
                  {figure(scale, p.weighed)}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      {weighed.length > 1 && (
        <p>
          {words.fromToSpread(figure(scale, lightest), weight(scale, heaviest), weight(scale, heaviest - lightest))}
          {cut.bakeBetween !== null && words.betweenTheLightestAndThe((cut.bakeBetween / 60).toFixed(1))}
        </p>
      )}
    </>
  );
}

// What is left of it can still be sliced, or go into the freezer.
function WhatIsLeft({ id }: { id: string }) {
  const { data } = api.useQuery('get', '/api/bakes/{id}', { params: { path: { id } } });
  if (!data || data.finish.length === 0) return null;
  return (
    <section className="card" aria-label={words.theBread}>
      <Finish bake={data} />
    </section>
  );
}

// Dough and bread kept of it, and what became of them.
function KeptOfIt({ id }: { id: string }) {
  const { data } = api.useQuery('get', '/api/larder/{bake}', { params: { path: { bake: id } } });
  if (!data || data.length === 0) return null;
  return (
    <section className="card" aria-label={words.keptOfIt}>
      <h2>{words.keptOfIt}</h2>
      <ul className="lines">
        {data.map((t) => (
          <li key={`${t.cut} ${t.kind}`}>
            {t.what}, {t.madeInto ? <Link to={`/bench/${t.madeInto}`}>{words.madeIntoAnotherBake}</Link> : whereItIs(t)}
            {t.in !== 'gone' && words.since(calendarDay(t.since), clockTime(t.since))}
          </li>
        ))}
      </ul>
    </section>
  );
}

// How it was can be said later, or put otherwise.
function Judge({ page }: { page: Schemas['LogbookPage'] }) {
  const { data } = api.useQuery('get', '/api/bakes/{id}', { params: { path: { id: page.id } } });
  const [open, setOpen] = useState(false);
  if (!data) return null;
  if (!open)
    return (
      <button type="button" className="button at-start" onClick={() => setOpen(true)}>
        {page.stars === null ? words.sayHowItWas : words.putItOtherwise}
      </button>
    );
  return <JudgeAnew page={page} bake={data} done={() => setOpen(false)} />;
}

function JudgeAnew({ page, bake, done }: { page: Schemas['LogbookPage']; bake: BenchView; done: () => void }) {
  const { send } = useSend(bake, done);
  const [stars, setStars] = useState(page.stars ?? 0);
  const [note, setNote] = useState(page.note ?? '');
  const step = page.steps.at(-1)?.step ?? '';
  return (
    <section className={`card ${css.judge}`} aria-label={words.howItWas}>
      <StarButtons stars={stars} set={setStars} />
      <label htmlFor="note">{words.forNextTime}</label>
      <Input.TextArea id="note" rows={2} value={note} onChange={(e) => setNote(e.target.value)} maxLength={2000} />
      <button
        type="button"
        className="button do"
        disabled={stars === 0}
        onClick={() => send({ type: 'reviewed', step, stars, note })}
      >
        {words.keep}
      </button>
    </section>
  );
}
