// Refreshes docs/screenshots from demo data; with names, only those.
import { mkdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { chromium } from '@playwright/test';
import { choose } from './house.mjs';
import roof, { flags, Server } from './server.mjs';

const only = process.argv.slice(2);
const folder = resolve(import.meta.dirname, '../../docs/screenshots');
mkdirSync(folder, { recursive: true });
const close = await roof();
const server = await new Server(5391, { alone: false }).start();
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: flags,
});
const rolls = '00000001-4a4b-4442-8000-000000000001';

const recipe = `Grandfather clock rolls
Makes 16

4 cups (500 g) strong white flour
1¼ cups (300 ml) whole milk, lukewarm
2 eggs plus 1 yolk
1 packet instant yeast
2–3 tbsp honey
2 tbsp moon dust

Egg wash: 1 egg + 1 tbsp milk

Method
1. Mix everything and knead.
2. Bake at 190 °C for 16 minutes.
`;

// A house that is open to its network: the picture that brings a phone in, and the phone when the house does not answer.
async function withPhone() {
  process.env.JOLLY_PASSPHRASE = 'sesame wakes the oven';
  const open = await new Server(5393, { house: true }).start();
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${open.url}/kitchen`);
    await page.getByText('Phones and tablets').click();
    await page.getByRole('img', { name: /^The address as a picture/ }).scrollIntoViewIfNeeded();
    await page.waitForTimeout(800);
    await page.screenshot({ path: resolve(folder, 'phone-in.png') });
    const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
    const id = crypto.randomUUID();
    const choice = { machineId: 'blue', ovenId: 'wall', placeId: 'counter', cuts: [{ familyId: 'pan-roll', pieces: 9 }] };
    const said = (path, body) =>
      fetch(open.url + path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
    await said('/api/bakes', { id, layout: { doughId: rolls, choice } });
    await said(`/api/bakes/${id}/events`, {
      id: crypto.randomUUID(),
      basedOn: 0,
      event: { type: 'step-done', step: 'start-cycle', at: new Date((await open.clock()) - 4 * 60_000).toISOString() },
    });
    await phone.goto(`${open.url}/bench/${id}`);
    await phone.waitForFunction(async () => (await navigator.serviceWorker.getRegistration())?.active?.state === 'activated');
    await phone.getByRole('timer').waitFor();
    // What is known is kept a moment later.
    await phone.waitForTimeout(5000);
    await open.kill();
    await phone.reload();
    await phone.getByRole('timer').waitFor();
    await phone.waitForTimeout(8000);
    await phone.screenshot({ path: resolve(folder, 'phone-installed.png') });
  } finally {
    await open.stop();
  }
}

const api = async (path, body) => {
  const answer = await fetch(
    server.url + path,
    body === undefined
      ? {}
      : {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        },
  );
  return answer.json();
};
const tell = async (bake, event) => {
  const { position } = await api(`/api/bakes/${bake}`);
  await api(`/api/bakes/${bake}/events`, {
    id: crypto.randomUUID(),
    basedOn: position,
    event,
  });
};

// A bake brought to the table, its dough weighed and some of its pieces.
async function dividing(cuts, weighed) {
  const id = crypto.randomUUID();
  await api('/api/bakes', {
    id,
    layout: { doughId: rolls, choice: { machineId: 'blue', ovenId: 'wall', placeId: 'counter', cuts } },
  });
  const cycle = server.ago(97);
  await tell(id, { type: 'step-done', step: 'start-cycle', at: cycle });
  await tell(id, { type: 'dough-taken-out', step: 'take-out', feel: 'right' });
  await tell(id, { type: 'dough-weighed', step: 'weigh-dough', mass: 911 });
  for (const [i, mass] of weighed.entries()) await tell(id, { type: 'part-weighed', number: i + 1, mass });
  return id;
}

async function shot(name, path, { size = [1280, 800], dark = false, before, full = false } = {}) {
  if (only.length && !only.includes(name)) return;
  const page = await browser.newPage({
    viewport: { width: size[0], height: size[1] },
    colorScheme: dark ? 'dark' : 'light',
    timezoneId: 'Europe/Berlin',
    locale: 'en-GB',
  });
  page.on('console', (m) => ['error', 'warning'].includes(m.type()) && console.log(name, m.text()));
  await page.goto(server.url + path);
  await page.waitForLoadState('networkidle').catch(() => {});
  await before?.(page);
  await page.waitForTimeout(900);
  await page.screenshot({ path: `${folder}/${name}.png`, fullPage: full });
  console.log(`docs/screenshots/${name}.png`);
  await page.close();
}

try {
  const today = await api('/api/today');
  const pretzels = today.bakes.find((b) => b.title === 'Spanner pretzels').id;
  const book = await api('/api/logbook');
  await shot('today', '/');
  await shot('bench-sheet', '/day/sheet', { full: true });
  // Changed by hand, beside what it is; why the plait begins when it does.
  await shot('day', '/day', {
    size: [1280, 1500],
    before: async (page) => {
      await page.getByText(/^Three-wire plait: /).click();
      await page.getByRole('slider', { name: 'Load the oven, Three-wire plait' }).press('PageUp');
      await page.getByRole('img', { name: /^As it would be/ }).waitFor();
      await page.waitForTimeout(1500);
      await page.evaluate(() => scrollTo(0, 0));
    },
  });
  await shot('lay-out', `/lay-out?dough=${rolls}`, {
    before: async (page) => {
      await page.getByLabel('Pieces').fill('8');
      await page.getByRole('button', { name: 'Another shape' }).click();
      await choose(page, 'Becomes 2', 'three-strand plaits');
      await page.getByLabel('Pieces 2').fill('1');
      await page.getByLabel('grams each 2').fill('300');
      await page.evaluate(() => scrollTo(0, 0));
    },
  });
  await shot('dough', `/doughs/${rolls}`);
  await shot('read', '/doughs/read', {
    before: async (page) => {
      await page.getByLabel(/Paste a recipe/).fill(recipe);
      await page.getByRole('button', { name: /^Keep this dough/ }).waitFor();
    },
  });
  await shot('kitchen', '/kitchen');
  await shot('proof', `/bench/${pretzels}`);
  await shot('bench-phone', `/bench/${pretzels}`, { size: [390, 844] });
  await shot('logbook-page', `/logbook/${book[0].id}`);
  const checked = crypto.randomUUID();
  await api('/api/bakes', {
    id: checked,
    layout: {
      doughId: rolls,
      choice: { machineId: 'blue', ovenId: 'wall', placeId: 'counter', cuts: [{ familyId: 'pan-roll' }] },
    },
  });
  await tell(checked, { type: 'step-done', step: 'start-cycle', at: server.ago(26.2) });
  await tell(checked, { type: 'step-skipped', step: 'paddle-turns' });
  await tell(checked, { type: 'alarms-hushed' });
  await shot('dough-check', `/bench/${checked}`, {
    before: (page) => page.getByRole('button', { name: /^Sticks to the finger/ }).click(),
  });
  await tell(checked, { type: 'stopped' });

  await shot('plait', `/plaits`, {
    before: async (page) => {
      await page.getByRole('button', { name: 'Four' }).click();
      for (let i = 0; i < 7; i++) await page.getByRole('button', { name: 'Next move' }).click();
    },
  });
  // Plaits in the oven with a probe in one; rolls out of the oven.
  const make = (familyId, pieces, dough) => {
    const bake = crypto.randomUUID();
    return api('/api/bakes', {
      id: bake,
      layout: {
        doughId: dough,
        choice: { machineId: 'blue', ovenId: 'wall', placeId: 'counter', cuts: [{ familyId, pieces }] },
      },
    }).then(() => bake);
  };
  const ago = (minutes) => server.ago(minutes);
  const id = await dividing(
    [{ familyId: 'pan-roll', pieces: 8 }, { familyId: 'plait-3', pieces: 1, each: 300 }, { each: 150 }],
    [57, 56, 58, 57],
  );
  await api('/api/scale/put', { mass: 64 });
  await server.pass(0.1);
  await shot('scale-station', `/bench/${id}`);
  await tell(id, { type: 'stopped' });
  // Nothing else is under way, and what is baked was begun in its time.
  for (const { id } of (await api('/api/day', {})).bakes) await tell(id, { type: 'stopped' });
  const begun = async (minutes, ...which) => {
    const bake = await make(...which);
    await server.pass(minutes);
    return bake;
  };
  const plaited = await begun(222, 'plait-3', 2, '00000003-4a4b-4442-8000-000000000003');
  await tell(plaited, { type: 'dough-weighed', step: 'weigh-dough', mass: 833, at: ago(90) });
  await tell(plaited, { type: 'step-done', step: 'load', at: ago(17) });
  await tell(plaited, { type: 'step-done', step: 'turn', at: ago(3) });
  await tell(plaited, { type: 'probe-read', load: 'load', core: 76.5, at: ago(4.5) });
  await tell(plaited, { type: 'probe-read', load: 'load', core: 85, at: ago(1) });
  await tell(plaited, { type: 'alarms-hushed' });
  await shot('oven', `/bench/${plaited}`);
  await tell(plaited, { type: 'stopped' });
  const cooled = await begun(236, 'pan-roll', 16, rolls);
  await tell(cooled, { type: 'step-done', step: 'load', at: ago(35) });
  await tell(cooled, { type: 'step-done', step: 'unload', at: ago(16) });
  await tell(cooled, { type: 'alarms-hushed' });
  await shot('finish', `/bench/${cooled}`);
  // A house that has nothing yet, at its third question.
  const empty = await new Server(5392, { alone: false, demo: false }).start();
  if (only.length === 0 || only.includes('first-opening')) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(empty.url);
    await page.getByLabel('It begins by standing still').check();
    await page.getByRole('button', { name: '1:30' }).click();
    await page.getByRole('button', { name: 'Scale: grams, °C' }).click();
    await page.getByLabel('Two trays at once').check();
    await page.getByRole('button', { name: '250 °C' }).click();
    for (const tin of ['Baking tray', 'Loaf tin', 'Round tin'])
      await page.getByRole('button', { name: new RegExp(`^${tin}`) }).click();
    await page.waitForTimeout(800);
    await page.screenshot({ path: resolve(folder, 'first-opening.png') });
  }
  if (only.length === 0 || only.includes('new-house')) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(empty.url);
    await page.getByRole('button', { name: 'Skip all' }).click();
    await page.waitForTimeout(800);
    await page.screenshot({ path: resolve(folder, 'new-house.png') });
  }
  await empty.stop();
  if (only.length === 0 || only.includes('phone-in') || only.includes('phone-installed')) await withPhone();
} finally {
  await browser.close();
  await server.stop();
  close();
}
