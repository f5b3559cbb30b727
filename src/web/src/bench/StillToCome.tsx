// What comes next, and when the bread is ready.
import type { ReactNode } from 'react';
import { clockTime, span } from '../api/clock';
import type { AtBeat } from './AtTheBeat';
import * as words from './words';
import css from './bench.module.css';

export function StillToCome({ bake, beat, next, showAll, children }: AtBeat & { children: ReactNode }) {
  return (
    <aside className={`card side ${css.next}`} aria-label={words.stillToCome}>
      <h2>{words.stillToCome}</h2>
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
          {words.readyWhat(bake.what)}
          <Drift ready={bake.ready} planned={bake.plannedReady} />
        </span>
      </div>
      <button className={`button small ${css.allSteps}`} onClick={showAll}>
        {words.allOfTheSteps}
      </button>
      {beat.recipe !== '' && (
        <p className={css.recipeHere}>
          <small className="muted">{words.theRecipeSaysHere}</small> {beat.recipe}
        </p>
      )}
      {children}
      {bake.method !== '' && (
        <details className="method-here">
          <summary>{words.whatTheRecipeSays}</summary>
          <p className={css.method}>{bake.method}</p>
        </details>
      )}
    </aside>
  );
}

function Drift({ ready, planned }: { ready: string; planned: string }) {
  const late = Date.parse(ready) - Date.parse(planned);
  if (Math.round(late / 60000) === 0) return null;
  return (
    <small className="muted">
      {' '}
      {span(Math.abs(late))} {late > 0 ? words.later : words.sooner} {words.thanPlanned}
    </small>
  );
}
