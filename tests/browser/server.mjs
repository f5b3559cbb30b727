// Starts a real server on a store of its own, kills it, starts it again.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const root = resolve(import.meta.dirname, '../..');
const dll = join(root, 'src/JollyKnot.Server/bin/Release/net10.0/JollyKnot.Server.dll');
export const flags = [
  '--no-sandbox',
  '--disable-quic',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
];

export class Server {
  constructor(port, { speed = 1, demo = true } = {}) {
    Object.assign(this, {
      port,
      speed,
      demo,
      url: `http://127.0.0.1:${port}`,
      data: mkdtempSync(join(tmpdir(), 'jolly-')),
    });
  }

  async start() {
    const args = [
      dll,
      '--webroot',
      join(root, 'src/web/dist'),
      '--port',
      this.port,
      '--data',
      this.data,
      '--speed',
      this.speed,
      '--demo',
      this.demo,
    ];
    this.process = spawn('dotnet', args.map(String), {
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    for (let i = 0; i < 300; i++) {
      const answer = await fetch(`${this.url}/health`).catch(() => null);
      if (answer?.ok) return this;
      await new Promise((r) => setTimeout(r, 100));
    }
    throw new Error('The server did not start.');
  }

  /** As a power cut would: no time to say goodbye. */
  async kill() {
    const gone = new Promise((r) => this.process.once('exit', r));
    this.process.kill('SIGKILL');
    await gone;
  }

  async stop() {
    await this.kill();
    rmSync(this.data, { recursive: true, force: true });
  }
}
