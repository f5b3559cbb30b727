// Where the household's bread is kept: its folder, its copies, and one now.
import { useMakeCopy } from '../api/changes';
import { dayAndTime } from '../api/clock';
import { api } from '../api/http';
import { Section } from './form';

const mega = 1e6;
const giga = 1e9;

export function WhereItIsKept() {
  const { data } = api.useQuery('get', '/api/copies');
  const { make, busy } = useMakeCopy();
  if (!data) return null;
  const last = data.copies[0];
  return (
    <Section title="Where your bread is kept">
      <p>
        <code>{data.folder}</code>, {(data.size / mega).toFixed(1)} MB. {(data.free / giga).toFixed(0)} GB are free beside it.
      </p>
      <p>
        {last ? `Last copy: ${dayAndTime(last.at)}; ${data.copies.length} in all, in its folder “copies”.` : 'No copy yet.'} One
        is made each day, and before each update.
      </p>
      <button type="button" className="button" disabled={busy} onClick={() => void make(undefined)}>
        Make a copy now
      </button>
    </Section>
  );
}
