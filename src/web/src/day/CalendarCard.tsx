// The day in a calendar: a file to keep, and an address that stays up to date.
import { api } from '../api/http';
import css from './day.module.css';

export function CalendarCard() {
  const { data } = api.useQuery('get', '/api/day/calendar');
  return (
    <section className="card" aria-label="Calendar">
      <h2>Calendar</h2>
      <p>
        <a href="/api/day.ics">The day as a file</a>, with alarms.
      </p>
      {data?.address ? (
        <label>
          To subscribe to on the house network
          <input className={css.address} readOnly value={data.address} onFocus={(e) => e.target.select()} />
        </label>
      ) : (
        data && (
          <p className="muted">
            A calendar that stays up to date wants the house network: start Jolly Knot with <code>--house true</code> and a
            passphrase.
          </p>
        )
      )}
    </section>
  );
}
