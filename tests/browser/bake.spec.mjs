// The whole job, by what a person sees and does.
import { accessible, bake, call, choose, expect, follow, rolls, sharing, tell, test } from './house.mjs';

test.describe('own dough to warm rolls', () => {
  test.use({ demo: false });

  test('five answers, a dough of the shelf, a first bake: a few touches, each answer seen in the kitchen', async ({
    page,
    server,
  }) => {
    await page.visit('/');
    const kitchen = page.getByRole('region', { name: 'Your kitchen' });
    let touches = 0;
    const touch = async (name, role = 'button') => {
      touches++;
      await kitchen.getByRole(role, { name }).click();
    };
    // As fast as a finger is: nothing answered is lost on the way.
    await touch('It begins by standing still', 'checkbox');
    await touch('1:30');
    await expect(kitchen.getByRole('heading')).toHaveText('What do you measure with?');
    await expect(kitchen.getByRole('img')).toContainText('still 20');
    await expect(kitchen.getByRole('img')).toContainText('rises 45');
    await touch('Cups and spoons, °F');
    await expect(kitchen.getByRole('img')).toContainText('cups and spoons');
    await touch('450 °F');
    await expect(kitchen.getByRole('img')).toContainText('to 450 °F');
    await touch(/^Half-sheet tray, 18(\.0)? in/);
    await touch(/^Loaf tin/);
    await touch('That is all');
    await touch('5:00 to 21:00');
    await expect(kitchen).toBeHidden();
    await expect.poll(async () => (await call(server, '/api/kitchen/setup')).body.awake?.from).toBe(5 * 3600);
    const { body } = await call(server, '/api/kitchen/setup');
    expect(body.tins.map((t) => t.id)).toEqual(['tray', 'loaf-tin']);
    expect(body.awake).toMatchObject({ from: 5 * 3600, to: 21 * 3600 });
    expect(body.machines[0].phases.map((p) => p.length / 60)).toEqual([20, 25, 45]);
    // What nobody was asked stays usual.
    expect(body.seasons).toBe(null);
    await page.getByRole('button', { name: /^Soft rolls/ }).click();
    await page.getByRole('button', { name: 'Start this bake' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Put the paddle in the bread machine.');
    expect(touches + 2).toBeLessThanOrEqual(20);
  });

  test('every question can be skipped at once, and a number typed where no button fits', async ({ page, server }) => {
    await page.visit('/');
    const kitchen = page.getByRole('region', { name: 'Your kitchen' });
    // Whoever has the machine's table types that instead, and comes back to the questions.
    await kitchen.getByRole('link', { name: 'or type the table its maker gives' }).click();
    await page.getByLabel('Minutes of phase 1').fill('23');
    await expect.poll(async () => (await call(server, '/api/kitchen/setup')).body.machines[0].phases[0].length).toBe(23 * 60);
    await page.visit('/');
    await expect(kitchen.getByRole('img')).toContainText('23');
    await kitchen.getByLabel('or, in minutes').fill('130');
    await kitchen.getByLabel('or, in minutes').press('Enter');
    await expect(kitchen.getByRole('heading')).toHaveText('What do you measure with?');
    await expect(kitchen.getByRole('img')).toContainText('Bread machine: 130 min');
    await accessible(page);
    await kitchen.getByRole('button', { name: 'Skip all' }).click();
    await expect(kitchen).toBeHidden();
    const { body } = await call(server, '/api/kitchen/setup');
    expect(body.awake).toBe(null);
    expect(body.tins).toEqual([]);
  });

  test('typed in, laid out, baked step by step, in the logbook', async ({ page, server }) => {
    await page.visit('/doughs/new');
    await page.getByLabel('Name', { exact: true }).fill('Vice-grip rolls');
    const rows = [
      ['strong white flour', '400'],
      ['water', '250'],
      ['fine salt', '8'],
      ['instant yeast', '5'],
      ['toasted barley', '20'],
    ];
    for (const [i, [ingredient, grams]] of rows.entries()) {
      if (i >= 3) await page.getByRole('button', { name: 'Another row' }).click();
      await page.getByLabel(`Ingredient ${i + 1}`, { exact: true }).fill(ingredient);
      await page.keyboard.press('Escape');
      await page.getByLabel(`Grams ${i + 1}`, { exact: true }).fill(grams);
    }
    // The pantry does not know barley: it asks, and then reckons.
    await choose(page, 'What toasted barley does', 'something else');
    await expect(page.getByLabel('What this dough is')).toContainText('683 g');
    await expect(page.getByLabel('What this dough is')).toContainText('62.5 %');
    await accessible(page);
    await page.getByRole('button', { name: 'Keep and lay out' }).click();

    // Of flour, water, salt and yeast rolls have a crust, unless the baker wants them in a tin.
    await expect(page.getByLabel('Result')).toContainText('crusty rolls');
    await choose(page, 'Becomes', 'pan rolls');
    await page.getByLabel('Pieces').fill('8');
    await expect(page.getByLabel('Result')).toContainText('8 × 84 g');
    await expect(page.getByRole('img', { name: /8 ready at/ })).toBeVisible();
    await page.getByRole('button', { name: 'Start this bake' }).click();

    const sentence = page.getByRole('heading', { level: 1 });
    const does = async (said, button) => {
      await expect(sentence).toHaveText(said);
      await page.getByRole('button', { name: new RegExp(`^${button}`) }).click();
    };
    await does('Put the paddle in the bread machine.', 'In');
    await does('Weigh in the water.', 'It is in');
    // Typed grams stand for a scale's.
    for (const [name, grams] of [
      ['toasted barley', '20'],
      ['strong white flour', '402'],
      ['fine salt', '8'],
      ['instant yeast', '5'],
    ]) {
      await expect(sentence).toHaveText(`Weigh in the ${name}.`);
      await page.getByLabel('Really in, g').fill(grams);
      await page.getByLabel('Really in, g').press('Enter');
    }
    // What was told is heard before time goes on.
    await does('Start program dough on the bread machine.', 'It is running');
    await expect(sentence).toHaveText('The bread machine is kneading.');
    await server.pass(2);
    await does('Does the paddle turn?', 'It turns');
    await expect(sentence).toHaveText('The bread machine is kneading.');
    await server.pass(5);
    await expect(sentence).toHaveText('Check the dough: look and touch.');
    await page.getByRole('button', { name: 'Sticks to the finger' }).click();
    await page.getByRole('button', { name: 'Added' }).click();
    await expect(sentence).toHaveText('The bread machine is kneading.');
    await server.pass(3);
    await expect(sentence).toHaveText('Check the dough: look and touch.');
    await page.getByRole('button', { name: 'Right', exact: false }).click();
    await page.getByRole('button', { name: 'Leave it alone' }).last().click();
    await page.getByRole('button', { name: 'Take the dough out now' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Take the dough out/);
    await page.getByRole('button', { name: 'Right', exact: true }).click();
    await expect(sentence).toHaveText('Weigh the whole dough.');
    await page.keyboard.type('672');
    await page.keyboard.press('Enter');

    // A household's own kitchen has no stand-in for a scale: what its scale shows is typed.
    await expect(sentence).toHaveText('Piece 1 of 8.');
    await expect(page.getByText(/Stand-in scale/)).toHaveCount(0);
    await page.getByLabel('No scale? Type grams').fill('92');
    await expect(page.getByText('pinch off 8')).toBeVisible();
    await page.getByLabel('No scale? Type grams').fill('84');
    await expect(page.getByText('good', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Take it as it is' }).click();
    for (let n = 2; n <= 8; n++) {
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Piece ${n} of 8.`);
      await page.getByLabel('No scale? Type grams').fill('84');
      await page.getByLabel('No scale? Type grams').press('Enter');
    }
    await does('Shape 8 pan rolls.', 'All shaped');
    await does(/Cover them/, 'They are there');
    await expect(sentence).toHaveText('They are rising on the counter.');
    await follow(page, server, { done: (bake) => bake.beat.ending === 'review' });
    await server.pass(30);
    await expect(sentence).toHaveText(/ready. How were they/);
    await page.getByRole('button', { name: '4 of 5' }).click();
    await page.getByLabel('For next time').fill('Barley is good in it.');
    await page.getByRole('button', { name: 'Keep' }).click();
    await page.getByRole('link', { name: 'See it in the logbook' }).click();
    await expect(page.getByText('Barley is good in it.')).toBeVisible();
    await expect(page.getByText(/From 8\d to 8\d g/)).toBeVisible();
    await expect(page.getByRole('row', { name: /Look at the proof/ })).toBeVisible();
    await accessible(page);
  });
});

sharing('over the limit is refused with the factor that fits, and one touch scales it', async ({ page }) => {
  await page.visit(`/lay-out?dough=${rolls}`);
  await choose(page, 'Machine', 'Small white');
  await expect(
    page.getByText(/920 g of dough is over the 760 g of Small white. Scale the dough to 82.6 %/).first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Scale it to fit' }).click();
  await expect(page.getByText(/Scaled to 82.6 %/)).toBeVisible();
  await expect(page.getByRole('row', { name: /strong white flour/ })).toContainText('396');
  await accessible(page);
});

sharing('ready by: the day is planned backwards and says when to start', async ({ page, server }) => {
  await page.visit(`/lay-out?dough=${rolls}`);
  await page.getByText('Ready by').click();
  await page
    .getByLabel('Ready by', { exact: true })
    .last()
    .fill(new Date(server.now + 26 * 3600e3).toISOString().slice(0, 11) + '12:30');
  await expect(page.getByLabel('Result')).toContainText('12:30');
  await page.getByRole('button', { name: /Plan it: start at/ }).click();
  await expect(page.getByText(/Workbench soft rolls/).first()).toBeVisible();
});

sharing('a proof in the oven it needs: out first, then the oven goes on', async ({ server }) => {
  const id = await bake(server, { placeId: 'oven-light' });
  const { body } = await call(server, `/api/bakes/${id}`);
  const at = (step) => Date.parse(body.steps.find((s) => s.step === step).start);
  expect(at('clear-oven')).toBeLessThan(at('oven-on'));
  expect(at('oven-on')).toBeLessThan(at('load'));
});

test('any step early, late, skipped or taken back, and the rest moves', async ({ page, server }) => {
  const id = await bake(server);
  await page.visit(`/bench/${id}`);
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Do Start the dough cycle' }).click();
  await page.getByRole('button', { name: /already running since/ }).click();
  const ago = new Date(server.now - 30 * 60000);
  const berlin = ago.toLocaleTimeString('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    timeZone: 'Europe/Berlin',
  });
  await page.getByLabel(/already running since/).fill(berlin);
  await page.getByRole('button', { name: 'It is running' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Check the dough: look and touch.');
  const { body: before } = await call(server, `/api/bakes/${id}`);
  await page.getByRole('button', { name: /^Skip/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/kneading|rising/);
  await page.keyboard.press('z');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Check the dough: look and touch.');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/kneading|rising/);
  // Out an hour early: everything after it moves.
  await tell(server, id, {
    type: 'dough-taken-out',
    step: 'take-out',
    feel: 'right',
  });
  const { body: after } = await call(server, `/api/bakes/${id}`);
  expect(Date.parse(after.ready)).toBeLessThan(Date.parse(before.ready) - 50 * 60000);
});
