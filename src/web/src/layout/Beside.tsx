// In the way of what is planned already: said, and the whole day laid out around it in one touch.
import type { Schemas } from '../api/http';
import { clockTime } from '../api/clock';
import * as words from './words';
import css from './layout.module.css';

export function Beside({ beside, keep }: { beside: Schemas['BesideView']; keep: () => void }) {
  return (
    <section aria-label={words.besideTheRestOfThe} className={css.beside}>
      <ul className="lines">
        {beside.clashes.map((c) => (
          <li key={c.at + c.text} className={c.impossible ? 'late' : ''}>
            <b className="num">{clockTime(c.at)}</b> {c.text}
          </li>
        ))}
      </ul>
      {beside.moves.length > 0 && (
        <ul className="lines muted" aria-label={words.whatWouldMove}>
          {beside.moves.map((m) => (
            <li key={m.bake}>
              <b className="num">
                {clockTime(m.from)} → {clockTime(m.to)}
              </b>{' '}
              {m.title}: {m.text}
            </li>
          ))}
        </ul>
      )}
      {beside.left.length > 0 && (
        <p className="muted">{words.still(beside.left.map((f) => `${clockTime(f.at)} ${f.text}`).join(' '))}</p>
      )}
      <button className="button do" onClick={keep}>
        {words.layTheDayOutAround}
        <small>{words.startReady(clockTime(beside.start), clockTime(beside.ready))}</small>
      </button>
    </section>
  );
}
