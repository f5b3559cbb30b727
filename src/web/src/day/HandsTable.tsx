// What the hands do, minute by minute. A time typed here is wanted then, and the rest moves around it.
import type { Schemas } from '../api/http';
import { clockTime, span } from '../api/clock';
import { hueOf } from '../strands/hue';
import { TimeField } from './TimeField';
import type { Change } from './useDraft';
import * as words from './words';
import css from './day.module.css';

export function HandsTable({ day, changes, add }: { day: Schemas['DayView']; changes: Change[]; add: (change: Change) => void }) {
  const { hands, bakes } = day;
  const pinOf = (h: Schemas['HandsLine']) => {
    const changed = changes.findLast((c) => c.bake === h.bake && c.id === h.step && (c.kind === 'pin' || c.kind === 'unpin'));
    return changed ? (changed.kind === 'pin' ? changed.at : null) : h.pinned ? h.at : null;
  };
  return (
    <section className="card" aria-label={words.whatTheHandsDo}>
      <h2>{words.whatTheHandsDo}</h2>
      <table className="plain">
        <tbody>
          {hands.map((h, i) => {
            const pin = pinOf(h);
            // Its bread is named where another's was in hand before; its colour goes along the rows.
            const isAnother = hands[i - 1]?.bake !== h.bake;
            return (
              <tr key={h.bake + h.step} className={`${hueOf(bakes.findIndex((b) => b.id === h.bake))} ${css.hand}`}>
                <td className="num">
                  {h.canPin ? (
                    <TimeField
                      label={words.atItsTime(h.text, h.title)}
                      at={pin ?? h.at}
                      set={(at) => add({ bake: h.bake, kind: 'pin', id: h.step, at })}
                    />
                  ) : (
                    <b>{clockTime(h.at)}</b>
                  )}
                </td>
                <td>
                  {isAnother && <b className={css.handOf}>{h.title}</b>}
                  {h.text}
                  {pin && (
                    <button
                      className="button small quiet"
                      onClick={() => add({ bake: h.bake, kind: 'unpin', id: h.step })}
                      aria-label={words.anyTime(h.text, h.title)}
                    >
                      {words.pinned}
                    </button>
                  )}
                </td>
                <td className="num muted">
                  {h.length >= 60 ? span(h.length * 1000) : ''}
                  {h.slack ? <small> {words.slack(span(h.slack * 1000))}</small> : null}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
