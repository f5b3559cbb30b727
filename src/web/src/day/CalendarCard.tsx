// The day in a calendar: a file to keep, and an address that stays up to date.
import { api } from '../api/http';
import * as words from './words';
import css from './day.module.css';

export function CalendarCard() {
  const { data } = api.useQuery('get', '/api/day/calendar');
  return (
    <section className="card" aria-label={words.calendar}>
      <h2>{words.calendar}</h2>
      <p>
        <a href="/api/day.ics">{words.theDayAsAFile}</a>
        {words.withAlarms}
      </p>
      {data?.address ? (
        <label>
          {words.toSubscribeToOnThe}
          <input className={css.address} readOnly value={data.address} onFocus={(e) => e.target.select()} />
        </label>
      ) : (
        data && (
          <p className="muted">
            {words.aCalendarThatStaysUp} <code>{words.houseTrue}</code> {words.andAPassphrase}
          </p>
        )
      )}
    </section>
  );
}
