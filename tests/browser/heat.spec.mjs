// Ways with an oven or a griddle of their own, from a pasted recipe to the table.
import { choose, expect, test } from './house.mjs';
import { layOut, order, result, says, toTheTable, words } from './ways.mjs';

test('crusty rolls: a part of the water held back, slashed before the proof, steam under them', async ({ page, server }) => {
  await layOut(page, [
    'Winch rolls',
    '420 g strong white flour',
    '270 g water',
    '8 g salt',
    '4 g instant yeast',
    'semolina for the tray',
    'makes 10',
    'Slash before the proof. Bake 18 minutes at 230 with steam.',
  ]);
  await expect(page.getByText('crusty rolls').first()).toBeVisible();
  await page.getByRole('checkbox', { name: 'Hold a third of the liquid back' }).check();
  // Two loads, unless the baker says that one tray is enough; its price is said.
  await expect(page.getByText('2 loads')).toBeVisible();
  await page.getByRole('button', { name: /One tray is enough closer together: \d+ min longer, soft where they touch/ }).click();
  await expect(page.getByText('2 loads')).toHaveCount(0);
  await expect(result(page)).toContainText('recipe 18 min');
  const said = await toTheTable(page, server);
  order(said, 'check-1', 'ready-pan', 'take-out', 'divide', 'shape', 'score', 'start-proof', 'load', 'turn', 'unload');
  expect(says(said, 'ready-pan')).toMatch(/Dust the small tray with semolina/);
  expect(says(said, 'weigh-in-2')).toContain('180 g in the pan');
  expect(says(said, 'check-1')).toContain('90 g water held back');
  expect(says(said, 'load')).toContain('A cup of hot water');
  expect(words(said).filter((s) => /left out|slip/.test(s))).toEqual([]);
});

test('a plait in an oven heated and off: on, off, in at 38, out before the preheat; what the yolk leaves is said', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Chain plait',
    '420 g plain flour',
    '150 g water',
    '2 eggs',
    '40 g honey',
    '35 g sunflower oil',
    '8 g salt',
    '7 g instant yeast',
    '1 egg yolk and 1 tbsp water to brush',
  ]);
  await choose(page, 'Second proof', 'in the oven, heated and off');
  const said = await toTheTable(page, server);
  order(said, 'warm-on', 'warm-off', 'take-out', 'shape', 'start-proof', 'clear-oven', 'oven-on', 'part-1', 'brush', 'load');
  expect(says(said, 'warm-on')).toContain('60 °C');
  expect(says(said, 'start-proof')).toContain('at 38 °C or below');
  expect(says(said, 'part-1')).toContain('The white keeps two days in the fridge, or frozen.');
  expect(says(said, 'brush')).toMatch(/About [\d.]+ g does both: a yolk and a spoon of water is enough/);
});

test('pockets: balls rest, are rolled as thin as the recipe says, and are done when puffed and spotted', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Porthole pockets',
    '400 g plain flour',
    '245 g water',
    '15 g olive oil',
    '7 g salt',
    '4 g instant yeast',
    'Makes 8. Divide into balls, rest 20 minutes, roll 5 mm thin, rest 12 minutes on a floured cloth. Bake 5 minutes at 250.',
  ]);
  await expect(result(page)).toContainText('recipe 12 min');
  const said = await toTheTable(page, server);
  order(said, 'divide', 'shape', 'start-proof', 'load', 'turn', 'unload');
  expect(says(said, 'divide')).toContain('1 of 8');
  expect(says(said, 'shape')).toContain('Rolled 5 mm thin');
  expect(says(said, 'load')).toContain('Slide them onto the hot');
  expect(says(said, 'unload')).toContain('puffed and have brown spots');
  expect(words(said).filter((s) => /hollow/.test(s))).toEqual([]);
});

test('batons: an oven told hotter than its dial is answered, the length goes with the tray, and they are sprayed', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Boom batons',
    '500 g strong white flour',
    '330 g water',
    '10 g salt',
    '5 g instant yeast',
    'Makes 3 batons. Spray at loading and twice more. Set oven to 300.',
  ]);
  await expect(result(page)).toContainText('recipe 300 °C, here 275 °C');
  const said = await toTheTable(page, server);
  order(said, 'ready-pan', 'shape', 'start-proof', 'score', 'load', 'mist-1', 'mist-2', 'unload');
  expect(says(said, 'load')).toMatch(/3 batons, 275 °C\. In the baton tray\. Spray the walls/);
  expect(says(said, 'unload')).toContain('the hot tray at once');
});

test('thin griddle breads from discard: no rise is waited for, flour on the table, every side called', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Thin deck breads',
    '230 g buttermilk',
    '110 g starter discard',
    '25 g oil',
    '330 g plain flour',
    '40 g rye flour',
    '7 g salt',
    '⅓ tsp baking soda',
    'makes 9',
    'Mix by hand, rest 20 minutes, divide, rest 45 minutes, roll thin with flour. Bake on a hot griddle.',
  ]);
  await expect(page.getByText(/Starter alone/)).toHaveCount(0);
  const said = await toTheTable(page, server);
  order(said, 'start-cycle', 'take-out', 'divide', 'shape', 'load', 'griddle-1', 'unload');
  expect(words(said).filter((s) => /doubled|paddle|program|how much have they grown|Wet hands/.test(s))).toEqual([]);
  expect(says(said, 'shape')).toContain('A little flour if it sticks');
  expect(said.filter((s) => s.startsWith('griddle-')).length).toBeGreaterThan(1);
});
