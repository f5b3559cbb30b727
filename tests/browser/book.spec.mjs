// The dough book, the logbook, and the bench by keys, by thumb and in large print.
import { accessible, bake, call, choose, expect, rolls, sharing, tell, test } from './house.mjs';

test('a dough put away is gone, and comes back with one touch', async ({ page }) => {
  await page.visit('/doughs');
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(11);
  await page.getByRole('button', { name: 'Put Cable knots away' }).click();
  await expect(page.getByRole('heading', { name: 'Cable knots' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('heading', { name: 'Cable knots' })).toBeVisible();
  await expect(page.getByText('Put away: 1')).toBeHidden();
  // Also on another day, when what offered it is long gone.
  await page.getByRole('button', { name: 'Put Cable knots away' }).click();
  await expect(page.getByRole('heading', { name: 'Cable knots' })).toHaveCount(0);
  await page.visit('/doughs');
  await page.getByText('Put away: 1').click();
  await accessible(page);
  await page.getByRole('button', { name: 'Bring Cable knots back' }).click();
  await expect(page.getByRole('heading', { name: 'Cable knots' })).toBeVisible();
  await expect(page.getByText('Put away: 1')).toBeHidden();
});

test('what cannot be is said beside its field, and what was typed stays', async ({ page }) => {
  await page.visit(`/doughs/${rolls}`);
  const facts = page.getByLabel('What this dough is');
  await expect(facts).toContainText('64.4 %');
  await page.getByLabel('Grams 2', { exact: true }).fill('-3');
  await expect(page.getByText('More than nothing is wanted here.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep', exact: true })).toBeDisabled();
  await page.getByLabel('Grams 2', { exact: true }).fill('330');
  await expect(facts).toContainText('69.9 %');
  await page.getByLabel('Grams 6', { exact: true }).fill('20');
  await expect(facts.getByText(/4.2 % salt; 1.4 % to 2.5 % is usual/)).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('<b>Rolls</b>');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('A name is plain words')).toBeVisible();
  await expect(page.getByLabel('Grams 2', { exact: true })).toHaveValue('330');
  await page.getByLabel('Name', { exact: true }).fill('Wetter rolls');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Wetter rolls' })).toBeVisible();
});

sharing('a layout answers every keystroke', async ({ page }) => {
  await page.visit(`/lay-out?dough=${rolls}`);
  const result = page.getByLabel('Result');
  await expect(result).toContainText('16 × 57 g');
  await expect(page.getByText(/Program 14: warm 20 · knead 24 · rise 48 min/)).toBeVisible();
  await page.getByLabel('Pieces').fill('9');
  await expect(result).toContainText('9 × 101 g');
  await page.getByLabel('Pieces').fill('');
  await page.getByLabel('grams each').fill('45');
  await expect(result).toContainText('20 × 45 g');
  await page.getByLabel('Kitchen °C').fill('27');
  await expect(result).toContainText(/(4|5)\d min\s*second proof/);
  await page.getByRole('button', { name: /^Oven, wash, pan/ }).click();
  await page.getByLabel('Oven °C').fill('900');
  await expect(page.getByText('Wall oven goes from 50 °C to 275 °C.').first()).toBeVisible();
  await page.getByLabel('Oven °C').fill('205');
  await expect(result).toContainText(/13 min\s*bake/);
  await choose(page, 'Becomes', 'three-strand plaits');
  await expect(result).toContainText('6 strands of 151 g');
  await expect(page.getByText('Raw flour and raw egg can carry germs', { exact: false }).first()).toBeVisible();
});

test.describe('an empty kitchen', () => {
  test.use({ demo: false });

  test('says what to do first', async ({ page }) => {
    await page.visit('/');
    await expect(page.getByRole('heading', { name: 'Nothing is under way.' })).toBeVisible();
    await accessible(page);
    for (const [place, said] of [
      ['Doughs', 'Doughs to begin with'],
      ['Logbook', 'No bake is over yet'],
    ]) {
      await page.getByRole('link', { name: place, exact: true }).click();
      await expect(page.getByText(said)).toBeVisible();
      await accessible(page);
    }
    await page.visit('/lay-out');
    await expect(page.getByRole('heading', { name: 'Doughs to begin with' })).toBeVisible();
    await page.visit('/nowhere');
    await expect(page.getByText('There is no such page')).toBeVisible();
  });
});

test('weighed in by keys alone', async ({ page, server }) => {
  const id = await bake(server);
  await page.visit('/');
  await page.getByRole('link', { name: /^To the bench/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`/bench$`));
  const sentence = page.getByRole('heading', { level: 1 });
  // What is due longest in any bake comes first: the new one.
  await expect(sentence).toHaveText('Put both paddles in the blue two-paddle.');
  await page.goto(`${server.url}/bench/${id}`);
  await expect(sentence).toHaveText('Put both paddles in the blue two-paddle.');
  // The day says the same sentence; the control is only here.
  await expect(page.getByRole('button', { name: 'In', exact: true })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(sentence).toHaveText('Weigh in the whole milk.');
  await page.keyboard.type('303');
  await page.keyboard.press('Enter');
  for (const next of ['egg', 'butter', 'sugar', 'strong white flour', 'fine salt', 'instant yeast']) {
    await expect(sentence).toHaveText(`Weigh in the ${next}.`);
    await expect(page.getByRole('group', { name: 'Controls' }).locator('.do')).toBeEnabled();
    // How loud it is is nobody's step; a foot switch is.
    await page.locator('body').press('AudioVolumeUp');
    await page.locator('body').press(next === 'egg' ? 'PageDown' : 'Enter');
  }
  await expect(sentence).toHaveText(/Start program 14/);
  await page.locator('body').press('z');
  await expect(sentence).toHaveText('Weigh in the instant yeast.');
  const { body } = await call(server, `/api/bakes/${id}/log`);
  expect(body[1].text).toBe('Weigh in whole milk: 303 g');
});

sharing('an uneven piece is marked and weighed again', async ({ page, server }) => {
  const id = await bake(server, { pieces: 3 });
  await tell(
    server,
    id,
    { type: 'dough-weighed', step: 'weigh-dough', mass: 300 },
    { type: 'part-weighed', number: 1, mass: 120 },
  );
  await page.visit(`/bench/${id}`);
  await expect(page.getByText('180 g left')).toBeVisible();
  await page.getByLabel('1: 120 g, over its 100 g').click();
  await expect(page.getByText('Weighing this one again')).toBeVisible();
  await page.getByLabel('No scale? Type grams').fill('101');
  await page.getByLabel('No scale? Type grams').press('Enter');
  await expect(page.getByLabel('1: 101 g', { exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Piece 2 of 3.');
  await accessible(page);
});

sharing('uneven pieces are made even with the fewest pinches before they are shaped', async ({ page, server }) => {
  const id = await bake(server, { pieces: 6 });
  await tell(
    server,
    id,
    { type: 'dough-weighed', step: 'weigh-dough', mass: 600 },
    ...[100, 112, 99, 101, 88, 100].map((mass, i) => ({ type: 'part-weighed', number: i + 1, mass })),
  );
  await page.visit(`/bench/${id}`);
  const even = page.getByRole('region', { name: 'Even them out' });
  await expect(even).toContainText('Take 9 g from no. 2, press it under no. 5.');
  await accessible(page);
  await even.getByRole('button', { name: 'Done' }).click();
  await expect(even).toHaveCount(0);
  const { body } = await call(server, `/api/bakes/${id}/log`);
  expect(body.slice(-2).map((l) => l.text)).toEqual(['Piece 2 of 6: 103 g', 'Piece 5 of 6: 97 g']);
});

test('a look says what can go in, and the bake goes on from what was seen', async ({ page, server }) => {
  const { body: day } = await call(server, '/api/today');
  const { id } = day.bakes.find((b) => b.title === 'Spanner pretzels');
  await page.visit(`/bench/${id}`);
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Do Look at the proof' }).click();
  await expect(page.getByText(/Reckoned: \d+ % grown, 35 % wanted/)).toBeVisible();
  await page
    .getByRole('group', { name: 'Answers' })
    .getByRole('button', { name: /^A third/ })
    .click();
  await expect(page.getByRole('button', { name: 'Take back Look at the proof: A third' })).toBeVisible();
  const { body } = await call(server, `/api/bakes/${id}`);
  expect(body.steps.some((s) => s.step === 'look-2')).toBe(false);
});

sharing('given up, and taken up again', async ({ page, server }) => {
  const id = await bake(server);
  await page.visit(`/bench/${id}`);
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: /Give this bake up/ }).click();
  await page.getByRole('button', { name: 'Yes, give this bake up' }).click();
  await expect(page.getByRole('heading', { name: 'Workbench soft rolls was stopped.' })).toBeVisible();
  await page.getByRole('button', { name: /Take back: Bake stopped/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Put both paddles/);
});

sharing('the logbook shows a past bake, with its strand, weights and note', async ({ page }) => {
  await page.visit('/logbook');
  await page.getByRole('link', { name: 'Three-wire plait' }).click();
  await expect(page.getByText('Ends came undone on one; pinch harder.')).toBeVisible();
  await expect(page.getByRole('img', { name: /Three-wire plait.*oven on at.*2 ready at/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Weights: \d+ g/ })).toBeVisible();
  await expect(page.getByText(/^From \d+ to \d+ g: spread \d+ g\./)).toBeVisible();
});

for (const [what, size] of [
  ['a phone', { width: 390, height: 844 }],
  ['a laptop', { width: 1280, height: 800 }],
])
  sharing(`text at twice its size stays on ${what}`, async ({ page, server }) => {
    await page.setViewportSize(size);
    const { body: day } = await call(server, '/api/today');
    for (const path of ['/', `/bench/${day.bakes[0].id}`]) {
      await page.visit(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await page.addStyleTag({ content: 'html { font-size: 200% }' });
      // Drawings follow the width a moment later.
      await expect
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: path })
        .toBeLessThanOrEqual(size.width);
    }
  });

test('where the bread is kept is said, and a copy of it is one touch', async ({ page, server }) => {
  await page.visit('/kitchen?thing=kept');
  const kept = page.getByRole('region', { name: 'Where your bread is kept' });
  await expect(kept).toContainText(server.data);
  await expect(kept).toContainText('No copy yet.');
  await kept.getByRole('button', { name: 'Make a copy now' }).click();
  await expect(kept).toContainText(/Last copy: .*; 1 in all/);
  const { body } = await call(server, '/api/copies');
  expect(body.copies).toHaveLength(1);
  expect(body.copies[0].size).toBeGreaterThan(10_000);
});

test.describe('a house that has nothing yet', () => {
  test.use({ demo: false });
  test('the first page offers doughs as what they become, and one touch lays the first bake out', async ({ page, server }) => {
    await page.visit('/');
    const shelf = page.getByRole('region', { name: 'Doughs to begin with' });
    // All of the twelve but the griddle's: the usual kitchen has none.
    await expect(shelf.getByRole('button')).toHaveCount(11);
    await expect(shelf.getByRole('button', { name: /^Soft rolls \d+ pan rolls, ready/ })).toBeVisible();
    await accessible(page);
    await shelf.getByRole('button', { name: /^Plait/ }).click();
    await expect(page).toHaveURL(/lay-out\?dough=/);
    await expect(page.getByRole('region', { name: 'Result' })).toContainText('three-strand plait');
    await page.getByRole('button', { name: /^Start this bake/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Put the paddle/);
    // A first bake explains itself, each thing once.
    await expect(page.getByText('It is the one thing that is forgotten')).toBeVisible();
    await page.keyboard.press('Enter');
    const weighs = page.getByText('Bread goes by what things weigh');
    await expect(weighs).toBeVisible();
    await page.waitForTimeout(800);
    await page.keyboard.press('Enter');
    await expect(weighs).toBeHidden();
    // Its machine is only assumed: what it begins is touched as it begins it.
    const id = page.url().match(/bench\/([0-9a-f-]+)/)[1];
    await tell(server, id, { type: 'step-done', step: 'start-cycle' });
    const watch = page.getByRole('region', { name: 'What Bread machine does' });
    await watch.getByRole('button', { name: 'It stands still' }).click();
    await expect(watch).toContainText('stands still from minute 0');
    expect((await call(server, '/api/kitchen/setup')).body.machines[0].phases[0].kind).toBe('warm');
    await watch.getByRole('button', { name: 'Not so: take it back' }).click();
    await expect(watch).not.toContainText('from minute');
    await page.visit('/');
    await expect(shelf).toHaveCount(0);
    expect((await call(server, '/api/doughs')).body.total).toBe(1);
  });
});

sharing('the logbook is searched by dough, bread, note and day, and for good ones', async ({ page }) => {
  await page.visit('/logbook');
  const lines = page.locator('.logline');
  await expect(lines.nth(2)).toBeVisible();
  const all = await lines.count();
  const search = page.getByLabel('Search');
  for (const [word, found] of [
    ['pinch', 'Three-wire plait'],
    ['buns november', 'Fuse-box buns'],
    ['2026-10-31', 'Workbench soft rolls'],
  ]) {
    await search.fill(word);
    await expect(lines).toHaveCount(1);
    await expect(lines).toContainText(found);
  }
  await search.fill('rye');
  await expect(page.getByText('No bake that is over is like this.')).toBeVisible();
  await search.fill('');
  await expect(lines).toHaveCount(all);
  await page.getByText('Good ones').click();
  await expect(lines.filter({ hasText: 'Fuse-box buns' })).toHaveCount(0);
  await expect(lines).not.toHaveCount(0);
});

test('a picture of the bread is added later, made small, and shown in the logbook; the bake goes along as a file', async ({
  page,
}) => {
  await page.visit('/logbook');
  await page.getByRole('link', { name: 'Three-wire plait' }).click();
  const photo = page.getByRole('region', { name: 'Picture of the bread' });
  await photo.getByLabel('Add a picture').setInputFiles({
    name: 'bread.png',
    mimeType: 'image/png',
    buffer: await page.screenshot(),
  });
  const shown = photo.getByRole('img', { name: /^Three-wire plait/ });
  await expect(shown).toBeVisible();
  expect(await shown.evaluate((i) => i.naturalWidth)).toBeGreaterThan(100);
  await accessible(page);
  const file = page.waitForEvent('download');
  await page.getByRole('link', { name: 'As a file' }).click();
  expect((await file).suggestedFilename()).toMatch(/^jolly-knot-.*\.zip$/);
  await page.visit('/logbook');
  await expect(page.locator('.logline .thumb')).toHaveCount(1);
  await page.goBack();
  await photo.getByRole('button', { name: 'Remove it' }).click();
  await expect(shown).toHaveCount(0);
  await photo.getByLabel('Add a picture').setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no') });
  await expect(photo.getByRole('alert')).toHaveText('This cannot be shown as a picture.');
});

test('how a bake was can be put otherwise later', async ({ page }) => {
  await page.visit('/logbook');
  await page.getByRole('link', { name: 'Three-wire plait' }).click();
  await page.getByRole('button', { name: 'Put it otherwise' }).click();
  const judge = page.getByRole('region', { name: 'How it was' });
  await expect(judge.getByLabel('For next time')).toHaveValue(/Ends came undone on one/);
  await judge.getByRole('button', { name: '2 of 5' }).click();
  await judge.getByLabel('For next time').fill('Wet the ends.');
  await judge.getByRole('button', { name: 'Keep' }).click();
  await expect(judge).toBeHidden();
  await expect(page.getByText('Wet the ends.')).toBeVisible();
  await expect(page.getByRole('img', { name: '2 of 5' })).toBeVisible();
  await page.reload();
  await expect(page.getByText('Wet the ends.')).toBeVisible();
});
