// The day: what is under way, what is next and when; start something.
import { Link } from 'react-router';
import { useMoveKept, useWantKept } from '../api/changes';
import { api, type BenchView, type Schemas } from '../api/http';
import {
  asTyped,
  calendarDay,
  clockTime,
  dayAndTime,
  houseSpeed,
  span,
  typedMoment,
  useNow,
  utcOffsetMinutes,
} from '../api/clock';
import { whereItIs } from '../parts/kept';
import { Loading } from '../parts/Loading';
import { percent, useUnits } from '../parts/units';
import { useWidth } from '../parts/useWidth';
import { StrandPicture } from '../strands/StrandPicture';
import { Troubles } from '../day/Troubles';
import { Starters } from '../doughs/Starters';
import { FirstQuestions } from '../first/FirstQuestions';
import * as words from './words';
import css from './today.module.css';

export function Today() {
  // Its times are told anew once it is known how this household reads them.
  useUnits();
  const { data, error, refetch } = api.useQuery('get', '/api/today', undefined, {
    refetchInterval: houseSpeed() > 1 ? 1500 : 10000,
  });
  const doughs = api.useQuery('get', '/api/doughs', { params: { query: { take: 11 } } });
  const { mass } = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>();
  const picture = api.useQuery(
    'post',
    '/api/today/picture',
    { body: { width, utcOffsetMinutes: utcOffsetMinutes() } },
    { enabled: width > 0, placeholderData: (before) => before, refetchInterval: houseSpeed() > 1 ? 3000 : 30000 },
  );
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  const [first, ...others] = data.bakes;
  return (
    <div className={first && picture.isPending ? 'page settling' : 'page'}>
      {data.lost && <Missing lost={data.lost} />}
      {data.setAside.length > 0 && <SetAside things={data.setAside} />}
      {first && (
        <div className="picture-box" ref={ref}>
          {picture.data && (
            <StrandPicture picture={picture.data} title={words.theDay(data.bakes.map((b) => b.title).join(', '))} />
          )}
        </div>
      )}
      {first ? <DayBar bake={first} next={data.next} /> : <Empty />}
      {data.bakes.length > 1 && <Troubles />}
      {others.length > 0 && (
        <section className="card" aria-label={words.alsoUnderWay}>
          <Link to="/day" className="button small quiet to-side">
            {words.theDayInFull}
          </Link>
          <ul className="lines">
            {others.map((b) => (
              <li key={b.id}>
                <Link to={`/bench/${b.id}`}>
                  <b>{b.title}</b>
                </Link>{' '}
                {b.what} · {b.beat ? words.atItsTime(b.beat.phrase.short, clockTime(b.beat.due)) : ''}{' '}
                {words.ready(clockTime(b.ready))}
              </li>
            ))}
          </ul>
        </section>
      )}
      <InTheCold />
      {doughs.data?.total === 0 && data.bakes.length === 0 && <FirstQuestions />}
      {doughs.data?.total === 0 && <Starters />}
      <section aria-label={words.startSomething}>
        <h2 className="over-shelf">{words.startSomething}</h2>
        <div className="shelf">
          {doughs.data?.doughs.map((d) => (
            <Link key={d.id} className="card" to={`/lay-out?dough=${d.id}`}>
              <h3>{d.name}</h3>
              <span className="muted">{words.hydration(mass(d.total), percent(d.hydration, 0))}</span>
            </Link>
          ))}
          {doughs.data && doughs.data.total > doughs.data.doughs.length && (
            <Link className="card" to="/doughs">
              <h3>{words.allDoughs(doughs.data.total)}</h3>
              <span className="muted">{words.searchTheBook}</span>
            </Link>
          )}
          <Link className="card" to="/doughs/new">
            <h3>{words.yourOwnDough}</h3>
            <span className="muted">{words.typeIngredientsAndGrams}</span>
          </Link>
        </div>
      </section>
    </div>
  );
}

// Dough in the fridge, bread in the freezer: it stands here until it is used, eaten or thrown away.
function InTheCold() {
  const { data } = api.useQuery('get', '/api/larder');
  const move = useMoveKept();
  if (!data || data.length === 0) return null;
  return (
    <section className="card" aria-label={words.inTheCold}>
      <h2>{words.inTheCold}</h2>
      <ul className={`lines ${css.inTheCold}`}>
        {data.map((t) => {
          const to = (to: Schemas['KeptIn']) => void move.make({ bake: t.bake, cut: t.cut, kind: t.kind, to });
          const frozen = t.in === 'freezer';
          return (
            <li key={`${t.bake} ${t.cut} ${t.kind}`}>
              <span>
                <b>{t.name}</b>
                {', '}
                {words.since(t.what, whereItIs(t), calendarDay(t.since), clockTime(t.since))}
                <small className="muted">
                  {keeps(t)}
                  {t.how && `. ${t.how}`}
                </small>
              </span>
              <ReadyBy kept={t} />
              <span className="choices">
                {t.kind !== 'bread' && (
                  <Link className="button small" to={`/lay-out?bake=${t.bake}&cut=${t.cut}`}>
                    {t.kind === 'shaped' ? words.bakeThem : words.makeSomethingOfIt}
                  </Link>
                )}
                <button className="button small quiet" onClick={() => to(frozen ? 'fridge' : 'freezer')}>
                  {frozen ? words.thawIt : words.freezeIt}
                </button>
                <button className="button small quiet" onClick={() => to('gone')}>
                  {t.kind === 'bread' ? words.eaten : words.thrownAway}
                </button>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

// When frozen bread is wanted, and what is done until then.
function ReadyBy({ kept: t }: { kept: Schemas['KeptView'] }) {
  const want = useWantKept();
  const now = useNow(10_000);
  if (t.kind !== 'bread') return null;
  const set = (at: string | null) => void want.make({ bake: t.bake, cut: t.cut, at });
  return (
    <span className={css.readyBy}>
      <label>
        {words.onTheTable}{' '}
        <input
          type="datetime-local"
          className="typed"
          value={t.wanted ? asTyped(t.wanted) : ''}
          onChange={(e) => set(e.target.value ? typedMoment(e.target.value) : null)}
        />
      </label>
      {t.steps.length > 0 && (
        <ol className={`lines ${css.steps}`}>
          {t.steps.map((s) => (
            <li key={s.say} className={Date.parse(s.at) <= now ? 'late' : ''}>
              <b className="num">{dayAndTime(s.at)}</b> {s.say}
            </li>
          ))}
        </ol>
      )}
    </span>
  );
}

function keeps({ in: where, bestUntil, thawed, useBy }: Schemas['KeptView']) {
  if (where === 'freezer') return words.until(calendarDay(bestUntil));
  if (thawed) return words.thawed(dayAndTime(thawed));
  return words.bestUntilUseBy(calendarDay(bestUntil), clockTime(bestUntil), calendarDay(useBy));
}

// Kept, but of no use to this version: said once, in the way of nothing.
// The book ends before what was told to it.
function Missing({ lost }: { lost: Schemas['Lost'] }) {
  return (
    <section className="card" aria-label={words.missing}>
      <p className="problem" role="alert">
        {words.theEndOfThisBook(lost.missing)} {lost.missing === 1 ? words.thingThatWas : words.thingsThatWere}{' '}
        {words.toldLastItsFileWas}
        {lost.lastAt && words.theLastThatIsThere(dayAndTime(lost.lastAt))}
      </p>
      <Link to="/kitchen?thing=kept">{words.copiesOfTheBook}</Link>
    </section>
  );
}

function SetAside({ things }: { things: Schemas['UnreadView'][] }) {
  return (
    <section className="card" aria-label={words.setAside}>
      <h2>{words.setAside}</h2>
      <p className="muted">{words.thisVersionCannotReadThese}</p>
      <ul className="lines">
        {things.map((t) => (
          <li key={`${t.kind} ${t.id}`}>
            <b>{t.name}</b> {t.reason}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Empty() {
  return (
    <section className="bar">
      <h1>{words.nothingIsUnderWay}</h1>
      <p>{words.chooseADoughSayWhen}</p>
    </section>
  );
}

function DayBar({ bake, next }: { bake: BenchView; next: Schemas['NextLine'][] }) {
  const now = useNow(500);
  const { beat } = bake;
  return (
    <section className={`bar ${css.todayBar}`} aria-label={words.now}>
      <div>
        <h1 aria-live="polite">{beat?.say}</h1>
        <p>
          {bake.title} ·{' '}
          {beat && !beat.isDue
            ? words.then(beat.phrase.short, dayAndTime(beat.due))
            : beat?.phrase.detail || words.readyAt(clockTime(bake.ready))}
        </p>
      </div>
      <dl className={css.beats}>
        {next.map((n) => (
          <div className="no-box" key={n.bake + n.step}>
            <dt>{clockTime(n.at)}</dt>
            <dd>{n.text}</dd>
          </div>
        ))}
      </dl>
      <Link className={`button do ${css.go}`} to="/bench">
        {words.toTheBench}
        <small>{words.readyIn(span(Date.parse(bake.ready) - now))}</small>
      </Link>
    </section>
  );
}
