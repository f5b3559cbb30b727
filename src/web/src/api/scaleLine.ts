// A real scale at this device: read by its cable or by Bluetooth, and passed on to the house line by line.
import { http } from './http';
import { shared } from './shared';

type Reader = AsyncIterable<string>;
type State = { from: string | null; trouble: string | null };

// What browsers that have it offer; none of it is in TypeScript's own list.
type SerialPort = { open: (o: { baudRate: number }) => Promise<void>; readable: ReadableStream<Uint8Array> };
type Measurement = EventTarget & { startNotifications: () => Promise<unknown>; value?: DataView };
type WeightScale = { getCharacteristic: (id: string) => Promise<Measurement> };
type Device = EventTarget & {
  gatt: { connect: () => Promise<{ getPrimaryService: (id: string) => Promise<WeightScale> }> };
};
type Ports = {
  serial?: { requestPort: () => Promise<SerialPort> };
  bluetooth?: { requestDevice: (o: { filters: { services: string[] }[] }) => Promise<Device> };
};
const { serial, bluetooth } = navigator as unknown as Ports;

// Most scales with a cable speak at this pace.
const baudRate = 9600;
// The house takes a scale that says nothing for three seconds to be off.
const everyMs = 1000;

const state = shared<State>({ from: null, trouble: null });
const { set } = state;

export const useScaleLine = state.useShared;

/** The ways this browser has to read a scale. */
export const scaleWays = [
  ...(serial ? [{ name: 'by its cable', open: () => byCable(serial) }] : []),
  ...(bluetooth ? [{ name: 'by Bluetooth', open: () => byBluetooth(bluetooth) }] : []),
];

/** Reads a scale until it is gone; a baker who chooses none is not told so. */
export async function readScale(way: (typeof scaleWays)[number]) {
  let last: string | null = null;
  let sending: Promise<unknown> | null = null;
  // What it showed last holds until it shows something else: many say nothing while nothing changes.
  const pass = () => {
    if (last === null || sending) return;
    const line = last;
    sending = http
      .POST('/api/scale/lines', { body: line, bodySerializer: (b) => b, headers: { 'content-type': 'text/plain' } })
      .catch(() => undefined)
      .finally(() => {
        sending = null;
        if (last !== line) pass();
      });
  };
  const again = setInterval(pass, everyMs);
  try {
    const lines = await way.open();
    set({ from: way.name, trouble: null });
    for await (const line of lines) {
      last = line;
      pass();
    }
    set({ from: null, trouble: 'The scale is switched off, or away.' });
  } catch (error) {
    const none = (error as Error).name === 'NotFoundError';
    set({ from: null, trouble: none ? null : 'The scale could not be read.' });
  } finally {
    clearInterval(again);
  }
}

async function byCable(from: NonNullable<Ports['serial']>): Promise<Reader> {
  const port = await from.requestPort();
  await port.open({ baudRate });
  return lines(port.readable);
}

async function* lines(from: ReadableStream<Uint8Array>) {
  const [reader, text] = [from.getReader(), new TextDecoder()];
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return;
    const parts = (rest + text.decode(value, { stream: true })).split(/[\r\n]+/);
    rest = parts.pop() ?? '';
    yield* parts.filter((p) => p.trim() !== '');
  }
}

// The standard weight scale service: its measurement is in steps of 5 g, or of a hundredth of a pound.
async function byBluetooth(from: NonNullable<Ports['bluetooth']>): Promise<Reader> {
  const device = await from.requestDevice({ filters: [{ services: ['weight_scale'] }] });
  const service = await (await device.gatt.connect()).getPrimaryService('weight_scale');
  const measured = await service.getCharacteristic('weight_measurement');
  await measured.startNotifications();
  return notified(device, measured);
}

async function* notified(device: Device, measured: Measurement) {
  const [waiting, isGone] = [[] as string[], { yes: false }];
  let wake = () => undefined as void;
  measured.addEventListener('characteristicvaluechanged', () => {
    const { value } = measured;
    if (value) waiting.push(value.getUint8(0) & 1 ? `${value.getUint16(1, true) / 100} lb` : `${value.getUint16(1, true) * 5} g`);
    wake();
  });
  device.addEventListener('gattserverdisconnected', () => {
    isGone.yes = true;
    wake();
  });
  while (!isGone.yes) {
    yield* waiting.splice(0);
    if (!isGone.yes && waiting.length === 0) await new Promise<void>((r) => (wake = r));
  }
}
