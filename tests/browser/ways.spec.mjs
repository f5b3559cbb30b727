// Every way of working, from a pasted recipe to the table: what is said is what this kitchen has, and nothing else.
import { accessible, call, choose, expect, rolls, test } from './house.mjs';
import { change, inOunces, layOut, more, order, result, says, start, toTheTable, words } from './ways.mjs';

test('a plait and a twist, in ounces: each gets its own seeds, and no figure is a gram', async ({ page, server }) => {
  await inOunces(server);
  await layOut(page, [
    'Quayside plait',
    '450 g plain flour',
    '150 g water',
    '2 eggs',
    '45 g honey',
    '40 g sunflower oil',
    '8 g salt',
    '7 g instant yeast',
    '1 tbsp caraway seeds for the top',
    '2 tbsp rolled oats for sprinkling',
    '1 egg for brushing',
  ]);
  await choose(page, 'Becomes', 'four-strand plaits');
  await page.getByLabel('Pieces', { exact: true }).fill('1');
  await page.getByRole('button', { name: 'Another shape' }).click();
  await choose(page, 'Becomes 2', 'two-strand twists');
  await page.getByLabel('Pieces 2').fill('1');
  await page.getByLabel('ounces each 2').fill('8 3/4');
  await more(page, 1).click();
  const gets = page.getByRole('group', { name: 'It gets' });
  await expect(gets.getByRole('checkbox')).toHaveCount(2);
  await gets.getByRole('checkbox').nth(1).uncheck();
  await more(page, 2).click();
  await expect(gets).toHaveCount(1);
  await gets.getByRole('checkbox').nth(0).uncheck();
  await expect(result(page)).toContainText('oz');
  const said = await toTheTable(page, server);
  expect(words(said).filter((s) => /\d (g|mm|cm)\b|°C/.test(s))).toEqual([]);
  const tops = said.filter((s) => s.startsWith('top-'));
  expect(tops.map((t) => /Sprinkle the (\w+)/.exec(t)?.[1])).toEqual(['caraway', 'rolled']);
  expect(tops[0]).toContain('four-strand plait');
  expect(tops[1]).toContain('two-strand twist');
});

test('no scale in the house: cups, spoons and eggs, divided by eye, and nothing is weighed', async ({ page, server }) => {
  await change(server, { noScale: true });
  await layOut(page, [
    'Harbour rolls',
    '4 cups less 2 tbsp strong white flour',
    '1¼ cups milk',
    '3 tbsp butter',
    '1 egg',
    '2½ tbsp sugar',
    '1½ tsp fine salt',
    '2 tsp instant yeast',
  ]);
  await choose(page, 'Becomes', 'pan rolls');
  await page.getByLabel('Pieces', { exact: true }).fill('10');
  const said = await toTheTable(page, server);
  expect(words(said).filter((s) => /\d g\b|[Ww]eigh|\bscale\b/.test(s))).toEqual([]);
  expect(said.join('\n')).toContain('Add 3¾ cups and 2 tbsp strong white flour.');
  expect(said.join('\n')).toContain('Add 1¼ cups whole milk.');
  expect(said.join('\n')).toMatch(/Add 1 egg\./);
  expect(said.join('\n')).toContain('Add 1½ tsp fine salt.');
  expect(said.some((s) => s.startsWith('brush'))).toBe(false);
});

test('one pointed loaf: weighed once, never divided, one long slash, milk and then its seeds', async ({ page, server }) => {
  await layOut(page, [
    'Pier loaf',
    '420 g strong white flour',
    '275 ml water',
    '1¼ tsp salt',
    '1 tsp machine yeast',
    '1 tbsp poppy seeds for the top',
    '1 tbsp milk to brush',
  ]);
  await expect(page.getByText('Becomes').first()).toBeVisible();
  await choose(page, 'Becomes', 'free loaves');
  await page.getByLabel('Pieces', { exact: true }).fill('1');
  // Longer than anything in the kitchen: what would hold it is said.
  await more(page, 1).click();
  await page.getByLabel('Long, cm').fill('55');
  await expect(page.getByText(/Nothing in the kitchen holds the free loaf\. At most \d+ cm long/)).toBeVisible();
  await page.getByLabel('Long, cm').fill('');
  await page.getByText(/^How you do it/).click();
  await choose(page, 'Steam', 'porous stones');
  const said = await toTheTable(page, server);
  expect(said.filter((s) => /Divide|1 of 1|\bthem\b|\bthey\b/.test(s))).toEqual([]);
  expect(says(said, 'score')).toContain('One long slash');
  order(said, 'weigh-dough', 'shape', 'start-proof', 'brush', 'top-1', 'score', 'load', 'unload');
  expect(says(said, 'brush')).toContain('whole milk');
  expect(says(said, 'load')).toContain('over the stones');
});

test('rounds from the baker’s own ring: rolled, cut, gathered and rolled again, six sides called', async ({ page, server }) => {
  await page.visit('/lay-out?dough=00000008-4a4b-4442-8000-000000000008');
  await expect(page.getByRole('combobox', { name: 'Becomes' })).toBeVisible();
  await more(page, 1).click();
  await page.getByLabel('Ring, cm').fill('7,5');
  await page.getByLabel('Rolled, cm').fill('1.2');
  await page.getByLabel('Pieces', { exact: true }).fill('');
  await expect(result(page)).toContainText(/12 mm|1\.2 cm/);
  await expect(result(page)).toContainText(/with a ring of 7\.5 cm: \d+ from the sheet, \d/);
  const said = await toTheTable(page, server);
  expect(said.filter((s) => s.startsWith('divide'))).toEqual([]);
  expect(says(said, 'shape')).toContain('Roll the dough 12 mm thick and cut rounds with the ring of 75 mm.');
  order(said, 'shape', 'gather-1', 'start-proof', 'load', 'griddle-1', 'unload');
});

test('half tonight, half tomorrow: the rest stands on the first screen, and becomes buns from the fridge', async ({
  page,
  server,
}) => {
  await page.visit('/lay-out?dough=00000006-4a4b-4442-8000-000000000006');
  await choose(page, 'Becomes', 'tin loaves');
  await page.getByLabel('Pieces', { exact: true }).fill('1');
  await page.getByLabel('grams each', { exact: true }).fill('430');
  await page.getByRole('button', { name: 'Keep some cold' }).click();
  const said = await toTheTable(page, server);
  expect(said.some((s) => s.startsWith('keep-2'))).toBe(true);
  await server.pass(11 * 60);
  await page.visit('/');
  const cold = page.getByRole('region', { name: 'In the cold' });
  await expect(cold).toContainText(/Cable knots, \d+ g in the fridge since/);
  await expect(cold).toContainText(/best until .* use by/);
  await accessible(page);
  await cold.getByRole('link', { name: 'Make something of it' }).click();
  await choose(page, 'Becomes', 'long buns');
  const tomorrow = await toTheTable(page, server);
  expect(tomorrow[0]).toContain('Take the dough out of the fridge');
  expect(tomorrow.filter((s) => /paddle|program|Weigh in/.test(s))).toEqual([]);
  order(tomorrow, 'fetch-lump', 'divide', 'shape', 'start-proof', 'load');
  await page.visit('/');
  await expect(page.getByRole('region', { name: 'In the cold' })).toHaveCount(0);
});

test('buns shaped today and frozen are baked another day: taken out, set out, and nothing divided', async ({ page, server }) => {
  await page.visit(`/lay-out?dough=${rolls}`);
  await choose(page, 'Becomes', 'round buns');
  await page.getByLabel('Pieces', { exact: true }).fill('4');
  await page.getByRole('button', { name: 'Another shape' }).click();
  await choose(page, 'Becomes 2', 'round buns');
  await page.getByRole('group', { name: 'Cut 2' }).getByRole('button', { name: /^Oven/ }).click();
  await expect(page.getByLabel('Pan 2')).toHaveCount(1);
  await choose(page, 'Baked 2', 'another day: shaped, into the freezer');
  // Its oven is asked when it is baked.
  await expect(page.getByLabel('Pan 2')).toHaveCount(0);
  const said = await toTheTable(page, server);
  expect(says(said, 'keep-shaped-2')).toMatch(/Shape \d+ round buns and put them into the freezer\./);
  order(said, 'divide', 'keep-shaped-2', 'shape', 'load');
  await server.pass(3 * 24 * 60);
  await page.visit('/');
  const cold = page.getByRole('region', { name: 'In the cold' });
  await expect(cold).toContainText(/\d+ round buns, shaped, in the freezer since/);
  await cold.getByRole('link', { name: 'Bake them' }).click();
  const later = await toTheTable(page, server);
  expect(later[0]).toMatch(/Take \d+ round buns out of the freezer and set them out, apart\./);
  expect(later.filter((s) => /^(divide|weigh|keep|fetch)/.test(s))).toEqual([]);
  order(later, 'shape', 'start-proof', 'load', 'unload');
});

test('rolls from a bowl: no paddle, pan or program is named, and the same again is one touch', async ({ page, server }) => {
  await layOut(page, [
    'Slipway rolls',
    '300 g plain flour',
    '190 ml milk',
    '30 g butter',
    '2 tbsp sugar',
    '½ tsp salt',
    '1 packet yeast',
    'Mix by hand, knead two minutes, rest a quarter of an hour, pull into 15, let grow, bake 17 minutes at 180',
  ]);
  await expect(page.getByLabel('Kneaded, min')).toHaveValue('2');
  await expect(page.getByLabel('Rises in its bowl, min')).toHaveValue('15');
  const said = await toTheTable(page, server);
  expect(words(said).filter((s) => /paddle|\bpan\b(?! roll)|program|corner|unplug/i.test(s))).toEqual([]);
  expect(said.filter((s) => s.startsWith('rise-look'))).toEqual([]);
  await page.visit('/logbook');
  await page.getByRole('link', { name: 'Slipway rolls' }).first().click();
  await page.getByRole('link', { name: 'Same again' }).click();
  await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('15');
  await expect(page.getByLabel('Kneaded, min')).toHaveValue('2');
  await expect(start(page)).toBeVisible();
});

test('rolls from a bowl beside a machine dough: for breakfast somebody would be up, for noon the day is laid out around both', async ({
  page,
  server,
}) => {
  const { body: book } = await call(server, '/api/doughs');
  const buns = book.doughs.find((d) => d.name === 'Fuse-box buns').id;
  const tomorrow = new Date(server.now + 24 * 3600e3).toLocaleDateString('sv-SE');
  const readyBy = async (time) => {
    await page.getByText('Ready by').click();
    await page.locator('input#when').fill(`${tomorrow}T${time}`);
  };
  await page.visit(`/lay-out?dough=${buns}`);
  await readyBy('12:30');
  await page.getByRole('button', { name: /^Plan it: start at/ }).click();
  await expect(page.getByRole('region', { name: 'Start something' })).toBeVisible();
  await layOut(page, [
    'Slipway rolls',
    '280 g plain flour',
    '180 ml milk',
    '30 g butter',
    '2 tbsp sugar',
    '¾ tsp salt',
    '1 packet yeast',
    'Mix by hand, knead two minutes, rest a quarter of an hour, pull into 14, let grow, bake 17 minutes at 180',
  ]);
  await readyBy('06:30');
  await expect(page.getByText(/^Somebody would be up at 0\d:\d\d: /)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Ready by .* instead$/ })).toBeVisible();
  await page.locator('input#when').fill(`${tomorrow}T12:30`);
  await expect(page.getByText(/^Somebody would be up/)).toBeHidden();
  // Weighed into a bowl, and no timer is offered to hands.
  await expect(page.getByRole('columnheader', { name: 'in the bowl' })).toBeVisible();
  await expect(page.getByText(/paddle|program|timer/i)).toHaveCount(0);
  // Of the buns only what matters is said: when they would be ready.
  const moves = page.getByRole('list', { name: 'What would move' });
  await expect(moves.getByRole('listitem')).toHaveCount(1);
  await expect(moves).toContainText(/12:30 → 1\d:\d\d Fuse-box buns: Ready to eat/);
  await page.getByRole('button', { name: /^Lay the day out around it/ }).click();
  await expect(page.getByText(/Slipway rolls.* · ready 12:30/)).toBeVisible();
  await expect(page.getByText(/Fuse-box buns.* · ready 1\d:\d\d/)).toBeVisible();
  const { body: day } = await call(server, '/api/day', { changes: [] });
  expect(day.findings.filter((f) => f.impossible)).toEqual([]);
});

test('a starter loaf by hand: folded as there is time, until half as big again, oats on the loaf before its proof', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Lighthouse loaf',
    '480 g strong white flour',
    '105 g ripe starter',
    '310 g water',
    '30 g honey',
    '9 g salt',
    '2 tbsp rolled oats for the top',
    'Mix by hand.',
  ]);
  await choose(page, 'Becomes', 'tin loaves');
  await page.getByLabel('Pieces', { exact: true }).fill('1');
  await page.getByLabel('Rises in its bowl, min').fill('300');
  await choose(page, 'Until it has', 'grown half as big again');
  await page.getByLabel('Folded, times').fill('2');
  await page.getByLabel('every, min').fill('45');
  await choose(page, 'In the fridge first', '12 h in the fridge first');
  await choose(page, 'Second proof', 'on the shelf over the boiler');
  const said = await toTheTable(page, server);
  order(said, 'start-cycle', 'fold-1', 'fold-2', 'ready-pan', 'take-out', 'weigh-dough', 'shape', 'start-proof', 'warm-up');
  order(said, 'warm-up', 'look-1', 'oven-on', 'top-1', 'load', 'unload');
  expect(says(said, 'start-proof')).toContain('set it in the fridge');
  expect(says(said, 'warm-up')).toContain('set it on the shelf over the boiler');
  expect(says(said, 'look-1')).toContain('Look at the tin');
  expect(said.join('\n')).toContain('When it has grown half as big again it comes out');
  expect(says(said, 'ready-pan')).toMatch(/Grease the (loaf|small) tin/);
  expect(said.filter((s) => /Divide|paddle|program/.test(s))).toEqual([]);
});

test('buns three ways: the smallest in their tin, heats near one another, and half of the minis in the freezer', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Capstan buns',
    '400 g strong white flour',
    '100 g ripe starter',
    '190 g water',
    '1 egg',
    '30 g butter',
    '25 g sugar',
    '8 g salt',
    '4 g yeast',
  ]);
  await choose(page, 'Becomes', 'round buns');
  await page.getByLabel('Pieces', { exact: true }).fill('4');
  await page.getByLabel('grams each', { exact: true }).fill('85');
  await page.getByRole('button', { name: 'Another shape' }).click();
  await choose(page, 'Becomes 2', 'long buns');
  await page.getByLabel('Pieces 2').fill('3');
  await page.getByLabel('grams each 2').fill('75');
  await page.getByRole('button', { name: 'Another shape' }).click();
  await choose(page, 'Becomes 3', 'pan rolls');
  const said = await toTheTable(page, server);
  // Each shape is shaped, and what has the same heat goes in together.
  expect(said.filter((s) => s.startsWith('shape')).length).toBe(3);
  expect(says(said, 'review')).toContain('4 round buns, 3 long buns, ');
  // Half of the minis are frozen when cold, and stand on the first screen until they are eaten.
  const { body: past } = await call(server, '/api/logbook');
  await page.visit(`/logbook/${past[0].id}`);
  await page.getByLabel(/How many pan rolls to freeze/).fill('3');
  await page.getByRole('button', { name: 'Freeze 3 pan rolls' }).click();
  await expect(page.getByText('It stands on the first screen until it is eaten.')).toBeVisible();
  await page.visit('/');
  const cold = page.getByRole('region', { name: 'In the cold' });
  await expect(cold).toContainText(/Capstan buns, 3 pan rolls in the freezer since/);
  await cold.getByRole('button', { name: 'Eaten' }).click();
  await expect(cold).toHaveCount(0);
});
