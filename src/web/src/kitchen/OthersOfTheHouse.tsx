// Phones and tablets of the house: how one comes in, and who came.
import { toString as drawn } from 'qrcode';
import { useEffect, useState } from 'react';
import { useLogOut, useSendAway } from '../api/changes';
import { dayAndTime } from '../api/clock';
import { api, type Schemas } from '../api/http';
import { useMayCall } from '../parts/mayCall';
import { Section } from './form';
import * as words from './words';
import css from './kitchen.module.css';

export function OthersOfTheHouse() {
  const { data } = api.useQuery('get', '/api/house');
  if (!data) return null;
  return (
    <Section title={words.phonesAndTablets}>
      {data.address ? (
        <ComeIn address={data.address} />
      ) : (
        <p>
          {words.onlyThisMachineIsAnswered} <code>{words.jollyPassphraseJollyStartHouse}</code> {words.andAPassphraseOfFour}
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
      {code && <img src={code} alt={words.theAddressAsAPicture(address)} />}
      <div>
        <p>
          {words.holdThePhonesCameraTo} <code>{address}</code>.
        </p>
        <p>{words.itTakesTheHousesCertificate}</p>
      </div>
    </div>
  );
}

function Devices({ devices }: { devices: Schemas['DeviceView'][] }) {
  const sendAway = useSendAway();
  const logOut = useLogOut();
  return (
    <ul className={css.copies} aria-label={words.devices}>
      {devices.map((d) => (
        <li key={d.id}>
          <span>
            {d.name}
            {d.isThis ? words.thisOne : ''}
            {words.cameLastSeen(dayAndTime(d.since), dayAndTime(d.seen))}
          </span>
          {d.isThis ? (
            <button type="button" className="button small" onClick={() => void logOut.make(undefined)}>
              {words.logOut}
            </button>
          ) : (
            <button
              type="button"
              className="button small"
              aria-label={words.sendAway(d.name)}
              onClick={() => void sendAway.make(d.id)}
            >
              {words.sendItAway}
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
    granted: words.andCallsAlsoWhileAnother,
    denied: words.butMayNotCallWhile,
    default: words.andWillBeAskedAt,
    never: words.andCannotCallWhileAnother,
  };
  return (
    <p>
      {words.thisDeviceRingsWhileThe(behind[mayCall])} {opensAlone ? words.opens : words.doesNotOpen} {words.withoutTheServerForA}{' '}
      <a href="/api/day.ics">{words.theDayAsACalendar}</a> {words.hasAlarmsOfItsOwn}
    </p>
  );
}
