// Bread in the oven: the middle as reckoned, what the probe says, and a colour card for whoever has none.
import { useEffect, useRef, useState } from 'react';
import { api, type BakeEvent, type BenchView, type Schemas } from '../api/http';
import { clockTime, useNow } from '../api/clock';
import { useAskedBack } from '../bench/useAskedBack';
import { useUnits } from '../parts/units';
import { BreadPicture } from '../shaping/BreadPicture';
import { useTyped } from '../parts/useTyped';
import { useWidth } from '../parts/useWidth';
import * as words from './words';
import css from './oven.module.css';

export function InOven({ bake, tell }: { bake: BenchView; tell: (event: BakeEvent) => void }) {
  const oven = bake.inOven;
  const bread = bake.beat?.bread ?? { form: 'ball', tie: null, slashes: 'none', dark: false, strewn: false };
  const typed = useTyped('temperature');
  const { heat } = useUnits();
  const { asked, ask } = useAskedBack(oven?.believed);
  const [follows, setFollows] = useState(false);
  const standIns = api.useQuery('get', '/api/kitchen').data?.standIns ?? false;
  const read = (core: number) => oven && Number.isFinite(core) && tell({ type: 'probe-read', load: oven.load, core });
  const thermometers = api.useQuery(
    'get',
    '/api/bakes/{id}/thermometers',
    { params: { path: { id: bake.id } } },
    { enabled: false },
  );
  const take = async () => {
    const { data } = await thermometers.refetch();
    if (data?.probe != null) read(data.probe);
  };
  const latest = useRef<() => void>(() => undefined);
  const minute = Math.floor(useNow(1000) / 60_000);
  useEffect(() => {
    if (follows) latest.current();
  }, [follows, minute]);
  useEffect(() => {
    latest.current = () => void take();
  });
  if (!oven) return null;
  if (!oven.probeHelps)
    return (
      <section aria-label={words.inTheOven} className={css.inOven}>
        <p className="detail">{words.likelyDoneAtOutBy(clockTime(oven.likely), clockTime(oven.latest))}</p>
        <ColourCard bread={bread} />
      </section>
    );
  return (
    <section aria-label={words.inTheOven} className={css.inOven}>
      <CoreCurve oven={oven} />
      <div className="station-line">
        <label>
          {words.probe(typed.unit)}{' '}
          <input
            className="typed"
            inputMode="decimal"
            value={typed.text}
            onChange={(e) => typed.type(e.target.value)}
            onKeyDown={(e) => {
              if (e.key !== 'Enter') return;
              ask(typed.value, () => {
                read(typed.value ?? Number.NaN);
                typed.type('');
              });
            }}
          />
        </label>
        {asked !== null && asked === typed.value && (
          <span className="caution" role="alert">
            {words.inTheMiddleEnterAgain(heat(asked))}
          </span>
        )}
        {standIns && (
          <>
            <button className="button small" onClick={() => void take()}>
              {words.readTheStandInProbe}
            </button>
            <label>
              <input type="checkbox" checked={follows} onChange={(e) => setFollows(e.target.checked)} /> {words.everyMinute}
            </label>
          </>
        )}
        <span className="muted">{whenDone(oven)}</span>
      </div>
      <ColourCard bread={bread} />
    </section>
  );
}

function whenDone(oven: Schemas['InOvenView']) {
  if (oven.done && oven.doneFrom && oven.doneTo) {
    const [from, to] = [clockTime(oven.doneFrom), clockTime(oven.doneTo)];
    const crust = Date.parse(oven.done) < Date.parse(oven.firstLook);
    return words.doneInside(
      from === to ? words.atTheTime(from) : words.betweenAnd(from, to),
      crust ? words.theCrustIsLookedAt(clockTime(oven.firstLook)) : '',
    );
  }
  if (oven.readings.length > 0) return words.oneMoreReadingTwoMinutes;
  return words.likelyDoneAtOutByAt(clockTime(oven.likely), clockTime(oven.latest));
}

function CoreCurve({ oven }: { oven: Schemas['InOvenView'] }) {
  const now = useNow(1000);
  const { heat } = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>();
  const from = Date.parse(oven.loaded);
  const minutes = Math.max(
    oven.curve.length - 1,
    (now - from) / 60000,
    ((oven.done ? Date.parse(oven.done) : from) - from) / 60000 + 1,
  );
  const x = (m: number) => 34 + ((width - 46) * m) / minutes;
  const at = (t: string | number) => x(((typeof t === 'number' ? t : Date.parse(t)) - from) / 60000);
  const y = (c: number) => 170 - (150 * (c - 20)) / 85;
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          className="picture"
          viewBox={`0 0 ${width} 200`}
          role="img"
          aria-label={words.theMiddleShouldReachProbe(
            heat(oven.wanted),
            oven.readings.map((r) => `${clockTime(r.at)} ${heat(r.core)}`).join(', ') || words.notReadYet,
          )}
        >
          <rect
            x={at(oven.firstLook)}
            y={14}
            width={Math.max(2, at(oven.latest) - at(oven.firstLook))}
            height={156}
            fill="var(--good-soft)"
            opacity={0.4}
          />
          <line
            x1={34}
            x2={width - 12}
            y1={y(oven.wanted)}
            y2={y(oven.wanted)}
            stroke="var(--good)"
            strokeDasharray="6 5"
            strokeWidth={2}
          />
          <text x={38} y={y(oven.wanted) - 6} fontSize={14}>
            {heat(oven.wanted)}
          </text>
          <path
            d={`M ${oven.curve.map((c, m) => `${x(m)} ${y(c)}`).join(' L ')}`}
            fill="none"
            stroke="var(--heat-ink)"
            strokeWidth={2.5}
            opacity={0.7}
          />
          {oven.readings.map((r) => (
            <circle key={r.at} cx={at(r.at)} cy={y(r.core)} r={7} fill="var(--card)" stroke="var(--ink)" strokeWidth={3} />
          ))}
          {oven.doneFrom && oven.doneTo && (
            <rect
              x={at(oven.doneFrom)}
              y={14}
              width={Math.max(3, at(oven.doneTo) - at(oven.doneFrom))}
              height={156}
              fill="var(--good)"
              opacity={0.35}
            />
          )}
          {oven.done && (
            <g>
              <line x1={at(oven.done)} x2={at(oven.done)} y1={14} y2={170} stroke="var(--good)" strokeWidth={3} />
              <text x={at(oven.done)} y={190} fontSize={14} textAnchor="middle" fontWeight={700}>
                {clockTime(oven.done)}
              </text>
            </g>
          )}
          <line x1={at(now)} x2={at(now)} y1={6} y2={170} stroke="var(--now)" strokeWidth={3} />
          <line x1={34} x2={width - 12} y1={170} y2={170} stroke="var(--soft-ink)" />
          <text x={34} y={190} fontSize={14}>
            {clockTime(oven.loaded)}
          </text>
        </svg>
      )}
    </div>
  );
}

const colours: [string, string, string][] = [
  ['#f3dfb4', 'pale', words.notYet],
  ['#e5b868', 'golden', words.softBreads],
  ['#c98a3c', 'brown', words.crustyBreads],
  ['#8f5522', 'dark', words.outNow],
];

// What it should look like.
function ColourCard({ bread }: { bread: Schemas['BreadLook'] }) {
  return (
    <ul className={css.colours} aria-label={words.colourCard}>
      {colours.map(([fill, name, means]) => (
        <li key={name}>
          <BreadPicture look={bread} crust={fill} width={84} />
          <b>{name}</b> {means}
        </li>
      ))}
    </ul>
  );
}
