// Measures the house beside an empty app of the same stack and writes docs/benchmarks.md.
import { exec, execSync, spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { promisify } from 'node:util';
import { createGzip, gzipSync } from 'node:zlib';

const root = resolve(import.meta.dirname, '..');
const sh = (command, cwd = root) => execSync(command, { cwd, stdio: ['ignore', 'ignore', 'inherit'] });
const say = (text) => console.log(`· ${text}`);

// Whole days by themselves: they take a while, and have a page of their own.
if (process.argv[2] === 'days') {
  say('Days of 1, 3, 6 and 12 doughs');
  sh('dotnet build bench/CoreBench -c Release -v quiet --tl:off');
  const days = async (sizes, kind = '') =>
    (
      await promisify(exec)(`dotnet bench/CoreBench/bin/Release/net10.0/CoreBench.dll days ${sizes} 40 20 ${kind}`, { cwd: root })
    ).stdout
      .trim()
      .split('\n')
      .filter((l) => l.includes('|'));
  const [head, ...few] = await days('1,3,6');
  // Each of them keeps one core busy.
  const many = (await Promise.all(['ordinary', 'tight'].map((kind) => days('12', kind)))).flatMap((l) => l.slice(1));
  const table = [head, head.replace(/[^|]+/g, '---'), ...few, ...many].map((l) => `| ${l} |`).join('\n');
  writeFileSync(
    join(root, 'docs/benchmark-days.md'),
    `# Days

Written by \`./jolly bench days\`. Seeded random days of the demo world's doughs in its machines and its one wall oven, wanted within 4 hours and so much more for each further dough: 150 min on ordinary days, 75 on tight ones. "Off" is minutes a day over the best known, aim by aim in their order: late, over-proofed, short of its best proof, waiting; an aim may be better than in the best known plan where one before it is worse. Up to 6 doughs the best known is proven, or found with ten times the effort; at 12 it is what 20 s of improvement find. First plan: what is shown at once, in the core.

${table}
`,
  );
  process.exit();
}

say('Building the empty apps');
sh('dotnet build bench/BareApi -c Release -v quiet --tl:off');
sh('npx vite build --logLevel error', join(root, 'bench/bare'));

const data = mkdtempSync(join(tmpdir(), 'jolly-bench-'));
const apps = {
  ours: [
    '.run/server/JollyKnot.Server.dll',
    '--webroot',
    join(root, 'src/web/dist'),
    '--demo',
    'true',
    '--data',
    data,
    '--port',
    '5481',
  ],
  bare: ['bench/BareApi/bin/Release/net10.0/BareApi.dll', '--urls', 'http://127.0.0.1:5482'],
};
const ports = { ours: 5481, bare: 5482 };

async function start(name) {
  const from = performance.now();
  const child = spawn('dotnet', apps[name], { cwd: root, stdio: 'ignore' });
  process.once('exit', () => child.kill('SIGKILL'));
  for (;;) {
    const answer = await fetch(`http://127.0.0.1:${ports[name]}/health`).catch(() => null);
    if (answer?.ok) break;
    if (performance.now() - from > 60_000) throw new Error(`${name} did not start`);
    await new Promise((r) => setTimeout(r, 5));
  }
  return {
    pid: child.pid,
    took: performance.now() - from,
    stop: () =>
      new Promise((r) => {
        if (child.exitCode !== null || child.signalCode !== null)
          throw new Error(`${name} had ended by itself: ${child.exitCode}`);
        child.once('exit', r);
        child.kill('SIGKILL');
      }),
  };
}
const quantile = (xs, q) => [...xs].sort((a, b) => a - b)[Math.min(xs.length - 1, Math.floor(xs.length * q))];

say('The core by itself');
const core = JSON.parse(
  execSync('dotnet run -c Release --project bench/CoreBench -v quiet', { cwd: root, encoding: 'utf8' }).trim().split('\n').at(-1),
);

say('Cold starts, in turns');
await (await start('ours')).stop(); // seeds the store once
const cold = { ours: [], bare: [] };
for (let i = 0; i < 7; i++)
  for (const name of ['ours', 'bare']) {
    const app = await start(name);
    cold[name].push(app.took);
    await app.stop();
  }

say('Layouts over HTTP, in turns with empty calls');
const running = [await start('ours'), await start('bare')];
const post = async (url, body) => {
  const from = performance.now();
  const answer = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
  return performance.now() - from;
};
const layout = (i) => ({
  doughId: '00000001-4a4b-4442-8000-000000000001',
  choice: {
    machineId: 'blue',
    ovenId: 'wall',
    placeId: i % 2 ? 'counter' : 'oven-light',
    cuts: [{ familyId: 'pan-roll', pieces: 10 + (i % 8) }],
  },
  frame: { width: 860, slim: false, utcOffsetMinutes: 60 },
});
const calls = { ours: [], bare: [] };
for (let i = 0; i < 1200; i++) {
  const [ours, bare] = [
    await post('http://127.0.0.1:5481/api/layouts', layout(i)),
    await post('http://127.0.0.1:5482/empty', { name: 'x' }),
  ];
  if (i >= 200) (calls.ours.push(ours), calls.bare.push(bare));
}

await running.pop().stop();

say('The day of eight open bakes, asked for again while nothing changed');
const day = await dayOfEight(running[0].pid);

say('From a scale reading to the number on the screen, with two browsers connected');
const scale = await scaleToScreen();

say('The first page on a slow phone line');
const slow = await slowLine();

say('A recipe of 40 lines, in turns with the cheapest call of the same server');
const lines = readFileSync(join(root, 'tests/JollyKnot.Core.Tests/lines/plain.txt'), 'utf8')
  .split('\n')
  .filter((l) => l.includes(' => '))
  .map((l) => l.split(' => ')[0]);
const recipe = (i) => ['Rolls', '', ...Array.from({ length: 40 }, (_, j) => lines[(i + 5 * j) % lines.length])].join('\n');
const reads = { recipe: [], cheapest: [] };
for (let i = 0; i < 1000; i++) {
  const [read, cheapest] = [
    await post('http://127.0.0.1:5481/api/recipes/read', { text: recipe(i) }),
    await post('http://127.0.0.1:5481/api/scale/tare', {}),
  ];
  if (i >= 300) (reads.recipe.push(read), reads.cheapest.push(cheapest));
}

say('A book of 2,000 doughs');
const put = (id, body) =>
  fetch(`http://127.0.0.1:5481/api/doughs/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
for (let i = 0; i < 2000; i++)
  await put(crypto.randomUUID(), {
    name: `Dough number ${i}`,
    rows: [
      { ingredient: 'plain flour', mass: 500 },
      { ingredient: i % 7 ? 'water' : 'whole milk', mass: 300 },
      { ingredient: 'fine salt', mass: 9 },
      { ingredient: 'instant yeast', mass: 5 },
    ],
    byHand: false,
  });
const get = async (path) => {
  const from = performance.now();
  await (await fetch(`http://127.0.0.1:5481${path}`)).arrayBuffer();
  return performance.now() - from;
};
const book = { list: [], search: [] };
for (let i = 0; i < 200; i++) {
  book.list.push(await get('/api/doughs?take=50'));
  book.search.push(await get(`/api/doughs?take=50&search=number%20${i}%20milk`));
}
for (const app of running) await app.stop();
rmSync(data, { recursive: true, force: true });

// Milliseconds of the server's CPU for each time it is asked.
async function dayOfEight(pid) {
  const url = 'http://127.0.0.1:5481';
  const cpu = () => {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');
    return (Number(stat[11]) + Number(stat[12])) * 10;
  };
  const open = (await (await fetch(`${url}/api/today`)).json()).bakes.length;
  for (let i = open; i < 8; i++)
    await post(`${url}/api/bakes`, { id: crypto.randomUUID(), layout: { ...layout(i), frame: undefined } });
  const look = async () => {
    const answer = await fetch(`${url}/api/day`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' });
    return (await answer.json()).looking;
  };
  const spent = [];
  for (let i = 0; i < 400 && spent.length < 40; i++) {
    const before = cpu();
    const isLooking = await look();
    // A better day is looked for once a minute, and after each change.
    if (!isLooking) spent.push(cpu() - before);
    await new Promise((r) => setTimeout(r, 100));
  }
  return spent;
}

async function scaleToScreen() {
  const { chromium } = await import(join(root, 'tests/browser/node_modules/@playwright/test/index.mjs'));
  const { flags } = await import(join(root, 'tests/browser/server.mjs'));
  const url = 'http://127.0.0.1:5481';
  const id = crypto.randomUUID();
  await post(`${url}/api/bakes`, { id, layout: layout(1) });
  await post(`${url}/api/bakes/${id}/events`, {
    id: crypto.randomUUID(),
    basedOn: 0,
    event: { type: 'dough-weighed', step: 'weigh-dough', mass: 911 },
  });
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: flags });
  const pages = await Promise.all([1, 2].map(() => browser.newPage()));
  for (const page of pages) {
    await page.goto(`${url}/bench/${id}`);
    await page.locator('.figure').waitFor();
  }
  const times = await pages[0].evaluate(async () => {
    const figure = document.querySelector('.figure');
    const times = [];
    for (let i = 0; i < 320; i++) {
      const grams = 20 + ((i * 7) % 60);
      const from = performance.now();
      const seen = new Promise((done) => {
        const watch = new MutationObserver(() => {
          if (!figure.textContent.startsWith(`${grams}g`)) return;
          watch.disconnect();
          requestAnimationFrame(() => done(performance.now() - from));
        });
        watch.observe(figure, { subtree: true, childList: true, characterData: true });
      });
      await fetch('/api/scale/lines', { method: 'POST', body: `${grams} g` });
      const took = await Promise.race([seen, new Promise((r) => setTimeout(() => r(2000), 2000))]);
      if (i >= 20) times.push(took);
      await new Promise((r) => setTimeout(r, 20 + (i % 37)));
    }
    return times;
  });
  await browser.close();
  return times;
}

// Until the first heading, in milliseconds, at 400 kbit/s and 300 ms; packed, as all but this machine itself get it.
async function slowLine() {
  const { chromium } = await import(join(root, 'tests/browser/node_modules/@playwright/test/index.mjs'));
  const { flags } = await import(join(root, 'tests/browser/server.mjs'));
  const packed = createServer((asked, answer) => {
    const { origin, ...others } = asked.headers;
    const headers = { ...others, host: '127.0.0.1:5481', ...(origin && { origin: 'http://127.0.0.1:5481' }) };
    const on = request({ port: 5481, host: '127.0.0.1', method: asked.method, path: asked.url, headers }, (got) => {
      const { 'content-length': _, ...kept } = got.headers;
      answer.writeHead(got.statusCode, { ...kept, 'content-encoding': 'gzip' });
      got.pipe(createGzip()).pipe(answer);
    });
    on.on('error', () => answer.destroy());
    asked.pipe(on);
  }).listen(5486);
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: flags });
  const times = [];
  for (let i = 0; i < 5; i++) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
    const page = await context.newPage();
    const line = await context.newCDPSession(page);
    const bytes = 400_000 / 8;
    await line.send('Network.enable');
    await line.send('Network.emulateNetworkConditions', {
      offline: false,
      latency: 300,
      downloadThroughput: bytes,
      uploadThroughput: bytes,
    });
    const from = performance.now();
    await page.goto('http://127.0.0.1:5486/', { waitUntil: 'commit' });
    await page.locator('main h1').first().waitFor({ state: 'attached' });
    times.push(performance.now() - from);
    await context.close();
  }
  await browser.close();
  packed.close();
  packed.closeAllConnections();
  return times;
}

say('Scripts of the first page');
// What the page names itself, and what those name at once in turn.
function firstScripts(dist) {
  const seen = new Set();
  const visit = (file) => {
    if (seen.has(file)) return;
    seen.add(file);
    const text = readFileSync(join(dist, 'assets', file), 'utf8');
    for (const [, next] of text.matchAll(/(?:from|import)\s*["']\.\/([^"']+\.js)["']/g)) visit(next);
  };
  for (const [, file] of readFileSync(join(dist, 'index.html'), 'utf8').matchAll(/assets\/([^"']+\.js)/g)) visit(file);
  return [...seen].reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, 'assets', file))).length, 0) / 1024;
}
const scripts = { ours: firstScripts(join(root, 'src/web/dist')), bare: firstScripts(join(root, 'bench/bare/dist')) };
const all = readdirSync(join(root, 'src/web/dist/assets')).filter((f) => f.endsWith('.js')).length;

const row = (what, ours, bare, unit) =>
  `| ${what} | ${ours.toFixed(1)} ${unit} | ${bare.toFixed(1)} ${unit} | ${(ours / bare).toFixed(2)} |`;
const line = (what, times, beside) =>
  `| ${what} | ${quantile(times, 0.5).toFixed(1)} ms | ${quantile(times, 0.95).toFixed(1)} ms | ${beside} |`;
const text = `# Benchmarks

Written by \`./jolly bench\`, beside an empty app of the same stack: a bare minimal API, and a page with one Ant Design button.
Ratios travel between machines; absolute figures are one machine's.

| what | Jolly Knot | empty app | ratio |
|---|---|---|---|
${row('cold start to the first 200, median of 7', quantile(cold.ours, 0.5), quantile(cold.bare, 0.5), 'ms')}
${row('a bake laid out over HTTP, p50 of 1000 (empty app: an empty call)', quantile(calls.ours, 0.5), quantile(calls.bare, 0.5), 'ms')}
${row('the same, p95', quantile(calls.ours, 0.95), quantile(calls.bare, 0.95), 'ms')}
${row(`scripts of the first page, gzip (${all} files in all)`, scripts.ours, scripts.bare, 'kB')}

| what | p50 | p95 | beside |
|---|---|---|---|
${line('a recipe of 40 lines read over HTTP', reads.recipe, `${(quantile(reads.recipe, 0.5) / quantile(reads.cheapest, 0.5)).toFixed(2)} times the cheapest call of the same server (${quantile(reads.cheapest, 0.5).toFixed(2)} ms)`)}
${line('from a scale reading to the number on the screen, two browsers connected, in the browser', scale, `${scale.length} readings`)}
${line('the first heading on a phone line of 400 kbit/s and 300 ms, nothing kept', slow, '5 times')}
${line('the day of eight open bakes asked for again, CPU', day, 'nothing changed; within the minute')}
${line('the first 50 of 2,000 doughs', book.list, '')}
${line('a search through 2,000 doughs', book.search, '')}

| in the core alone, median of 501 | |
|---|---|
| a proof predicted, two looks taken | ${core.proof} ms |
| the same in the oven it needs, hand-over found | ${core.handOver} ms |
| the same after a night in the fridge | ${core.overnight} ms |
| a whole bake laid out | ${core.bake} ms |
`;
writeFileSync(join(root, 'docs/benchmarks.md'), text);
console.log(text);
