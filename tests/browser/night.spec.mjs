// What goes on while everybody sleeps: the fridge, the timer, quiet hours, and hours without hands.
import { accessible, bake, call, choose, expect, rolls, tell, test } from './house.mjs';

const batons = '00000007-4a4b-4442-8000-000000000007';
const local = (ms) =>
  new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeStyle: 'short', timeZone: 'Europe/Berlin' }).format(new Date(ms));

test('half today and half tomorrow: two turns of the oven in one plan', async ({ page, server }) => {
  await page.visit(`/lay-out?dough=${rolls}`);
  await page.getByLabel('Pieces').fill('8');
  await page.getByRole('button', { name: 'Another shape' }).click();
  await choose(page, 'Becomes 2', 'round buns');
  await page
    .getByRole('group', { name: 'Cut 2' })
    .getByRole('button', { name: /^Oven, wash, pan/ })
    .click();
  await choose(page, 'Fridge first 2', '10 h, baked later');
  const hands = page.locator('section, div').filter({ has: page.getByRole('heading', { name: 'When your hands are wanted' }) });
  await expect(hands.last().getByText(/Out of the fridge/)).toBeVisible();
  await expect(hands.last().getByText(/Oven on/)).toHaveCount(2);
  await accessible(page);
  await page.getByRole('button', { name: 'Start this bake' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Put both paddles in the blue two-paddle.');
  // Both halves lie in the day, a night apart, and both are ready in the end.
  await page.visit('/day');
  const ovens = page.getByRole('region', { name: 'What the ovens do' });
  await expect(ovens.getByText(/Bake: pan rolls/)).toBeVisible();
  await expect(ovens.getByText(/Bake: round buns/)).toBeVisible();
  const { body } = await call(server, '/api/day', {});
  const loads = body.bakes
    .map((b) => body.hands.filter((h) => h.bake === b.id && /^load/.test(h.step)))
    .find((l) => l.length === 2);
  expect(Date.parse(loads[1].at) - Date.parse(loads[0].at)).toBeGreaterThan(9 * 3600e3);
});

test('a timer start: refused with milk in the pan, and set with what may stand', async ({ page, server }) => {
  await page.visit(`/lay-out?dough=${rolls}`);
  await choose(page, 'Timer', 'on its timer, 8 h later');
  await expect(page.getByText(/may not stand for more than 2 hours at/).first()).toBeVisible();
  await page.visit(`/lay-out?dough=${batons}`);
  await choose(page, 'Timer', 'on its timer, 8 h later');
  await page.getByText('Ready by').click();
  await page.locator('input#when').fill(local(server.now + 26 * 3600e3).replace(' ', 'T'));
  const hands = page.locator('section, div').filter({ has: page.getByRole('heading', { name: 'When your hands are wanted' }) });
  await expect(hands.last().getByText(/Start the dough cycle/)).toBeVisible();
  // Nobody stands by: nothing is asked of anybody until it is done.
  await expect(hands.last().getByText(/Check the dough/)).toHaveCount(0);
  await page.getByRole('button', { name: /^Plan it: start at/ }).click();
  await expect(page.getByText(/Solder sticks/).first()).toBeVisible();
});

test('hours without hands and quiet hours are typed in the kitchen and kept by the day', async ({ page, server }) => {
  const { body } = await call(server, '/api/day', {});
  const plait = body.bakes.find((b) => b.title === 'Three-wire plait');
  const hour = (ms) => Number(local(ms).slice(11, 13));
  await page.visit('/kitchen?thing=night');
  // Nobody is up when the plait goes in.
  await page.getByLabel('Quiet hours: no machine runs').check();
  await expect(page.getByLabel('Machines from, h')).toHaveValue('7');
  await page.getByLabel('Machines from, h').fill(String((hour(Date.parse(plait.start)) + 3) % 24));
  await page.getByLabel('until, h').fill(String((hour(Date.parse(plait.start)) + 23) % 24));
  await expect(page.getByText('Kept', { exact: true })).toBeVisible();
  await expect(async () =>
    expect((await call(server, '/api/kitchen/setup')).body.machinesRun.from).toBe(
      ((hour(Date.parse(plait.start)) + 3) % 24) * 3600,
    ),
  ).toPass();
  await page.visit('/day');
  await expect(page.getByText(/The machine would run in quiet hours/).first()).toBeVisible();
  await page.visit('/kitchen?thing=night');
  await page.getByLabel('Quiet hours: no machine runs').uncheck();
  await page.getByLabel('Nothing to do at night').check();
  await expect(page.getByLabel('Up from, h')).toHaveValue('6');
  // Up from five in the morning until ten.
  await page.getByLabel('Up from, h').fill('5');
  await page.getByLabel('until, h').fill('10');
  await expect(async () => expect((await call(server, '/api/kitchen/setup')).body.awake.to).toBe(10 * 3600)).toPass();
  await page.visit('/day');
  await expect(page.getByText(/Nobody is there/).first()).toBeVisible();
});

test('up sooner for breakfast: one touch, seen among who is in, and undone', async ({ page, server }) => {
  const { body: day } = await call(server, '/api/day', { changes: [] });
  for (const planned of day.bakes.filter((b) => b.status === 'planned')) await tell(server, planned.id, { type: 'stopped' });
  const { body: kitchen } = await call(server, '/api/kitchen/setup');
  const hour = new Date(server.now).getHours();
  const awake = { from: ((hour + 10) % 24) * 3600, to: ((hour + 2) % 24) * 3600 };
  expect((await call(server, '/api/kitchen/setup', { ...kitchen, awake }, 'PUT')).status).toBe(200);
  await bake(server, { pieces: 16, readyBy: new Date(server.now + 12 * 3600_000).toISOString() });
  await call(server, '/api/day/arrange', {});
  await page.visit('/day');
  await expect(page.getByText(/later than wanted/)).toBeVisible();
  await page.getByRole('button', { name: /^Up sooner, at \d\d:\d\d$/ }).click();
  await expect(page.getByRole('region', { name: 'As it would be' }).getByText(/^in time/)).toBeVisible();
  await page.getByRole('button', { name: 'Lay the day out so' }).click();
  await expect(page.getByRole('region', { name: 'Nobody in' }).getByText(/^Up sooner:/)).toBeVisible();
  await expect(page.getByText(/later than wanted/)).toBeHidden();
  await page.getByRole('button', { name: 'As it was before' }).click();
  await expect(page.getByText(/later than wanted/)).toBeVisible();
  await expect(page.getByText(/^Up sooner:/)).toBeHidden();
});

test('a warm shelf for one tray holds one dough at a time', async ({ page, server }) => {
  const kitchen = (await call(server, '/api/kitchen/setup')).body;
  const shelf = { id: 'shelf', name: 'on the warm shelf', inOven: false, steady: 27, overRoom: 0, fallsIn: null };
  await call(server, '/api/kitchen/setup', { ...kitchen, places: [shelf] }, 'PUT');
  await page.visit('/kitchen');
  await page.getByRole('button', { name: 'Where it rises: on the warm shelf' }).click();
  await page.getByLabel('Trays at once').fill('1');
  await expect(async () => expect((await call(server, '/api/kitchen/setup')).body.places[0].trays).toBe(1)).toPass();
  const by = new Date(server.now + 9 * 3600e3).toISOString();
  await bake(server, { placeId: 'shelf', readyBy: by });
  await bake(server, { placeId: 'shelf', readyBy: by, machineId: 'white' }, '00000004-4a4b-4442-8000-000000000004');
  const crowded = async () =>
    (await call(server, '/api/day', {})).body.findings.some((f) => f.text.startsWith('Not room enough on the warm shelf'));
  expect(await crowded()).toBe(true);
  await page.visit('/day');
  await page.getByRole('button', { name: 'Lay the day out so' }).click();
  await expect(page.getByRole('region', { name: 'In one another’s way' })).toBeHidden();
  expect(await crowded()).toBe(false);
});
