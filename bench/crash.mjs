// Kills the server again and again while clients tell it things and copies are made, and counts what became of it.
// With "full" its disk is a small one of its own (who runs it must be allowed to mount one), and is full when the kill comes.
import { execFileSync, spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { appendFileSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const root = resolve(import.meta.dirname, '..');
const kills = Number(process.argv[2] ?? 200);
const [clients, port] = [4, 5483];
const isFull = process.argv[3] === 'full';
const data = mkdtempSync(join(tmpdir(), 'jolly-crash-'));
if (isFull) execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=24m', 'tmpfs', data]);
const filler = join(data, 'filler');
function fill() {
  for (const size of [1 << 20, 1 << 12, 64])
    try {
      for (;;) appendFileSync(filler, Buffer.alloc(size));
    } catch {
      // No such piece fits any more.
    }
}
const base = `http://127.0.0.1:${port}`;
const rolls = '00000001-4a4b-4442-8000-000000000001';
// The same kills each time it is run.
let seed = 20261127;
const random = () => (seed = (seed * 1103515245 + 12345) % 2 ** 31) / 2 ** 31;

const wait = (ms) => new Promise((r) => setTimeout(r, ms));
async function call(path, body, method = 'POST') {
  const answer = await fetch(base + path, {
    ...(body === undefined ? {} : { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    signal: AbortSignal.timeout(5000),
  });
  return { status: answer.status, body: await answer.json().catch(() => null) };
}

async function start() {
  const dll = join(root, '.run/server/JollyKnot.Server.dll');
  const child = spawn('dotnet', [dll, '--demo', 'true', '--data', data, '--port', String(port)], { stdio: 'ignore' });
  for (let i = 0; i < 600; i++) {
    if (
      await fetch(`${base}/health`)
        .then((r) => r.ok)
        .catch(() => false)
    )
      return child;
    if (child.exitCode !== null) throw new Error(`The server ended by itself: ${child.exitCode}`);
    await wait(50);
  }
  throw new Error('The server did not start.');
}

const known = Array.from({ length: clients }, () => ({ bake: randomUUID(), told: new Map(), last: null }));
let running = true;

// One client: a step done, taken back, done again, for as long as somebody answers.
async function tells(client) {
  const layout = {
    doughId: rolls,
    choice: { machineId: 'blue', ovenId: 'wall', placeId: 'counter', cuts: [{ familyId: 'pan-roll' }] },
  };
  await call('/api/bakes', { id: client.bake, layout });
  while (running) {
    const { body: bake } = await call(`/api/bakes/${client.bake}`);
    const back = bake.undo?.position;
    const event = back === undefined ? { type: 'step-done', step: 'paddle' } : { type: 'undone', position: back };
    const id = randomUUID();
    const body = { id, basedOn: bake.position, event };
    const told = await call(`/api/bakes/${client.bake}/events`, body);
    if (told.status === 200) {
      client.told.set(told.body.position, event.type);
      client.last = body;
    }
    if (told.status >= 500) refused++;
    if (told.status >= 500 && !isFull) throw new Error(`${told.status} for an event`);
  }
}

const gone = () => undefined;
let [lost, doubled, copies, refused] = [0, 0, 0, 0];
let server = await start();
process.once('exit', () => server.kill('SIGKILL'));
for (let kill = 1; kill <= kills; kill++) {
  running = true;
  const busy = known.map((c) => tells(c).catch(gone));
  const copying = (async () => {
    while (running) {
      const made = await call('/api/copies', {}).catch(gone);
      if (made?.status === 200) copies++;
      await wait(30);
    }
  })();
  await wait(50 + random() * 600);
  if (isFull) {
    fill();
    await wait(300);
    // Room again for a moment: what is told then is kept; and full once more.
    if (kill % 2 === 0) {
      rmSync(filler);
      await wait(random() * 200);
      fill();
    }
  }
  const ended = new Promise((r) => server.once('exit', r));
  server.kill('SIGKILL');
  running = false;
  await ended;
  await Promise.all([...busy, copying]);
  rmSync(filler, { force: true });
  server = await start();
  for (const client of known) {
    const { status, body } = await call(`/api/bakes/${client.bake}/log`);
    if (status === 404 && client.told.size === 0) continue;
    const there = new Map(body.map((e) => [e.position, e.event.type]));
    lost += [...client.told].filter(([position, type]) => there.get(position) !== type).length;
    // Told again, as a phone does that heard no answer: it is there once.
    if (client.last) await call(`/api/bakes/${client.bake}/events`, client.last);
    doubled += (await call(`/api/bakes/${client.bake}/log`)).body.length - body.length;
  }
  if (kill % 10 === 0 || kill === kills)
    console.log(
      `· ${kill} kills, ${known.reduce((sum, c) => sum + c.told.size, 0)} told, ${copies} copies, ${refused} refused: ${lost} lost, ${doubled} doubled`,
    );
}
const { body: health } = await call('/health');
console.log(`· at the end: ${JSON.stringify(health)}, ${readdirSync(join(data, 'copies')).length} copies kept`);
server.kill('SIGKILL');
if (isFull) execFileSync('umount', ['-l', data]);
rmSync(data, { recursive: true, force: true });
process.exit(lost + doubled > 0 ? 1 : 0);
