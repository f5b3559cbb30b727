// Where the household's bread is kept: its folder, its copies, one now or one put back; and everything as one file.
import { useState } from 'react';
import { useBringArchive, useMakeCopy, usePutBack } from '../api/changes';
import { dayAndTime } from '../api/clock';
import { api, type Schemas } from '../api/http';
import { Section } from './form';
import * as words from './words';
import css from './kitchen.module.css';

const mega = 1e6;
const giga = 1e9;

export function WhereItIsKept() {
  const { data } = api.useQuery('get', '/api/copies');
  const { make, busy } = useMakeCopy();
  const [isOpen, setOpen] = useState(false);
  if (!data) return null;
  const last = data.copies[0];
  return (
    <Section title={words.whereYourBreadIsKept}>
      <p>
        <code>{data.folder}</code>
        {', '}
        {words.mbGbAreFreeBeside((data.size / mega).toFixed(1), (data.free / giga).toFixed(0))}
      </p>
      <p>
        {last ? words.lastCopyInAllIn(dayAndTime(last.at), data.copies.length) : words.noCopyYet} {words.oneIsMadeEachDay}
      </p>
      <div className="buttons-row">
        <button type="button" className="button" disabled={busy} onClick={() => void make(undefined)}>
          {words.makeACopyNow}
        </button>
        {data.copies.length + data.aside.length > 0 && (
          <button type="button" className="button" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {words.putACopyBack}
          </button>
        )}
      </div>
      {isOpen && <Copies kept={data} />}
      <Everything />
    </Section>
  );
}

/** Waits until the house is there again, and loads the page anew. */
async function begunAnew() {
  const wait = () => new Promise((r) => setTimeout(r, 500));
  const isThere = () =>
    fetch('/health')
      .then((answer) => answer.ok)
      .catch(() => false);
  // It answers until it has stopped.
  for (let i = 0; i < 10 && (await isThere()); i++) await wait();
  while (!(await isThere())) await wait();
  window.location.reload();
}

function Copies({ kept }: { kept: Schemas['WhereKeptView'] }) {
  const putBack = usePutBack();
  const [wanted, setWanted] = useState<Schemas['Copy'] | null>(null);
  const [said, say] = useState('');
  const all = [
    ...kept.copies.map((copy) => ({ copy, called: words.copyOf(dayAndTime(copy.at)) })),
    ...kept.aside.map((copy) => ({ copy, called: words.setAside(dayAndTime(copy.at)) })),
  ];
  async function back(copy: Schemas['Copy']) {
    const { trouble } = await putBack.make(copy.name);
    setWanted(null);
    if (trouble) return say(trouble.title);
    say(words.itIsPutBackThe);
    await begunAnew();
  }
  return (
    <>
      <ul className={css.copies} aria-label={words.copies}>
        {all.map(({ copy, called }) => (
          <li key={copy.name}>
            <span>{words.mb(called, (copy.size / mega).toFixed(1))}</span>
            {wanted?.name === copy.name ? (
              <div className="buttons-row">
                <span>{words.everythingAsItIsNow}</span>
                <button type="button" className="button do" disabled={putBack.busy} onClick={() => void back(copy)}>
                  {words.putItBack}
                </button>
                <button type="button" className="button" onClick={() => setWanted(null)}>
                  {words.leaveIt}
                </button>
              </div>
            ) : (
              <button type="button" className="button small" onClick={() => setWanted(copy)} aria-label={words.putBack(called)}>
                {words.putBackShort}
              </button>
            )}
          </li>
        ))}
      </ul>
      {said && <p role="status">{said}</p>}
    </>
  );
}

function Everything() {
  const bring = useBringArchive();
  const [said, say] = useState('');
  async function take(file: File | undefined) {
    if (!file) return;
    say(words.itIsBeingRead);
    const { answer, trouble } = await bring.make(file);
    if (trouble) return say(trouble.title);
    say(answer.beginsAnew ? words.theKitchenOpensAnew(answer.said) : answer.said);
    if (answer.beginsAnew) await begunAnew();
  }
  return (
    <>
      <h3>{words.everythingToTakeAlong}</h3>
      <p>{words.doughsBakesAndKitchenAs}</p>
      <div className="buttons-row">
        <a className="button" href="/api/archive" download>
          {words.takeEverythingAlong}
        </a>
        <label className={`button ${css.file}`}>
          {words.bringAFile}
          <input
            type="file"
            accept=".zip,application/zip"
            disabled={bring.busy}
            onChange={(e) => {
              void take(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
      </div>
      {said && <p role="status">{said}</p>}
    </>
  );
}
