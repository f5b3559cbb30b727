// Second proof and oven, by what a person sees and does.
import { accessible, bake, call, choose, expect, rolls, sharing, tell, test } from './house.mjs';

const sentence = (page) => page.getByRole('heading', { level: 1 });
const plait = '00000003-4a4b-4442-8000-000000000003';
const pretzels = '00000002-4a4b-4442-8000-000000000002';

test('overnight in the fridge, then the warm oven, out before it heats', async ({ page, server }) => {
  await page.visit(`/lay-out?dough=${rolls}`);
  await choose(page, 'Second proof', 'in the oven, light on');
  await choose(page, 'In the fridge first', '10 h in the fridge first');
  await expect(page.getByRole('row', { name: /Out of the fridge/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Dough out of the oven/ })).toBeVisible();
  await page.getByRole('button', { name: 'Start this bake' }).click();
  await expect(sentence(page)).toHaveText(/paddles/);
  const id = page.url().split('/').at(-1);
  await tell(
    server,
    id,
    { type: 'step-done', step: 'start-cycle', at: server.ago(760) },
    { type: 'dough-weighed', step: 'weigh-dough', mass: 905, at: server.ago(640) },
    { type: 'step-done', step: 'start-proof', at: server.ago(600) },
  );
  await expect(sentence(page)).toHaveText('Take them out of the fridge and set them in the oven, light on.');
  await expect(page.getByRole('region', { name: 'Proof' })).toContainText(/in the fridge; the dough is at \d °C/);
  await accessible(page);
  await page.getByRole('button', { name: 'They are there' }).click();
  await expect(sentence(page)).toHaveText(/They are rising in the oven, light on\.|Look at the proof/);
  await expect(page.getByRole('img', { name: /Grown \d+ % of 100 % wanted; ready from/ })).toBeVisible();
  // The hand-over: out, then on, then in.
  const { body } = await call(server, `/api/bakes/${id}`);
  const at = (step) => Date.parse(body.steps.find((s) => s.step === step).start);
  expect(at('clear-oven')).toBeLessThanOrEqual(at('oven-on'));
  expect(at('oven-on')).toBeLessThan(at('load'));
  // A thermometer in there says otherwise, and the times follow.
  await page.getByRole('button', { name: /Measured there/ }).click();
  await page.getByLabel('It is there, °C').fill('36');
  await page.getByLabel('It is there, °C').press('Enter');
  await expect(page.getByRole('region', { name: 'Proof' })).toContainText('36 °C in the oven, light on');
  // A poke that springs back: later.
  const { body: before } = await call(server, `/api/bakes/${id}`);
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Do Look at the proof' }).click();
  await page
    .getByRole('group', { name: 'Poked' })
    .getByRole('button', { name: /Comes back slowly/ })
    .click();
  await expect(page.getByRole('button', { name: /Take back Look at the proof: Comes back slowly/ })).toBeVisible();
  const { body: after } = await call(server, `/api/bakes/${id}`);
  expect(Date.parse(after.proof.best)).toBeLessThan(Date.parse(before.proof.best));
});

sharing('pretzels in batches, counted aloud: in, turned, dipped and out', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'pretzel', pieces: 6, bath: 'dip-after-boil' }, pretzels);
  await tell(
    server,
    id,
    { type: 'dough-weighed', step: 'weigh-dough', mass: 500, at: server.ago(60) },
    { type: 'step-done', step: 'start-proof', at: server.ago(50) },
    { type: 'step-done', step: 'oven-on', at: server.ago(30) },
    { type: 'step-done', step: 'pot-on', at: server.ago(30) },
    { type: 'proof-looked', step: 'look-1', seen: 'half' },
  );
  await page.visit(`/bench/${id}`);
  const pot = page.getByRole('region', { name: 'The pot' });
  await expect(pot).toContainText(/2 batches of 3, 60 s a side/);
  await pot.getByRole('button', { name: /The first are in/ }).click();
  await expect(pot).toContainText('Batch 1: 3 in.');
  for (const beat of ['Turn them.', 'Into the warm dip.', 'Out. Drain', 'Batch 2: 3 in.']) {
    await pot.getByRole('button', { name: 'Sooner: next' }).click();
    await expect(pot).toContainText(beat);
  }
  // Counting outlives a reload.
  await page.reload();
  await expect(pot).toContainText(/Batch 2: 3 in\. \d\d s/);
  await accessible(page);
});

sharing('two loads: the second is shaped, risen and baked after the first', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'crusty-roll', pieces: 28, each: 32 });
  const { body } = await call(server, `/api/bakes/${id}`);
  const at = (step) => Date.parse(body.steps.find((s) => s.step === step).start);
  expect(at('load@2')).toBeGreaterThanOrEqual(at('unload'));
  await page.visit(`/bench/${id}`);
  await page.getByRole('button', { name: 'All steps' }).click();
  await expect(page.getByRole('button', { name: 'Do Load the oven: crusty rolls, load 2' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Do Score: crusty rolls, load 2' })).toBeVisible();
  await page.keyboard.press('Escape');
  await tell(server, id, { type: 'step-done', step: 'load', at: server.ago(14) }, { type: 'step-done', step: 'unload' });
  await tell(server, id, { type: 'step-done', step: 'load@2' });
  const { body: later } = await call(server, `/api/bakes/${id}`);
  expect(later.inOven.load).toBe('load@2');
});

sharing('what would wait for the oven is held cool, or baked in the other oven', async ({ page }) => {
  await page.visit(`/lay-out?dough=${rolls}`);
  await page.getByRole('button', { name: 'Another shape' }).click();
  await choose(page, 'Becomes 2', 'three-strand plaits');
  await page.getByLabel('Pieces 2').fill('1');
  await page.getByLabel('grams each 2').fill('300');
  const [result, waits] = [page.getByLabel('Result'), page.getByText(/The three-strand plait waits \d+ min for the oven/)];
  await expect(waits).toHaveText(/over-proofed by then/);
  await result.getByText('held cool first').click();
  await expect(page.getByText(/over-proofed by then/)).toBeHidden();
  await expect(page.getByText('Out of the cold: three-strand plait')).toBeVisible();
  await result.getByText('wait their turn').click();
  await expect(waits).toBeVisible();
  await page
    .getByRole('button', { name: /^Oven, wash, pan/ })
    .nth(1)
    .click();
  await choose(page, 'Baked in 2', 'Table-top oven');
  await expect(waits).toBeHidden();
  await expect(page.getByText('Table-top oven on, 180 °C')).toBeVisible();
  await page.getByText('How you do it').click();
  await page.getByText('Washed before the proof').click();
  const first = page.getByRole('row').filter({ hasText: 'Brush with egg and water: three-strand plait' });
  const then = page.getByRole('row').filter({ hasText: 'Set to proof: three-strand plait' });
  await expect(async () => {
    expect((await first.boundingBox()).y).toBeLessThan((await then.boundingBox()).y);
  }).toPass();
  await accessible(page);
});

sharing('the probe says when it is done, and what cannot be is asked back', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'plait-3', pieces: 2 }, plait);
  await tell(
    server,
    id,
    { type: 'dough-weighed', step: 'weigh-dough', mass: 833, at: server.ago(80) },
    { type: 'step-done', step: 'load', at: server.ago(15) },
    { type: 'step-done', step: 'turn' },
  );
  await page.visit(`/bench/${id}`);
  const oven = page.getByRole('region', { name: 'In the oven' });
  await expect(oven).toContainText(/Likely done at/);
  await oven.getByLabel('Probe, °C').fill('185');
  await oven.getByLabel('Probe, °C').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'is the probe set to °F' })).toBeVisible();
  await tell(server, id, { type: 'probe-read', load: 'load', core: 72, at: server.ago(3) });
  await expect(oven).toContainText('One more reading, two minutes on');
  await oven.getByRole('button', { name: 'Read the stand-in probe' }).click();
  await expect(oven).toContainText(/Done inside between \d\d:\d\d and \d\d:\d\d/);
  await expect(oven.getByRole('img', { name: /The middle should reach 90 °C. Probe: .*72 °C/ })).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Do Out of the oven' }).click();
  await page.getByRole('button', { name: 'They are out' }).click();
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Do Ready to eat' }).click();
  await expect(page.getByRole('region', { name: 'Out of the oven' })).toContainText(/about 37\d g each\. Not cut before/);
  await page.getByRole('link', { name: 'Labels to print' }).click();
  await expect(page.getByRole('article')).toHaveCount(2);
  await expect(page.getByRole('article').first()).toContainText('Contains egg, wheat/gluten. Not for babies under 12 months.');
  await accessible(page);
});

sharing('rounds on the griddle need no oven', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'griddle-round', pieces: 12 }, '00000008-4a4b-4442-8000-000000000008');
  const { body } = await call(server, `/api/bakes/${id}`);
  expect(body.steps.map((s) => s.step)).not.toContain('oven-on');
  await tell(server, id, { type: 'step-done', step: 'start-proof' }, { type: 'step-done', step: 'griddle-on' });
  await page.visit(`/bench/${id}`);
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Do The first on the griddle' }).click();
  await expect(sentence(page)).toHaveText(/Lay the first \d+ on the griddle\./);
});
