// A long book opened cold, and a whole family at once: twenty clients that lay out, look, and tell for two minutes.
import { execFileSync, spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const root = resolve(import.meta.dirname, '..');
const [bakes, clients, minutes] = [3000, 20, Number(process.argv[2] ?? 2)];
const data = mkdtempSync(join(tmpdir(), 'jolly-load-'));
const base = 'http://127.0.0.1:5485';
const rolls = '00000001-4a4b-4442-8000-000000000001';
const say = (text) => console.log(`· ${text}`);
const quantile = (xs, q) => [...xs].sort((a, b) => a - b)[Math.min(xs.length - 1, Math.floor(xs.length * q))];

async function start() {
  const dll = join(root, '.run/server/JollyKnot.Server.dll');
  const child = spawn('dotnet', [dll, '--demo', 'true', '--data', data, '--port', '5485'], { stdio: 'ignore' });
  const healthy = () =>
    fetch(`${base}/health`)
      .then((r) => r.ok)
      .catch(() => false);
  while (!(await healthy())) await new Promise((r) => setTimeout(r, 50));
  const stop = () => new Promise((r) => child.once('exit', r) && child.kill('SIGTERM'));
  process.once('exit', () => child.kill('SIGKILL'));
  return { pid: child.pid, stop };
}

async function timed(path, body, method = 'POST') {
  const from = performance.now();
  const answer = await fetch(
    base + path,
    body === undefined ? {} : { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) },
  );
  const told = await answer.json().catch(() => null);
  return { status: answer.status, took: performance.now() - from, body: told };
}
const memory = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024;

await (await start()).stop();
execFileSync('dotnet', [
  join(root, 'bench/CoreBench/bin/Release/net10.0/CoreBench.dll'),
  'book',
  join(data, 'jolly-knot.db'),
  `${bakes}`,
]);
let server = await start();
const layout = {
  doughId: rolls,
  choice: { machineId: 'blue', ovenId: 'wall', placeId: 'counter', cuts: [{ familyId: 'pan-roll', pieces: 12 }] },
};
const frame = { width: 860, slim: false, utcOffsetMinutes: 60 };
for (const [what, path, body] of [
  ['the logbook', '/api/logbook?take=50'],
  ['the logbook searched for stars and words', '/api/logbook?take=50&search=rolls&good=true'],
  ['the first screen', '/api/today'],
  ['a bake laid out', '/api/layouts', { ...layout, frame }],
]) {
  const cold = await timed(path, body);
  if (cold.status !== 200) throw new Error(`${path}: ${cold.status}`);
  const warm = [];
  for (let i = 0; i < 50; i++) warm.push((await timed(path, body)).took);
  say(`${bakes} bakes: ${what} ${cold.took.toFixed(0)} ms at first, ${quantile(warm, 0.5).toFixed(1)} ms then`);
}

const [took, statuses] = [{}, {}];
const note = (what, { status, took: ms }) => {
  (took[what] ??= []).push(ms);
  statuses[status] = (statuses[status] ?? 0) + 1;
};
const before = memory(server.pid);
const end = performance.now() + minutes * 60_000;
// Twenty who bake at one bench would each want an oven; they look at a few bakes together, and tell what the others undo.
const together = [randomUUID(), randomUUID(), randomUUID()];
for (const id of together) await timed('/api/bakes', { id, layout });
const rest = () => new Promise((r) => setTimeout(r, 100));
await Promise.all(
  Array.from({ length: clients }, async (_, client) => {
    for (let i = 0; performance.now() < end; i++) {
      note('lay-out', await timed('/api/layouts', { ...layout, frame }));
      note('first screen', await timed('/api/today'));
      const bake = together[(client + i) % together.length];
      const seen = await timed(`/api/bakes/${bake}`);
      note('bench', seen);
      const back = seen.body.undo?.position;
      const event = back === undefined ? { type: 'step-done', step: 'paddle' } : { type: 'undone', position: back };
      note('told', await timed(`/api/bakes/${bake}/events`, { id: randomUUID(), basedOn: seen.body.position, event }));
      await rest();
    }
  }),
);
say(`${clients} clients for ${minutes} min: ${JSON.stringify(statuses)}`);
for (const [what, times] of Object.entries(took))
  say(`${what}: ${times.length}, p50 ${quantile(times, 0.5).toFixed(0)} ms, p95 ${quantile(times, 0.95).toFixed(0)} ms`);
say(`memory ${before.toFixed(0)} MB before, ${memory(server.pid).toFixed(0)} MB after`);
await server.stop();
rmSync(data, { recursive: true, force: true });
process.exit();
