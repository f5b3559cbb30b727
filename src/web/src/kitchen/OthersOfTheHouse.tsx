// Phones and tablets of the house: how one comes in, and who came.
import { toString as drawn } from 'qrcode';
import { useEffect, useState } from 'react';
import { useLogOut, useSendAway } from '../api/changes';
import { dayAndTime } from '../api/clock';
import { api, type Schemas } from '../api/http';
import { useMayCall } from '../parts/mayCall';
import { Section } from './form';
import css from './kitchen.module.css';

export function OthersOfTheHouse() {
  const { data } = api.useQuery('get', '/api/house');
  if (!data) return null;
  return (
    <Section title="Phones and tablets">
      {data.address ? (
        <ComeIn address={data.address} />
      ) : (
        <p>
          Only this machine is answered. For the house network, start with{' '}
          <code>JOLLY_PASSPHRASE=&quot;…&quot; ./jolly start --house true</code> and a passphrase of four words or more.
        </p>
      )}
      {data.devices.length > 0 && <Devices devices={data.devices} />}
      <ThisDevice />
    </Section>
  );
}

function ComeIn({ address }: { address: string }) {
  const [code, setCode] = useState('');
  useEffect(() => {
    void drawn(address, { type: 'svg', margin: 2 }).then((svg) => setCode(`data:image/svg+xml,${encodeURIComponent(svg)}`));
  }, [address]);
  return (
    <div className={css.comeIn}>
      {code && <img src={code} alt={`The address as a picture: ${address}`} />}
      <div>
        <p>
          Hold the phone’s camera to this, or go to <code>{address}</code>.
        </p>
        <p>It takes the house’s certificate there, once, and is asked for the passphrase.</p>
      </div>
    </div>
  );
}

function Devices({ devices }: { devices: Schemas['DeviceView'][] }) {
  const sendAway = useSendAway();
  const logOut = useLogOut();
  return (
    <ul className={css.copies} aria-label="Devices">
      {devices.map((d) => (
        <li key={d.id}>
          <span>
            {d.name}
            {d.isThis ? ', this one' : ''}: came {dayAndTime(d.since)}, last seen {dayAndTime(d.seen)}
          </span>
          {d.isThis ? (
            <button type="button" className="button small" onClick={() => void logOut.make(undefined)}>
              Log out
            </button>
          ) : (
            <button
              type="button"
              className="button small"
              aria-label={`Send away: ${d.name}`}
              onClick={() => void sendAway.make(d.id)}
            >
              Send away
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}

// What works on this very device, now.
function ThisDevice() {
  const mayCall = useMayCall();
  const opensAlone = navigator.serviceWorker?.controller != null;
  const behind = {
    granted: 'and calls also while another page is in front',
    denied: 'but may not call while another page is in front: its browser was told no',
    default: 'and will be asked, at the first Start, whether it may call while another page is in front',
    never: 'and cannot call while another page is in front',
  };
  return (
    <p>
      This device rings while the page is open, {behind[mayCall]}. It {opensAlone ? 'opens' : 'does not open'} without the server.{' '}
      For a phone that sleeps, <a href="/api/day.ics">the day as a calendar</a> has alarms of its own.
    </p>
  );
}
