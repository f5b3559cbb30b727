// The baker's eye has the last word: what is seen of check, proof, tin and griddle decides what comes next.
import { accessible, bake, call, expect, sharing, tell, test } from './house.mjs';

const now = (page) => page.getByLabel('Now', { exact: true });
const doStep = async (page, name) => {
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: `Do ${name}` }).click();
};

test('sweet dough that has doubled after half an hour is believed: the oven is the next sentence', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'round-bun', pieces: 9 });
  await tell(
    server,
    id,
    { type: 'dough-weighed', step: 'weigh-dough', mass: 900, at: server.ago(40) },
    { type: 'step-done', step: 'start-proof', at: server.ago(30) },
  );
  await page.visit(`/bench/${id}`);
  await doStep(page, 'Look at the proof');
  await page.getByRole('button', { name: /^Doubled/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Turn the wall oven to 190 °C|Switch the wall oven on/);
  await expect(now(page)).toContainText('Ready as soon as the oven is.');
  await expect(now(page)).toContainText(/In at \d\d:\d\d; they hold until about \d\d:\d\d/);
  const { body } = await call(server, `/api/bakes/${id}`);
  expect(body.proof.riseNow).toBeGreaterThanOrEqual(0.88);
  // Hardly half an hour, which is what the oven needs, and nothing is looked at again.
  const load = Date.parse(body.steps.find((s) => s.step === 'load').start);
  expect(load - server.now).toBeLessThan(30 * 60000);
  expect(body.steps.filter((s) => s.step.startsWith('look') && s.state !== 'done')).toEqual([]);
  await accessible(page);
  // The oven on, the dough waits for it, and it is said so.
  await page.getByRole('group', { name: 'Controls' }).locator('.do').click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Ready to go in: they wait for the oven.');
});

test('it goes in now, however little it has risen', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'crusty-roll', pieces: 8 });
  await tell(
    server,
    id,
    { type: 'dough-weighed', step: 'weigh-dough', mass: 700, at: server.ago(40) },
    { type: 'step-done', step: 'start-proof', at: server.ago(15) },
    { type: 'step-done', step: 'oven-on', at: server.ago(35) },
  );
  await page.visit(`/bench/${id}`);
  await doStep(page, 'Look at the proof');
  await page.getByRole('group', { name: 'Whatever its size' }).getByRole('button', { name: 'It goes in now' }).click();
  // Scored, and loaded: nothing else is left before the oven, and nobody warns of anything.
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Score them.');
  await expect(now(page).getByText(/too far|will not get there/)).toHaveCount(0);
  await page.getByRole('group', { name: 'Controls' }).locator('.do').click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Load the wall oven/);
});

test('a loaf in its tin is told by the rim', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'tin-loaf', pieces: 1, cut: { panId: 'loaf' } });
  await tell(
    server,
    id,
    { type: 'dough-weighed', step: 'weigh-dough', mass: 860, at: server.ago(40) },
    { type: 'step-done', step: 'start-proof', at: server.ago(28) },
  );
  await page.visit(`/bench/${id}`);
  await doStep(page, 'Look at the proof');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Look at the tin: how high is the dough?');
  const answers = page.getByRole('group', { name: 'Answers' });
  await expect(answers.getByRole('button')).toHaveText([
    'Deep in the tin',
    'A finger below the rim',
    'Level with the rimCan go in',
    'Above the rimCan go in',
  ]);
  // The dough grows in its tin as it is believed to.
  await expect(page.getByRole('img', { name: /^It fills \d+ % of its tin$/ })).toBeVisible();
  await answers.getByRole('button', { name: /^Level with the rim/ }).click();
  await expect(now(page)).toContainText('Ready as soon as the oven is.');
});

test('dough that proofs is moved: its rise stays, and the oven it stands in is cleared first', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'round-bun', pieces: 9 });
  await tell(server, id, { type: 'step-done', step: 'start-proof', at: server.ago(20) });
  await page.visit(`/bench/${id}`);
  const proof = page.getByRole('region', { name: 'Proof' });
  await expect(proof).toContainText('on the counter');
  const { body: before } = await call(server, `/api/bakes/${id}`);
  await page.getByRole('combobox', { name: 'It stands somewhere else now' }).click();
  await page.locator('.ant-select-item-option[title="in the oven, light on"]').click();
  await expect(proof).toContainText('in the oven, light on');
  await expect(proof).toContainText('Dough out of the oven');
  const { body: after } = await call(server, `/api/bakes/${id}`);
  expect(after.proof.riseNow).toBeCloseTo(before.proof.riseNow, 1);
  expect(Date.parse(after.proof.best)).toBeLessThan(Date.parse(before.proof.best));
  await page.getByRole('button', { name: /^Take back Moved: in the oven, light on/ }).click();
  await expect(proof).toContainText('on the counter');
  await accessible(page);
});

test('at the griddle each side and each round is called', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'griddle-round', pieces: 14 });
  const { body } = await call(server, `/api/bakes/${id}`);
  const beats = body.steps.filter((s) => s.step.startsWith('griddle-') && s.step !== 'griddle-on');
  expect(beats[0].short).toContain('Flip');
  expect(beats[1].short).toContain('Off, and the next on');
  await tell(
    server,
    id,
    { type: 'step-done', step: 'start-proof', at: server.ago(60) },
    { type: 'step-done', step: 'griddle-on', at: server.ago(20) },
  );
  await page.visit(`/bench/${id}`);
  await doStep(page, 'The first on the griddle');
  await expect(now(page)).toContainText('6.5 min a side');
  await page.getByRole('group', { name: 'Controls' }).locator('.do').click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('They are on the griddle, 6.5 min a side.');
  await server.pass(7);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Flip all \d+ on the griddle\.$/);
  await page.getByRole('group', { name: 'Controls' }).locator('.do').click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('They are on the griddle, 6.5 min a side.');
  await server.pass(7);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Take them off, and lay the next \d+ on the griddle\.$/);
});

test('held-back milk is poured in at the check, counts once, and a second sticky look is not lost', async ({ page, server }) => {
  const id = await bake(server, { school: { holdBack: true } });
  await tell(server, id, { type: 'step-done', step: 'start-cycle', at: server.ago(27) });
  await page.visit(`/bench/${id}`);
  await doStep(page, 'Check the dough');
  await expect(now(page)).toContainText('100 g whole milk held back');
  await page.getByRole('button', { name: /^Stiff/ }).click();
  await expect(page.getByLabel('whole milk poured in, g', { exact: true })).toHaveValue('100');
  await page.getByRole('button', { name: 'Added', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Take back Check the dough/ })).toBeVisible();
  // All of the milk is the recipe's own: nothing was added, and no slip is suspected.
  await server.pass(4);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Check the dough/);
  await expect(now(page).getByText(/No more doses/)).toHaveCount(0);
  // Counted up by the spoon, late, and looked at once more.
  await page.getByRole('button', { name: /^Sticks to the finger/ }).click();
  await page.getByLabel('Flour added, g', { exact: true }).fill('0');
  await page.getByRole('button', { name: 'A spoon of flour more' }).click();
  await page.getByRole('button', { name: 'A spoon of flour more' }).click();
  await page.reload();
  await expect(page.getByLabel('Flour added, g', { exact: true })).toHaveValue('16');
  await page.getByRole('button', { name: 'Added', exact: true }).click();
  await expect.poll(async () => (await call(server, `/api/bakes/${id}`)).body.steps.some((s) => s.step === 'check-3')).toBe(true);
});

sharing("the recipe's minutes stand beside the reckoned ones, and either is taken by touch", async ({ page }) => {
  await page.visit('/doughs/read');
  await page
    .getByLabel(/Paste a recipe/)
    .fill(
      [
        'Slipway buns',
        'makes 10',
        '500 g strong white flour',
        '310 ml milk',
        '30 g sugar',
        '8 g salt',
        '6 g yeast',
        'Let rise until doubled, 40 to 44 minutes. Brush with milk. Bake at 200 °C for 18 to 20 minutes.',
      ].join('\n'),
    );
  await page.getByRole('button', { name: 'Keep this dough' }).click();
  await page.getByRole('button', { name: 'Lay out a bake' }).click();
  const result = page.getByRole('region', { name: 'Result' });
  await expect(page.getByText('200 °C, milk')).toBeVisible();
  const proof = result.getByRole('radiogroup', { name: 'Second proof: whose time' });
  await expect(proof).toContainText('recipe 40 to 44 min');
  await proof.getByText(/^recipe/).click();
  await expect(result).toContainText('42 min');
  await result
    .getByRole('radiogroup', { name: 'Bake: whose time' })
    .getByText(/^recipe/)
    .click();
  await expect(result).toContainText(/19 min ?bake/);
  await accessible(page);
});

const pick = async (page, name, title) => {
  await page.getByRole('combobox', { name }).first().click();
  await page.locator(`.ant-select-item-option[title="${title}"]`).last().click();
};
const control = (page) => page.getByRole('group', { name: 'Controls' }).locator('.do');
const sentence = (page) => page.getByRole('heading', { level: 1 });
const plaitDough = '00000003-4a4b-4442-8000-000000000003';

test('an oven heated and off is on and off again in time, and a bowl is divided when it has doubled', async ({
  page,
  server,
}) => {
  await page.visit(`/lay-out?dough=${plaitDough}`);
  await pick(page, 'Second proof', 'in the oven, heated and off');
  await pick(page, 'After the cycle', '45 min in a bowl');
  await page.getByLabel('Minutes in the bowl').fill('50');
  // The bowl stands in that oven: it cannot be made warm in time, and what would do is said.
  await pick(page, 'Where the bowl stands', 'in the oven, light on');
  await expect(
    page.getByText(/The wall oven is not ready for dough when it is shaped\. On the shelf over the boiler it takes/),
  ).toBeVisible();
  await pick(page, 'Where the bowl stands', 'on the counter');
  await expect(page.getByText(/is not ready for dough/)).toHaveCount(0);
  const hands = page.getByRole('region', { name: 'When your hands are wanted' });
  await expect(hands).toContainText(
    /Oven on for the proof, 60 °C.*Oven off again.*Set to proof.*Dough out of the oven.*Oven on, 180 °C/s,
  );
  await page.getByRole('button', { name: /^Start this bake/ }).click();
  await expect(page).toHaveURL(/bench/);
  const id = page.url().split('/bench/')[1];

  await tell(
    server,
    id,
    { type: 'step-done', step: 'start-cycle' },
    { type: 'dough-taken-out', step: 'take-out', feel: 'right' },
  );
  await page.visit(`/bench/${id}`);
  await expect(sentence(page)).toHaveText('The dough is rising in its bowl.');
  // The oven is made warm while the dough is still in its bowl.
  await server.pass(45);
  await expect(sentence(page)).toHaveText('Switch the wall oven on: 60 °C, for the dough to rise in.');
  await control(page).click();
  // Heard, before the clock goes on.
  await expect(sentence(page)).toHaveText('The dough is rising in its bowl.');
  await server.pass(4.2);
  await expect(sentence(page)).toHaveText('Switch the wall oven off.');
  await expect(now(page)).toContainText(/It falls to 38 °C in 27 min/);
  await control(page).click();
  await expect(sentence(page)).not.toHaveText('Switch the wall oven off.');
  // Short of doubled it stays; doubled it is divided.
  await server.pass(1);
  await expect(sentence(page)).toHaveText('Look at the bowl: how much has the dough grown?');
  await page.getByRole('button', { name: /^Half/ }).click();
  await expect(sentence(page)).toHaveText('The dough is rising in its bowl.');
  await doStep(page, 'Look at the bowl again');
  await page.getByRole('button', { name: /^Doubled/ }).click();
  await expect(sentence(page)).toHaveText('Weigh the whole dough.');

  // A spoon kneaded in on the table, and another.
  const kneadIn = page.getByRole('button', { name: 'A spoon of flour kneaded in' });
  await kneadIn.click();
  const onTable = page.getByLabel('Still to come');
  await expect(onTable).toContainText('So far on the table: 8 g flour');
  await kneadIn.click();
  await expect(onTable).toContainText('So far on the table: 16 g flour');
  await accessible(page);
  await doStep(page, 'Set to proof');
  await expect(now(page)).toContainText('The oven is off, at 38 °C or below.');
});

test('what is seen in the machine counts: half grown gets its bowl, sunken is said', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'pan-roll', pieces: 8 });
  await tell(server, id, { type: 'step-done', step: 'start-cycle', at: server.ago(70) });
  await page.visit(`/bench/${id}`);
  await doStep(page, 'Take the dough out');
  const grown = page.getByRole('group', { name: 'How far it has grown' });
  await grown.getByRole('button', { name: 'Doubled', exact: true }).click();
  await expect(page.getByText(/in a bowl would double it/)).toHaveCount(0);
  await grown.getByRole('button', { name: 'A third', exact: true }).click();
  const ways = page.getByRole('group', { name: 'And then' });
  await ways.getByRole('button').last().click();
  await grown.getByRole('button', { name: 'Half', exact: true }).click();
  // What was chosen for another look holds no longer.
  await expect(ways.getByRole('button', { name: 'as planned' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByText(/^\d+ min in a bowl would double it\.$/)).toBeVisible();
  await page
    .getByRole('group', { name: 'And then' })
    .getByRole('button', { name: /^\d+ min in a bowl$/ })
    .last()
    .click();
  await accessible(page);
  await page.getByRole('button', { name: 'Right', exact: true }).click();
  await expect(sentence(page)).toHaveText('The dough is rising in its bowl.');
  await page.getByRole('button', { name: 'Take back' }).click();
  await doStep(page, 'Take the dough out');
  await grown.getByRole('button', { name: 'Sunken' }).click();
  await page.getByRole('button', { name: 'Right', exact: true }).click();
  await expect(sentence(page)).toHaveText('Weigh the whole dough.');
  await expect(now(page)).toContainText('It has risen too far.');
});

test('a program that runs on is stopped first, and thin bread wants no probe', async ({ page, server }) => {
  const id = await bake(server, { familyId: 'pocket-flatbread', pieces: 6, machineId: 'old' });
  await page.visit(`/bench/${id}`);
  await doStep(page, 'Stop the machine, dough out');
  await expect(sentence(page)).toHaveText('Stop the machine, then take the dough out and press the gas out gently.');
  await expect(now(page)).toContainText('see that it is off');
  await tell(
    server,
    id,
    { type: 'step-done', step: 'start-proof', at: server.ago(40) },
    { type: 'step-done', step: 'load', at: server.ago(2) },
  );
  await page.visit(`/bench/${id}`);
  const oven = page.getByRole('region', { name: 'In the oven' });
  await expect(oven).toContainText('a probe is no use in bread so thin');
  await expect(oven.getByLabel('Probe, °C')).toHaveCount(0);
  await accessible(page);
});

// A page pasted, kept and laid out.
async function layOutPasted(page, lines) {
  await page.visit('/doughs/read');
  await page.getByLabel(/Paste a recipe/).fill(lines.join('\n'));
  await page.getByRole('button', { name: 'Keep this dough' }).click();
  await page.getByRole('button', { name: 'Lay out a bake' }).click();
  await expect(page.getByRole('button', { name: /^Start this bake/ })).toBeVisible();
}

sharing('dried fruit at the beep slows nothing, and what the recipe says of pan and wash is taken or left', async ({ page }) => {
  const method = 'Rise in an 8 inch loaf tin, bake 30 minutes at 180 °C, without steam. Cool in a cloth.';
  const dough = ['380 g plain flour', '200 ml milk', '1 egg', '40 g butter', '30 g sugar', '6 g salt', '6 g yeast'];
  const proof = async () => {
    const text = await page.getByRole('region', { name: 'Result' }).innerText();
    return Number(/(\d+) min\s+second proof/.exec(text)?.[1]);
  };
  await layOutPasted(page, ['Breakwater loaf', ...dough, method]);
  const plain = await proof();
  await page.visit('/doughs/read');
  await page
    .getByLabel(/Paste a recipe/)
    .fill(['Breakwater fruit loaf', ...dough, '160 g dried apricots, chopped, at the beep', method].join('\n'));
  const says = page.getByRole('region', { name: 'The recipe says' });
  await expect(says.getByRole('checkbox', { name: /^Pan loaf tin/ })).toBeChecked();
  await expect(says.getByRole('checkbox', { name: /^Steam none/ })).toBeChecked();
  await says.getByRole('checkbox', { name: /^Cools in a cloth/ }).uncheck();
  await page.getByRole('button', { name: 'Keep this dough' }).click();
  await page.getByRole('button', { name: 'Lay out a bake' }).click();
  await expect(page.getByText(/At the beep: 160 g/)).toBeVisible();
  // More dough in the same tin wants a little less rise; the fruit itself holds nothing back.
  expect(await proof()).toBeLessThanOrEqual(plain + 1);
  await expect(page.getByText(/^The recipe says: loaf tin/)).toBeVisible();
  await accessible(page);
});

test('batons out of the long program: pulled and stopped, both heats said, and above the heating oven it is on in time', async ({
  page,
  server,
}) => {
  await layOutPasted(page, [
    'Davit batons',
    'makes 3',
    '430 g strong white flour',
    '40 g rye flour',
    '310 g water',
    '9 g salt',
    '4 g instant yeast',
    'Bake with steam at 240 °C.',
  ]);
  await pick(page, 'Machine', 'Old long-program');
  await pick(page, 'Second proof', 'above the heating oven');
  const hands = page.getByRole('region', { name: 'When your hands are wanted' });
  await expect(hands).toContainText('Stop the machine, dough out');
  // The oven is on before the dough stands above it.
  await expect(hands).toContainText(/Oven on, 240 °C.*Set to proof.*Load the oven/s);
  await page.getByRole('button', { name: /^Oven, wash, pan/ }).click();
  await expect(page.getByRole('button', { name: /255 °C/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /225 °C/ })).toBeVisible();
  await page.getByRole('button', { name: /^Start this bake/ }).click();
  await expect(page).toHaveURL(/bench/);
  const id = page.url().split('/bench/')[1];
  await tell(
    server,
    id,
    { type: 'step-done', step: 'start-cycle' },
    { type: 'dough-taken-out', step: 'take-out', feel: 'right' },
    { type: 'step-done', step: 'start-proof' },
  );
  await page.visit(`/bench/${id}`);
  await expect(sentence(page)).toHaveText('Switch the wall oven on: 240 °C.');
  await control(page).click();
  await expect(sentence(page)).toHaveText(/^They are rising above the heating oven/);
  // Half-way it is moved: its rise stays.
  await server.pass(12);
  await page.getByRole('combobox', { name: 'It stands somewhere else now' }).click();
  await page.locator('.ant-select-item-option[title="on the counter"]').click();
  await expect(page.getByRole('region', { name: 'Proof' })).toContainText('on the counter');
});
