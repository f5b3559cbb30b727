// The dough book: recipes read, doughs changed, pans loaded, the kitchen kept.
import { readFileSync } from 'node:fs';
import { accessible, call, choose, expect, rolls, sharing, test } from './house.mjs';

const recipe = `Grandfather clock rolls
Makes 16

For the dough:
4 cups (500 g) strong white flour
1¼ cups (300 ml) whole milk, lukewarm
2 eggs plus 1 yolk
1 packet instant yeast
1½ tsp salt
2 tbsp moon dust

For the filling
50 g butter, softened
½ cup packed brown sugar

Method
1. Mix everything.`;

test('a pasted recipe becomes a dough, and what was put right is learned', async ({ page }) => {
  await page.visit('/doughs');
  await page.getByRole('link', { name: 'Read a recipe' }).click();
  await page.getByLabel(/Paste a recipe/).fill(recipe);
  const understood = page.getByRole('region', { name: 'What was understood' });
  await expect(understood).toContainText('8 understood, 1 still to be told');
  await expect(understood).toContainText('4 cups would be 508 g: agrees');
  await expect(page.getByRole('region', { name: 'Left over' })).toContainText('1. Mix everything.');
  await accessible(page);

  await page.getByLabel('Grams of moon dust').fill('18');
  await choose(page, 'What moon dust does', 'something else');
  await expect(understood).not.toContainText('still to be told');
  // Put right in place: this kitchen takes wholemeal for it.
  await page.getByRole('button', { name: 'Correct strong white flour' }).click();
  await page.getByLabel('What strong white flour is').fill('wholemeal flour');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Keep this dough/ }).click();

  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Grandfather clock rolls');
  await expect(page.getByLabel('Ingredient 1', { exact: true })).toHaveValue('wholemeal flour');
  await expect(page.getByRole('region', { name: 'For the filling' })).toBeVisible();
  await expect(page.getByLabel('Method and notes')).toHaveValue(/Makes 16\nMethod\n1. Mix everything./);

  await page.visit('/doughs/read');
  await page.getByLabel(/Paste a recipe/).fill('500 g flour\n1 tbsp moon dust');
  await expect(understood).toContainText('2 understood');
  await expect(understood).toContainText('9 g moon dust');
});

test('a pasted recipe keeps dip and salt out of the pan, asks once, and is laid out as it says', async ({ page }) => {
  await page.visit('/doughs/read');
  await page
    .getByLabel(/Paste a recipe/)
    .fill(
      [
        'Caraway pretzels',
        'makes 14',
        '400 g strong white flour, 100 g plain flour',
        '300 ml lukewarm water',
        '1 tablespoon salt (10g)',
        '2 tsp machine yeast',
        '1 tsp ground caraway',
        '30 g bosunfruit',
        'For the dip: 2 tablespoons baking soda, 1 litre warm water',
        'coarse salt to sprinkle',
        'Rest 25 minutes. Boil 40 seconds a side. Bake at 210 °C for 15–17 min.',
      ].join('\n'),
    );
  const understood = page.getByRole('region', { name: 'What was understood' });
  await expect(page.getByLabel('Name')).toHaveValue('Caraway pretzels');
  await expect(understood).toContainText('2 still to be told');
  await expect(understood).toContainText('ground caraway ground spice');
  const asked = understood.getByRole('list', { name: 'To be told' });
  await asked.getByRole('button', { name: '10 g' }).click();
  // What nobody knows is told in place: what it does, whether it keeps, what is in it.
  await choose(page, 'What bosunfruit does', 'something else');
  await asked.getByRole('button', { name: 'keeps' }).click();
  await choose(page, 'What bosunfruit contains', 'nuts');
  await page.keyboard.press('Escape');
  await expect(understood).not.toContainText('still to be told');
  const says = page.getByRole('region', { name: 'The recipe says' });
  await expect(says).toContainText('Pieces 14');
  await expect(says).toContainText('Bake 15 to 17 min');
  await accessible(page);
  await page.getByRole('button', { name: 'Keep this dough' }).click();
  await expect(page.getByText(/Contains.*nuts/i).first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'bath' })).toContainText('baking soda', { ignoreCase: true });
  await expect(page.getByLabel('Method and notes')).toHaveValue(/coarse salt to sprinkle[^]*Rest 25 minutes/);
  await page.getByRole('button', { name: 'Lay out a bake' }).click();
  const result = page.getByRole('region', { name: 'Result' });
  await expect(result).toContainText('14 ×');
  await expect(result).toContainText('recipe 15 to 17 min');
  // The recipe's rest, its heat and its bare surface are what the bake opens with.
  await expect(page.getByRole('region', { name: 'Result' })).toContainText('recipe 25 min');
  await expect(page.getByText('210 °C, no wash')).toBeVisible();
  await expect(page.getByRole('table').first()).not.toContainText('baking soda');
  await result.getByRole('button', { name: /Start this bake/ }).click();
  await page.getByText('What the recipe says').click();
  await expect(page.getByLabel('Still to come')).toContainText('Boil 40 seconds a side');
  // At the step it belongs to, the recipe's own sentence stands beneath ours.
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Do Load the oven' }).click();
  await expect(page.getByLabel('Still to come')).toContainText('The recipe says here Bake at 210 °C for 15–17 min');
});

test('a German recipe is read as German, in its own words, and by another language when told', async ({ page }) => {
  await page.visit('/doughs/read');
  await page
    .getByLabel(/Paste a recipe/)
    .fill(
      'Kaibrötchen\n500 g Weizenmehl Type 550\n310 ml lauwarmes Wasser\n1 Päckchen Trockenhefe\n2 TL Salz\n2 EL Mohn zum Bestreuen',
    );
  const understood = page.getByRole('region', { name: 'What was understood' });
  await expect(understood).toContainText('5 understood');
  await expect(understood).toContainText('Weizenmehl Type 550 strong white flour');
  await expect(understood).toContainText('German');
  await choose(page, 'Read as', 'French');
  await expect(understood).toContainText('still to be told');
  await choose(page, 'Read as', 'German');
  await page.getByRole('button', { name: 'Keep this dough' }).click();
  await expect(page.getByLabel('Ingredient 1')).toHaveValue('Weizenmehl Type 550');
  await expect(page.getByLabel('What this dough is')).toContainText('62');
});

test('a dough is typed from name to grams to the next row, as it is typed', async ({ page }) => {
  await page.visit('/doughs/new');
  await page.getByLabel('Ingredient 1').fill('strong white flour');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Grams 1')).toBeFocused();
  await page.keyboard.type('500');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Ingredient 2')).toBeFocused();
  await page.keyboard.type('310 ml milk');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Ingredient 2')).toHaveValue('whole milk');
  await expect(page.getByLabel('Grams 2')).toHaveValue('319.71');
  await page.getByLabel('Grams 3').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Ingredient 4')).toBeFocused();
  const facts = page.getByLabel('What this dough is');
  await expect(facts).toContainText('Nothing in this dough makes it rise');
  await page.getByLabel('Name').fill('Flat thing');
  await page.getByRole('button', { name: 'Keep and lay out' }).click();
  await expect(page.getByText('Nothing in this dough makes it rise').first()).toBeVisible();
  await page.getByText('It is meant so').click();
  await expect(page.getByRole('button', { name: /Start this bake/ })).toBeVisible();
});

sharing('a dough leaves as a file and comes back whole; a broken file changes nothing', async ({ page }) => {
  await page.visit(`/doughs/${rolls}`);
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'recipe file' }).click()]);
  expect(file.suggestedFilename()).toBe('workbench-soft-rolls.jsonld');
  const text = readFileSync(await file.path(), 'utf8');
  await page.visit('/doughs/read');
  await page
    .getByLabel('or open a file')
    .setInputFiles({ name: 'rolls.jsonld', mimeType: 'text/plain', buffer: Buffer.from(text) });
  await expect(page.getByText('written by this house: every figure is exact')).toBeVisible();
  await page
    .getByLabel('or open a file')
    .setInputFiles({ name: 'x.json', mimeType: 'text/plain', buffer: Buffer.from('{"@type":') });
  await expect(page.getByText(/This JSON breaks off or is too deep, in line 1/)).toBeVisible();
});

test('a change shows before and after, is taken, taken back, and every version stays', async ({ page }) => {
  await page.visit(`/doughs/${rolls}`);
  const facts = page.getByLabel('What this dough is');
  await expect(page.getByRole('img', { name: /64.4 % water to the hands.*pretzels like 52 % to 60 %/ })).toBeVisible();
  await choose(page, 'How', 'Scale by pieces');
  await page.getByLabel('Pieces', { exact: true }).first().fill('32');
  await page.getByLabel('Grams each').fill('56.6');
  const table = page.getByRole('table', { name: 'Before and after' });
  await expect(table.getByRole('row', { name: /^Dough/ })).toContainText('1836 g');
  await accessible(page);
  await page.getByRole('button', { name: 'Take this' }).click();
  await expect(facts).toContainText('1836 g');
  await page.getByRole('button', { name: 'Take the change back' }).click();
  await expect(facts).toContainText('920 g');
  await choose(page, 'How', 'Dried milk and water for milk');
  await page.getByRole('button', { name: 'Take this' }).click();
  await expect(facts).toContainText('64.4 %');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page).toHaveURL(/\/doughs$/);
  await page.visit(`/doughs/${rolls}`);
  await expect(page.getByRole('region', { name: 'What it costs' })).toContainText('saved against the shop');
  await page.getByRole('button', { name: 'Back to 1' }).click();
  await expect(page.getByLabel('Ingredient 2', { exact: true })).toHaveValue('whole milk');

  await choose(page, 'How', 'A share of it for another use');
  await page.getByLabel('Share, %').fill('25');
  await page.getByLabel('Called').fill('A few knots');
  await page.getByRole('button', { name: 'Keep it as a dough of its own' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('A few knots');
  await expect(facts).toContainText('230 g');
});

test('a dough that somebody else kept meanwhile is not overwritten unasked', async ({ page, server }) => {
  const path = `/api/doughs/${rolls}`;
  const notes = page.getByLabel('Method and notes');
  const theirs = async (said) => {
    const { name, byHand, formula } = (await call(server, path)).body;
    const rows = formula.rows.map((r) => ({ ingredient: r.ingredient, mass: r.mass }));
    expect((await call(server, path, { name, byHand, rows, notes: said }, 'PUT')).status).toBe(200);
  };
  await page.visit(`/doughs/${rolls}`);
  await notes.fill('Mine');
  await theirs('Theirs');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Somebody else kept another version of this dough meanwhile.')).toBeVisible();
  await page.getByRole('button', { name: 'Take theirs' }).click();
  await expect(notes).toHaveValue('Theirs');
  await notes.fill('Mine');
  await theirs('Theirs again');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('button', { name: 'Keep mine over it' }).click();
  await expect(page).toHaveURL(/\/doughs$/);
  expect((await call(server, path)).body.notes).toBe('Mine');
});

sharing('the load list follows the machine, and a timer over milk is refused', async ({ page }) => {
  await page.visit(`/doughs/${rolls}/load`);
  const list = page.getByRole('region', { name: 'Load list' });
  await expect(list.getByRole('row').nth(1)).toContainText('whole milk300 g300 g1236 g');
  await expect(page.getByRole('img', { name: /instant yeast: dimple in the flour, dry/ })).toBeVisible();
  await choose(page, 'Machine', 'Small white');
  await expect(list.getByRole('row').nth(1)).toContainText('instant yeast');
  await expect(list).toContainText('920 g of dough is over the 760 g of Small white');
  await page.getByText('Hold a third of the liquid back').click();
  await expect(page.getByRole('region', { name: 'The liquid' })).toContainText('100 gwhole milk held back for the check');
  await page.getByLabel('Timer start in, hours').fill('6');
  await expect(page.getByText(/whole milk, egg may not stand for more than 2 h/)).toBeVisible();
  await page.getByLabel('Liquid measured °C').fill('61');
  await expect(page.getByText(/Over 60 °C scalds/)).toBeVisible();
  await accessible(page);
});

sharing('a bake with filling, bloom and held-back milk asks for each in its time', async ({ page, server }) => {
  const id = crypto.randomUUID();
  const rows = [
    { ingredient: 'plain flour', mass: 500 },
    { ingredient: 'whole milk', mass: 300 },
    { ingredient: 'salt', mass: 9 },
    { ingredient: 'instant yeast', mass: 7 },
  ];
  const parts = [{ kind: 'filling', name: 'cocoa filling', rows: [{ ingredient: 'cocoa', mass: 24 }] }];
  await call(server, `/api/doughs/${id}`, { name: 'Spirals', rows, parts, byHand: false }, 'PUT');
  await page.visit(`/lay-out?dough=${id}`);
  await choose(page, 'Becomes', 'filled loaves');
  await page.getByText('Bloom the yeast first').click();
  await page.getByText('Hold a third of the liquid back').click();
  await expect(
    page.getByText('cocoa filling: 24 g, 12 g for each.').or(page.getByText('cocoa filling: 24 g, 24 g for each.')),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Start this bake' }).click();
  const sentence = page.getByRole('heading', { level: 1 });
  await expect(sentence).toHaveText('Stir the yeast into warm whole milk.');
  await page.getByRole('button', { name: 'All steps' }).click();
  await expect(page.getByText('Make the cocoa filling').first()).toBeVisible();
  await page.getByRole('button', { name: 'Do Check the dough', exact: true }).click();
  await expect(page.getByText(/100 g whole milk held back/)).toBeVisible();
});

test('the kitchen keeps itself, speaks ounces, and says what cannot be', async ({ page }) => {
  await page.visit('/kitchen');
  const blue = page.getByRole('button', { name: 'Blue two-paddle' });
  const machine = page.getByRole('region', { name: 'Blue two-paddle' });
  await blue.click();
  await machine.getByLabel('Flour up to, g').fill('400');
  await expect(page.getByRole('status').first()).toHaveText('Kept');
  await page.visit(`/lay-out?dough=${rolls}`);
  await expect(page.getByText(/480 g of flour is over the 400 g of Blue two-paddle/).first()).toBeVisible();

  await page.visit('/kitchen');
  await page.getByText('ounces').click();
  await expect(page.getByRole('status').first()).toHaveText('Kept');
  await blue.click();
  await machine.getByLabel('Flour up to, oz').fill('1');
  await expect(page.getByText('From 1.8 oz to 176.4 oz is wanted here.')).toBeVisible();
  await expect(page.getByRole('status').first()).toHaveText('Not kept: see below');
  // It shows on the thing itself, whatever is touched next.
  await page.getByRole('button', { name: 'Scale' }).click();
  await expect(page.getByRole('button', { name: 'Blue two-paddle: not kept' })).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'Blue two-paddle: not kept' }).click();
  await page.reload();
  await expect(machine.getByLabel('Flour up to, oz')).toHaveValue('14.109');
  await page.visit(`/doughs/${rolls}/load`);
  await expect(page.getByRole('region', { name: 'Load list' })).toContainText('10.6 oz');
});

test('one more of anything is as usual, and a wrong field says what is wrong with it', async ({ page, server }) => {
  await page.visit('/kitchen');
  await page.getByRole('button', { name: 'Add a machine' }).click();
  await expect(page.getByRole('region', { name: 'Another machine' })).toContainText('85 min');
  await page.getByRole('button', { name: 'Add an oven' }).click();
  const oven = page.getByRole('region', { name: 'Another oven' });
  await expect(oven.getByLabel('to, °C')).toHaveValue('250');
  // What nobody knows better is marked, and is no more once it is known.
  await expect(oven.locator('.field', { hasText: 'Heats a minute' })).toContainText('usual');
  await oven.getByLabel('Heats a minute, °C').fill('9');
  await expect(oven.locator('.field', { hasText: 'Heats a minute' })).not.toContainText('usual');
  await expect(oven).toContainText('Nothing yet: bread takes as long as usual.');
  await expect(page.getByRole('status').first()).toHaveText('Kept');
  const racks = oven.getByLabel('Racks');
  await racks.fill('40');
  await expect(racks).toHaveAttribute('aria-invalid', 'true');
  await expect(racks).toHaveAccessibleDescription(/is wanted here/);
  await racks.fill('3');
  await page.getByRole('button', { name: 'Scale' }).click();
  // What was kept before says so still.
  const kept = page.waitForResponse((r) => r.request().method() === 'PUT' && r.request().postData().includes('0.05'));
  await page.getByLabel('or, %').fill('5');
  await kept;
  await page.reload();
  await expect(page.getByLabel('or, %')).toHaveValue('5');
  await expect(page.getByLabel('Leave alone, g')).toHaveValue('2');
  await page.getByRole('button', { name: 'Another oven' }).click();
  await expect(racks).toHaveValue('3');
  // What was learned stands beside what was typed.
  await page.getByRole('button', { name: 'Wall oven' }).click();
  await expect(page.getByRole('region', { name: 'Wall oven' })).toContainText(/Bread takes .*From 3 bakes, the last on/);
  await page.getByRole('button', { name: 'Forget it' }).click();
  await expect(page.getByRole('region', { name: 'Wall oven' })).toContainText('Nothing yet: bread takes as long as usual.');
  // Times of day as the household reads them, also where they are typed.
  await page.getByRole('button', { name: 'Household and units' }).click();
  await page.getByText('am, pm').click();
  // And where its kitchen is, whatever the screen's own clock says.
  await page.getByRole('combobox', { name: 'Time zone' }).fill('Asia/To');
  await page.keyboard.press('Enter');
  await expect.poll(async () => JSON.stringify((await call(server, '/api/kitchen')).body)).toContain('Asia/Tokyo');
  await page.visit('/');
  const first = (await call(server, '/api/today')).body.bakes[0].beat.due;
  const tokyo = { hour: 'numeric', minute: '2-digit', hour12: true, timeZone: 'Asia/Tokyo' };
  const due = new Date(first).toLocaleTimeString('en-US', tokyo).toLowerCase().replace(/\s/, '\u00a0');
  await expect(page.getByRole('region', { name: 'Now' })).toContainText(due);
});

test('the pantry is searched, edited and priced', async ({ page }) => {
  await page.visit('/kitchen');
  await page.getByRole('link', { name: 'Pantry and prices' }).click();
  await page.getByLabel('Search').fill('rye');
  await page.getByRole('button', { name: 'Edit rye flour' }).click();
  const rye = page.getByRole('group', { name: 'rye flour' });
  await rye.getByLabel('Thirst: extra water per 100 g').fill('300');
  await rye.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('From 0 to 2 is wanted here')).toBeVisible();
  await rye.getByLabel('Thirst: extra water per 100 g').fill('8');
  await rye.getByText('price known').click();
  await rye.getByLabel('A pack costs').fill('1.4');
  await rye.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('row', { name: /rye flour yours.*1.40 for 1000 g/ })).toBeVisible();
  await accessible(page);
  await page.getByText('dipped and levelled').click();
  await page.visit('/doughs/read');
  await page.getByLabel(/Paste a recipe/).fill('1 cup rye flour');
  await expect(page.getByRole('region', { name: 'What was understood' })).toContainText(
    '120 g rye flourdipped cups; spooned 102 g',
  );
});

sharing('the book is searched by ingredient', async ({ page }) => {
  await page.visit('/doughs');
  await page.getByLabel('Search').fill('honey');
  await expect(page.getByRole('heading', { level: 2 })).toHaveText(['Three-wire plait']);
  await page.getByLabel('Search').fill('nothing like it');
  await expect(page.getByText('Nothing in the book has “nothing like it” in it.')).toBeVisible();
});

sharing('every page of the book fits a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of ['/doughs', `/doughs/${rolls}`, '/doughs/read', `/doughs/${rolls}/load`, '/kitchen', '/kitchen/pantry']) {
    await page.visit(path);
    await page.quiet();
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390);
    // The other pages are found accessible where they are tested.
    if (path === '/doughs') await accessible(page);
  }
});
