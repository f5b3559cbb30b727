// Every version of a dough that was ever kept, and the way back to it.
import { api } from '../api/http';
import { calendarDay, clockTime } from '../api/clock';
import { percent, useUnits } from '../parts/units';
import { stateOf, type DoughState } from './draft';
import * as words from './words';

export function Versions({ id, take }: { id: string; take: (to: DoughState) => void }) {
  const { mass } = useUnits();
  const { data } = api.useQuery('get', '/api/doughs/{id}/versions', { params: { path: { id } } });
  if (!data || data.length < 2) return null;
  return (
    <section className="card" aria-label={words.versions}>
      <h2 className="over-list">{words.versions}</h2>
      <table className="plain">
        <tbody>
          {data.map((v, i) => (
            <tr key={v.version}>
              <td>
                <b>{v.version}</b> {v.name}
              </td>
              <td className="num muted">
                {mass(v.formula.total)}, {percent(v.formula.hydration)}
              </td>
              <td className="muted">
                {calendarDay(v.updatedAt)} {clockTime(v.updatedAt)}
              </td>
              <td className="to-right">
                {i === 0 ? (
                  words.now
                ) : (
                  <button
                    className="button quiet"
                    onClick={() => take(stateOf(v.name, v.byHand, v.notes, v.formula, v.plan, v.ownOrder))}
                  >
                    {words.backTo(v.version)}
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
