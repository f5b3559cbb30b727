// Check, divide and shape, by what a person sees and does.
import { accessible, bake, call, choose, expect, follow, rolls, scale, sharing, tell, test } from './house.mjs';

const sentence = (page) => page.getByRole('heading', { level: 1 });

// A bake whose dough lies on the table, weighed.
async function weighed(server, choice, grams = 911) {
  const id = await bake(server, choice);
  await tell(
    server,
    id,
    { type: 'step-done', step: 'start-cycle', at: server.ago(97) },
    { type: 'dough-taken-out', step: 'take-out', feel: 'right' },
    { type: 'dough-weighed', step: 'weigh-dough', mass: grams },
  );
  return id;
}

test.describe('a mixed cut by scale', () => {
  test('rolls, minis, a plait and a share for the fridge, laid out, divided, evened and in the oven', async ({
    page,
    server,
  }) => {
    await page.visit(`/lay-out?dough=${rolls}`);
    // A plait pinned, minis pinned, a lump for the fridge, rolls from the rest.
    await page.getByLabel('Pieces', { exact: true }).fill('6');
    await page.getByRole('button', { name: 'Another shape' }).click();
    await choose(page, 'Becomes 2', 'three-strand plaits');
    await page.getByLabel('Pieces 2').fill('1');
    await page.getByLabel('grams each 2').fill('270');
    await page.getByRole('button', { name: 'Another shape' }).click();
    await page.getByLabel('Pieces 3').fill('4');
    await page.getByLabel('grams each 3').fill('30');
    await page.getByRole('button', { name: 'Keep some cold' }).click();
    await page.getByLabel('Grams kept').fill('150');
    const bar = page.getByRole('img', { name: /The dough:/ });
    await expect(bar).toHaveAccessibleName(
      'The dough: 6 × 61 g pan rolls, 1 × 270 g three-strand plait, 4 × 30 g pan rolls, 1 × 150 g for the fridge',
    );
    // What does not add up says so, and one touch makes the dough follow the cuts.
    await page.getByLabel('grams each', { exact: true }).fill('80');
    await expect(page.getByText(/These want 1020 g, and there will be 905 g/).first()).toBeVisible();
    await page.getByRole('button', { name: 'Scale the dough to these' }).click();
    await expect(bar).toHaveAccessibleName(/6 × 80 g pan rolls/);
    await expect(page.getByText(/Scaled to/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Leave the dough as it is written' }).click();
    await page.getByRole('button', { name: 'Fewer of the last' }).click();
    await page.getByLabel('grams each', { exact: true }).fill('');
    await page.getByLabel('Pieces 3').fill('4');
    await expect(bar).toHaveAccessibleName(/6 × 61 g pan rolls.*4 × 30 g pan rolls/);
    await accessible(page);
    await page.getByRole('button', { name: 'Start this bake' }).click();
    await expect(sentence(page)).toHaveText(/paddles/);

    const id = page.url().split('/').at(-1);
    await tell(
      server,
      id,
      { type: 'step-done', step: 'start-cycle' },
      { type: 'dough-taken-out', step: 'take-out', feel: 'right' },
      { type: 'dough-weighed', step: 'weigh-dough', mass: 911 },
    );
    await expect(sentence(page)).toHaveText('Pan roll 1 of 6.');
    // The first is a bit much, is pinched, and is taken with a plain key.
    await scale(page, server, 'Put on a bit much');
    await expect(page.getByText('pinch off 6')).toBeVisible();
    await scale(page, server, 'Pinch 5');
    await expect(page.getByText('good', { exact: true })).toBeVisible();
    await sentence(page).click();
    await page.keyboard.press(' ');
    await expect(sentence(page)).toHaveText('Pan roll 2 of 6.');
    const putOn = async () => {
      await scale(page, server, /^Put on \d+ g/);
    };
    // The rest is taken by itself, one put beside the other on the pan.
    await page.getByLabel('take good ones by itself').click();
    await expect(page.getByLabel('take good ones by itself')).toBeChecked();
    for (let n = 2; n <= 6; n++) {
      await expect(sentence(page)).toHaveText(`Pan roll ${n} of 6.`);
      await putOn();
    }
    await expect(page.getByText(/6 on the pan/)).toBeVisible();
    await scale(page, server, 'Lift all off');
    for (let n = 1; n <= 3; n++) {
      await expect(sentence(page)).toHaveText(`Strand ${n} of 3.`);
      await putOn();
    }
    for (let n = 1; n <= 4; n++) {
      await expect(sentence(page)).toHaveText(`Pan roll ${n} of 4.`);
      await putOn();
    }
    await expect(sentence(page)).toHaveText('Weigh off the share for the fridge.');
    await putOn();
    await expect(sentence(page)).toHaveText(/Put 15\d g into the fridge/);
    const { body } = await call(server, `/api/bakes/${id}?step=divide`);
    const pieces = body.station.pieces;
    expect(pieces.map((p) => p.cut).join('')).toBe('00000011122223');
    expect(Math.abs(pieces.reduce((sum, p) => sum + p.weighed, 0) - 911)).toBeLessThanOrEqual(6);
    await page.getByRole('button', { name: 'It is cold' }).click();

    // Each goes its own way from here: shaped, proofed, through the oven, to one table.
    await expect(sentence(page)).toHaveText('Shape 6 pan rolls.');
    const seen = [];
    await follow(page, server, {
      watch: (bake) => seen.push(bake.beat.say),
      done: (bake) => bake.beat.isDue && bake.beat.ending === 'review',
    });
    const all = seen.join('\n');
    expect(all).toContain('Shape one three-strand plait.');
    expect(all).toMatch(/Turn the wall oven to 180 °C|Load the wall oven: one three-strand plait/);
    await expect(sentence(page)).toHaveText(/6 pan rolls, one three-strand plait, 4 pan rolls: ready/);
  });
});

sharing('divided by ruler: marks along the log that was measured', async ({ page, server }) => {
  const id = await weighed(server, { pieces: 8 });
  await page.visit(`/bench/${id}`);
  await page.getByText('By ruler').click();
  await expect(sentence(page)).toHaveText('Divide into 8.');
  await page.getByLabel(/Its length, cm/).fill('64');
  await expect(page.getByRole('img', { name: /Cut at 8, 16, 24, 32, 40, 48, 56/ })).toBeVisible();
  await page.getByLabel(/Its length, cm/).fill('4');
  await expect(page.getByText('From 50 mm to 500 cm of log.')).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'All divided' }).click();
  await expect(sentence(page)).toHaveText('Shape 8 pan rolls.');
  // Not weighed, so nothing is said of how even they are.
  await expect(page.getByText(/between lightest and heaviest/)).toHaveCount(0);
});

sharing('divided by eye: a tree of cuts', async ({ page, server }) => {
  const id = await weighed(server, { cuts: [{ familyId: 'pan-roll', pieces: 12 }, { share: 0.25 }] });
  await page.visit(`/bench/${id}`);
  await page.getByText('By eye').click();
  const steps = page.getByRole('region', { name: 'By eye' }).getByRole('listitem');
  await expect(steps).toHaveText(['apart: 75 % · 25 %', 'halve', 'each: halve', 'each: thirds']);
  await accessible(page);
  await page.getByRole('button', { name: 'All divided' }).click();
  await expect(sentence(page)).toHaveText(/Put 22\d g into the fridge/);
});

sharing('what is seen and felt, the doses, the stop and its likely slips', async ({ page, server }) => {
  const id = await bake(server);
  await tell(
    server,
    id,
    { type: 'step-done', step: 'start-cycle', at: server.ago(26.2) },
    { type: 'step-skipped', step: 'paddle-turns' },
  );
  await page.visit(`/bench/${id}`);
  await expect(sentence(page)).toHaveText('Check the dough: look and touch.');
  await page.getByRole('button', { name: /^Pools round the paddle/ }).click();
  await expect(page.getByLabel('Flour added, g')).toHaveValue('19');
  await expect(page.getByText(/Then wait 3 min and look again/)).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'Added' }).click();
  // The next look shows what is in it now; past six percent it says stop.
  await page.getByRole('button', { name: 'Check the dough again now' }).click();
  await expect(page.getByText(/So far 19 g flour.*hydration, 939 g in the pan/)).toBeVisible();
  await page.getByRole('button', { name: /^Pools round the paddle/ }).click();
  await page.getByRole('button', { name: 'Added' }).click();
  await page.getByRole('button', { name: 'Check the dough again now' }).click();
  await expect(page.getByText(/No more doses: 38 g flour/)).toBeVisible();
  await expect(page.getByText('Flour was left out, or a liquid went in twice?')).toBeVisible();
  // Out early into a bowl: ordinary, and the times follow.
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Do Take the dough out' }).click();
  await page.getByRole('button', { name: '45 min in a bowl' }).click();
  await page.getByRole('button', { name: 'Still sticky' }).click();
  await expect(sentence(page)).toHaveText('The dough is rising in its bowl.');
});

sharing('plaits are worked move by move, mirrored, and any word is checked', async ({ page }) => {
  await page.visit('/plaits');
  const say = page.locator('.trainer-say');
  await expect(say).toHaveText('Lay 3 strands side by side, pinched together at the top.');
  await page.keyboard.press('ArrowRight');
  await expect(say).toHaveText('Strand 3 over 1 neighbour, to the left.');
  await page.getByLabel('Left-handed').check();
  await expect(say).toHaveText('Strand 1 over 1 neighbour, to the right.');
  await page.getByLabel('Left-handed').uncheck();
  await page.getByRole('button', { name: 'Back' }).click();
  await page.getByLabel('From the middle').check();
  await expect(page.getByText(/0 of 37/)).toBeVisible();
  await page.getByRole('button', { name: 'Four' }).click();
  await expect(say).toHaveText(/Lay 4 strands/);
  await page.keyboard.press('ArrowRight');
  await expect(say).toHaveText('Strand 4 over 2 neighbours, to the left.');
  await page.getByRole('button', { name: 'Pretzel' }).click();
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Next move' }).click();
  await expect(say).toHaveText('Fold the ends down over the curve and press them on.');
  await page.getByRole('button', { name: 'Your own' }).click();
  await expect(page.getByText('It holds together.')).toBeVisible();
  const word = page.getByLabel(/Moves, over and over/);
  await word.fill('1 over 2, 2 over 1');
  await expect(page.getByText(/A strand just hangs there/)).toBeVisible();
  await expect(page.getByText(/It falls apart/)).toBeVisible();
  await word.fill('1 beside 2');
  await expect(page.getByText(/Not understood at “beside 2”/)).toBeVisible();
  await accessible(page);
});

sharing('sixty pieces and a plait have their place on a phone', async ({ page, server }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const id = await weighed(server, {
    cuts: [
      { familyId: 'pan-roll', pieces: 56 },
      { familyId: 'plait-4', pieces: 1, each: 260 },
    ],
  });
  await page.visit(`/bench/${id}`);
  await expect(page.getByRole('region', { name: 'pan rolls' }).getByRole('listitem')).toHaveCount(56);
  await expect(page.getByRole('region', { name: 'four-strand plaits' }).getByRole('listitem')).toHaveCount(4);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await accessible(page);
});

test('a figure far from what is believed is asked back: on the scale, in the place, in the bread', async ({ page, server }) => {
  const id = await bake(server, { pieces: 6 });
  const { body } = await call(server, `/api/bakes/${id}`);
  const before = (step) => body.steps.map((s) => s.step).slice(0, body.steps.map((s) => s.step).indexOf(step));
  for (const step of before('divide')) await tell(server, id, { type: 'step-skipped', step });
  await page.visit(`/bench/${id}`);
  const control = page.getByRole('group', { name: 'Controls' }).locator('.do');
  // A piece in ounces where grams are meant.
  await page.getByLabel(/No scale/).fill('5');
  await control.click();
  await expect(control).toContainText(/5 g where \d+ g is wanted\? Again if so/);
  expect((await call(server, `/api/bakes/${id}`)).body.station.pieces[0].weighed).toBe(null);
  const { target } = (await call(server, `/api/bakes/${id}`)).body.station;
  await page.getByLabel(/No scale/).fill(String(target + 3));
  // After a press it hears nothing for a moment.
  await page.waitForTimeout(800);
  await control.click();
  await expect.poll(async () => (await call(server, `/api/bakes/${id}`)).body.station.pieces[0].weighed).toBe(target + 3);
  const { body: now } = await call(server, `/api/bakes/${id}`);
  for (const { step, state } of now.steps) {
    if (step === 'start-proof') break;
    if (state !== 'done' && state !== 'skipped') await tell(server, id, { type: 'step-skipped', step });
  }
  await tell(server, id, { type: 'step-done', step: 'start-proof' });
  await page.reload();
  await page.getByRole('button', { name: 'Measured there …' }).click();
  await page.getByLabel(/It is there/).fill('68');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: /68 °C where \d+ °C was expected\?/ })).toBeVisible();
  await page.getByLabel(/It is there/).fill('20');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect.poll(async () => (await call(server, `/api/bakes/${id}`)).body.proof.placeNow).toBe(20);
});

test('a real scale is read by its cable or by Bluetooth, and what it shows is what goes in', async ({ page, server }) => {
  // What stands for scales here: a port that sends lines, and the standard weight scale service.
  await page.addInitScript(() => {
    const lines = new ReadableStream({
      start: (out) => (window.cableSays = (text) => out.enqueue(new TextEncoder().encode(text))),
    });
    const serial = { requestPort: async () => ({ open: async () => {}, readable: lines }) };
    const measured = Object.assign(new EventTarget(), { startNotifications: async () => {} });
    window.radioSays = (flags, weight) => {
      measured.value = new DataView(new Uint8Array([flags, weight & 255, weight >> 8]).buffer);
      measured.dispatchEvent(new Event('characteristicvaluechanged'));
    };
    const service = { getCharacteristic: async (id) => id === 'weight_measurement' && measured };
    const device = Object.assign(new EventTarget(), {
      gatt: { connect: async () => ({ getPrimaryService: async (id) => id === 'weight_scale' && service }) },
    });
    window.radioGoes = () => device.dispatchEvent(new Event('gattserverdisconnected'));
    const bluetooth = { requestDevice: async () => device };
    Object.defineProperty(navigator, 'serial', { value: serial });
    Object.defineProperty(navigator, 'bluetooth', { value: bluetooth });
  });
  const id = await bake(server);
  await tell(server, id, { type: 'step-done', step: 'paddle' });
  const heard = async (act, ...args) => {
    const told = page.waitForResponse((r) => r.url().endsWith('/api/scale/lines'));
    await page.evaluate(([name, a]) => window[name](...a), [act, args]);
    await told;
    await server.pass(2 / 60);
  };
  await page.visit(`/bench/${id}`);
  await page.getByRole('navigation').getByRole('link', { name: 'Kitchen' }).click();
  await page.getByRole('button', { name: /^Scale/ }).click();
  await page.getByRole('button', { name: 'Read the scale by its cable' }).click();
  await expect(page.getByText('The scale is read by its cable.')).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Weigh in/);
  await heard('cableSays', 'ST,GS,+ 257 g\r\nST,G');
  await heard('cableSays', 'S,+ 257 g\r\n');
  await expect(page.getByText('as on the scale: 257 g')).toBeVisible();
  await page.reload();
  await page.getByRole('navigation').getByRole('link', { name: 'Kitchen' }).click();
  await page.getByRole('button', { name: /^Scale/ }).click();
  await page.getByRole('button', { name: 'Read the scale by Bluetooth' }).click();
  await expect(page.getByText('The scale is read by Bluetooth.')).toBeVisible();
  await page.goBack();
  // Steps of 5 g, or of a hundredth of a pound.
  await heard('radioSays', 0, 53);
  await heard('radioSays', 0, 53);
  await expect(page.getByText('as on the scale: 265 g')).toBeVisible();
  await heard('radioSays', 1, 58);
  await heard('radioSays', 1, 58);
  await expect(page.getByText('as on the scale: 263 g')).toBeVisible();
  await page.evaluate(() => window.radioGoes());
  await page.getByRole('navigation').getByRole('link', { name: 'Kitchen' }).click();
  await page.getByRole('button', { name: /^Scale/ }).click();
  await expect(page.getByText('The scale is switched off, or away.')).toBeVisible();
});

test('a bench that speaks answers with tones: high when it was taken, low when it was not', async ({ page, server }) => {
  const heard = { said: [], tones: [] };
  await page.exposeFunction('heardSaying', (text) => heard.said.push(text));
  await page.exposeFunction('heardTone', (seconds) => heard.tones.push(seconds));
  await page.addInitScript(() => {
    window.SpeechSynthesisUtterance = class {
      constructor(text) {
        this.text = text;
      }
    };
    Object.defineProperty(window, 'speechSynthesis', {
      value: { cancel: () => undefined, speak: (u) => void window.heardSaying(u.text) },
    });
    const play = HTMLMediaElement.prototype.play;
    HTMLMediaElement.prototype.play = function () {
      if (!this.loop) void window.heardTone(this.src);
      return play.call(this);
    };
  });
  const id = await weighed(server, { cuts: [{ familyId: 'pan-roll', pieces: 8 }] });
  await page.visit(`/bench/${id}`);
  await expect(sentence(page)).toHaveText('Piece 1 of 8.');
  // Silent until it is wanted.
  expect(heard).toEqual({ said: [], tones: [] });
  await page.getByRole('button', { name: 'Speak' }).click();
  await expect.poll(() => heard.said.at(-1)).toBe('Piece 1 of 8.');
  await page.getByRole('button', { name: /^Skip/ }).click();
  await expect(sentence(page)).toHaveText(/^Shape 8 pan rolls/);
  await expect.poll(() => heard.said.at(-1)).toMatch(/^Shape 8 pan rolls/);
  await expect.poll(() => heard.tones.length).toBe(1);
  // What the server refuses sounds otherwise.
  await page.route(/\/events$/, (route) =>
    route.fulfill({ status: 400, contentType: 'application/problem+json', body: '{"title":"No.","problems":[]}' }),
  );
  await page.getByRole('button', { name: 'All shaped' }).click();
  await expect.poll(() => new Set(heard.tones).size).toBe(2);
});
