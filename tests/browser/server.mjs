// Starts a real server on a store of its own, kills it, starts it again.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const root = resolve(import.meta.dirname, '../..');
const dll = join(root, 'src/JollyKnot.Server/bin/Release/net10.0/JollyKnot.Server.dll');
// No picture is worth a graphics card that this machine would have to act out.
export const flags = [
  '--no-sandbox',
  '--disable-quic',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
  '--disable-gpu',
  '--disable-gpu-rasterization',
  '--disable-gpu-compositing',
];

// The household's zone, for servers and pages alike.
process.env.TZ = 'Europe/Berlin';

const roofPort = 5399;
/** Many houses under one roof: one process for all tests that do not kill theirs. Playwright's global setup. */
export default async function roof() {
  const houses = spawn('dotnet', [join(root, 'tests/JollyKnot.Houses/bin/Release/net10.0/JollyKnot.Houses.dll'), roofPort], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await once(houses.stdout, 'data');
  return () => houses.kill('SIGKILL');
}

// A line to the roof, over a wire of its own; done when it comes back.
async function underRoof(line) {
  const wire = connect(roofPort, '127.0.0.1');
  wire.write(`${line}\n`);
  await once(wire, 'data');
  wire.destroy();
}

export class Server {
  /** A house with a port and a store of its own; one that is to be killed wants a process of its own. */
  constructor(port, { speed = 1, demo = true, alone = true, house } = {}) {
    Object.assign(this, { port, alone, url: `http://127.0.0.1:${port}`, data: mkdtempSync(join(tmpdir(), 'jolly-')) });
    this.settings = { webroot: join(root, 'src/web/dist'), port, data: this.data, speed, demo, ...(house && { house }) };
  }

  async start() {
    if (!this.alone) {
      await underRoof(['open', this.port, ...Object.entries(this.settings).flat()].join(' '));
      this.now = await this.clock();
      return this;
    }
    const args = Object.entries(this.settings).flatMap(([key, value]) => [`--${key}`, String(value)]);
    this.process = spawn('dotnet', [dll, ...args], { stdio: ['ignore', 'ignore', 'inherit'] });
    for (let i = 0; i < 300; i++) {
      const answer = await fetch(`${this.url}/health`).catch(() => null);
      if (answer?.ok) {
        this.now = await this.clock();
        return this;
      }
      await new Promise((r) => setTimeout(r, 100));
    }
    throw new Error('The server did not start.');
  }

  /** What the house's clock shows, in milliseconds. */
  async clock() {
    const { now } = await (await fetch(`${this.url}/api/clock`)).json();
    return Date.parse(now);
  }

  /** Sets the house's clock, which stands in between, to a time not before now. */
  async until(time) {
    const to = typeof time === 'number' ? time : Date.parse(time);
    if (to <= this.now) return;
    await underRoof(`set ${this.port} ${new Date(to).toISOString()}`);
    this.now = to;
  }

  /** So many minutes go by. */
  pass(minutes) {
    return this.until(this.now + minutes * 60_000);
  }

  /** A time so many minutes back, as events have it. */
  ago(minutes) {
    return new Date(this.now - minutes * 60_000).toISOString();
  }

  /** As a power cut would: no time to say goodbye. */
  async kill() {
    if (this.process.signalCode) return;
    const gone = new Promise((r) => this.process.once('exit', r));
    this.process.kill('SIGKILL');
    await gone;
  }

  async stop() {
    await (this.alone ? this.kill() : underRoof(`close ${this.port}`));
    rmSync(this.data, { recursive: true, force: true });
  }
}
