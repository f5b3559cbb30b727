// Phones and tablets of the house: how one comes in, and who came.
import { toString as drawn } from 'qrcode';
import { useEffect, useState } from 'react';
import { useLogOut, useSendAway } from '../api/changes';
import { dayAndTime } from '../api/clock';
import { api, type Schemas } from '../api/http';
import { Section } from './form';

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
    </Section>
  );
}

function ComeIn({ address }: { address: string }) {
  const [code, setCode] = useState('');
  useEffect(() => {
    void drawn(address, { type: 'svg', margin: 2 }).then((svg) => setCode(`data:image/svg+xml,${encodeURIComponent(svg)}`));
  }, [address]);
  return (
    <div className="come-in">
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
    <ul className="copies" aria-label="Devices">
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
