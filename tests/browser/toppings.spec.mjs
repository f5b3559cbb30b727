// Ways with something on or in the bread, from a pasted recipe to the table.
import { choose, expect, test } from './house.mjs';
import { layOut, order, result, says, toTheTable, words } from './ways.mjs';

test('pretzels that are dipped: dip and salt never reach the pan, and the recipe stands beside what is reckoned', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Turnstile pretzels',
    'makes 10',
    '320 g strong white flour, 130 g plain flour',
    '1 1/8 cups lukewarm water',
    '1½ tsp salt',
    '1 tbsp brown sugar',
    '2 tsp machine yeast',
    'For the dip: 1½ tablespoons baking soda, 1 litre warm water',
    'coarse salt to sprinkle',
    'Rest 25 minutes under film. Boil 40 seconds a side, dip, drain, salt. Bake at 220 °C for 15–17 min.',
  ]);
  await expect(result(page)).toContainText('recipe 25 min');
  await expect(result(page)).toContainText('recipe 15 to 17 min');
  await expect(page.getByRole('main')).toContainText('220 °C, no wash');
  await expect(page.getByRole('main')).toContainText('2 × Large tray');
  const said = await toTheTable(page, server);
  expect(said.filter((s) => s.startsWith('weigh-in')).length).toBe(6);
  expect(said.filter((s) => /Weigh in.*soda|coarse/.test(s))).toEqual([]);
  expect(says(said, 'divide')).toContain('1 of 10');
  expect(says(said, 'pot-on')).toContain('for the dip 1 litre of warm water with 21 g of baking soda');
  expect(says(said, 'bath')).toMatch(/Boil them 40 s a side.*Then 10 s in the warm soda dip.*salt while wet/);
  expect(says(said, 'load')).toContain('10 pretzels, 220 °C. On the 2 large trays.');
  order(said, 'start-proof', 'pot-on', 'bath', 'load', 'unload');
});

test('a loaf of apricots: in at the beep, rolled up with its filling, in as soon as the baker says so', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Breakwater loaf',
    '450 g plain flour',
    '230 g milk',
    '1 egg',
    '45 g butter',
    '50 g sugar',
    '8 g salt',
    '7 g instant yeast',
    '140 g dried apricots, chopped, at the beep',
    'Filling:',
    '60 g honey',
    '80 g ground poppy seeds',
  ]);
  const said = await toTheTable(page, server);
  expect(said.filter((s) => /Weigh in.*apricot/.test(s))).toEqual([]);
  order(said, 'check-1', 'add-ins', 'part-1', 'take-out', 'weigh-dough', 'divide', 'shape', 'start-proof', 'load', 'unload');
  expect(says(said, 'part-1')).toContain('60 g honey, 80 g poppy seeds. 70 g for each.');
  expect(says(said, 'ready-pan')).toContain('Grease the 2 small tins.');
  expect(says(said, 'shape')).toMatch(/Flatten it to 32 by 18 cm/);
});

test('leeks fry while the dough rises in its bowl, and cheese comes for the last ten minutes', async ({ page, server }) => {
  await layOut(page, [
    'Lockkeeper tray bread',
    '400 g strong white flour',
    '290 g water',
    '25 g olive oil',
    '8 g salt',
    '5 g instant yeast',
    'Topping:',
    '3 leeks, trimmed (480 g), sliced',
    '1 tbsp olive oil',
    '90 g grated cheese, for the last ten minutes',
    'Rise 75 minutes in a bowl. Press to the corners, rest 25 minutes. Bake at 220 for 25 minutes.',
  ]);
  await expect(page.getByText('75 min in a bowl')).toBeVisible();
  await expect(result(page)).toContainText('recipe 25 min');
  const said = await toTheTable(page, server);
  order(said, 'take-out', 'part-1', 'weigh-dough', 'shape', 'start-proof', 'top-1', 'load', 'turn', 'top-2', 'unload');
  expect(says(said, 'part-1')).toContain('480 g raw leek');
  expect(says(said, 'top-1')).toMatch(/Spread the cooked leek and olive oil on it\. 334 g/);
  expect(says(said, 'top-2')).toMatch(/Sprinkle the grated cheese over it.*90 g/);
  expect(said.filter((s) => /Divide/.test(s))).toEqual([]);
});

test('oats in a tin: risen uncovered, the fan’s heat on this dial, butter on the hot loaf and none of it in the dough', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Oat towpath loaf',
    '360 g strong white flour',
    '75 g oats',
    '280 ml milk',
    '2 tbsp honey',
    '25 g butter',
    '8 g salt',
    '1½ tsp yeast',
    'After baking: brush with 20 g melted butter',
    'Rise uncovered until just over the rim, 30–40 minutes; 175 °C fan, about 30 minutes',
  ]);
  await expect(result(page)).toContainText('recipe 30 to 40 min');
  await expect(result(page)).toContainText('recipe 175 °C, here 190 °C');
  const said = await toTheTable(page, server);
  order(said, 'ready-pan', 'take-out', 'shape', 'start-proof', 'load', 'unload', 'top-1', 'review');
  expect(says(said, 'start-proof')).toContain('Uncovered');
  expect(says(said, 'top-1')).toMatch(/Brush the butter on it\. While hot\. 20 g/);
  expect(said.filter((s) => /Weigh in the butter/.test(s)).length).toBe(1);
});

test('cheese and chillies: a handful is asked once, both keep their names, and more cheese goes on before the oven', async ({
  page,
  server,
}) => {
  await layOut(
    page,
    [
      'Chilli signal loaf',
      '430 g plain flour',
      '210 g milk',
      '1 egg',
      '40 g butter',
      '30 g sugar',
      '7 g salt',
      '6 g instant yeast',
      'a handful of chopped pickled green chillies',
      '70 g grated cheese',
      '30 g grated cheese on top just before the oven',
    ],
    async () => {
      await page.getByLabel(/^Grams of .*chill/).fill('45');
    },
  );
  await choose(page, 'Becomes', 'tin loaves');
  await page.getByLabel('Pieces', { exact: true }).fill('1');
  const said = await toTheTable(page, server);
  expect(words(said).filter((s) => /Weigh in the .*chill/.test(s)).length).toBe(1);
  expect(words(said).filter((s) => /Weigh in the grated cheese/.test(s)).length).toBe(1);
  expect(says(said, 'top-1')).toMatch(/Sprinkle the grated cheese over it\. 30 g/);
  order(said, 'ready-pan', 'shape', 'start-proof', 'top-1', 'load');
});

test('a spiced coil, and half of its dough kept: brushed with the recipe’s buttermilk, almonds at once', async ({
  page,
  server,
}) => {
  await layOut(page, [
    'Spiced capstan coil',
    '480 g plain flour',
    '200 g milk',
    '2 eggs',
    '60 g butter',
    '60 g sugar',
    '8 g salt',
    '8 g instant yeast',
    '1 tsp ground caraway',
    'buttermilk to brush',
    '2 tbsp flaked almonds on top',
  ]);
  await expect(page.getByRole('combobox', { name: 'Becomes' })).toBeVisible();
  await page.getByLabel('Pieces', { exact: true }).fill('1');
  await page.getByLabel('grams each', { exact: true }).fill('430');
  await page.getByRole('button', { name: 'Keep some cold' }).click();
  const said = await toTheTable(page, server);
  expect(words(said).some((s) => /Weigh in the ground caraway/.test(s))).toBe(true);
  expect(says(said, 'brush')).toContain('Brush it with buttermilk');
  expect(says(said, 'top-1')).toMatch(/Sprinkle the flaked almonds? over it\. At once, while it is wet/);
  order(said, 'weigh-dough', 'divide', 'keep-2', 'shape', 'start-proof', 'brush', 'top-1', 'load');
  expect(words(said).filter((s) => /1 of 1|\bthem\b/.test(s))).toEqual([]);
  // The other half rises in the oven that is still warm from the first.
  await page.visit('/');
  await page.getByRole('region', { name: 'In the cold' }).getByRole('link', { name: 'Make something of it' }).click();
  await expect(page.getByRole('combobox', { name: 'Becomes' })).toBeVisible();
  await choose(page, 'Second proof', 'in the oven, heated and off');
  const again = await toTheTable(page, server, page.getByRole('button', { name: /^Lay the day out around it/ }));
  expect(again[0]).toMatch(/^fetch-lump: Take the dough out of the fridge, 4\d\d g/);
  expect(says(again, 'start-proof')).toMatch(/at 38 °C or below\. Still hot from \d+ °C, it takes .* to get there/);
  expect(says(again, 'start-proof')).toContain('No heating while dough is inside');
  order(again, 'fetch-lump', 'shape', 'start-proof', 'clear-oven', 'oven-on', 'brush', 'top-1', 'load', 'unload');
  expect(words(again).filter((s) => /paddle|program|Weigh in|\bdivided?\b/.test(s))).toEqual([]);
});
