// The whole day: every dough together, by what a person sees and does.
import { accessible, call, choose, expect, follow, rolls, test } from './house.mjs';

const wanted = async (server, title) => {
  const { body } = await call(server, '/api/day', {});
  return body.bakes.find((b) => b.title === title).wanted;
};

test('the repair café: seen whole, explained, taken along', async ({ page }) => {
  await page.visit('/day');
  await expect(
    page.getByRole('img', {
      name: /The day: Spanner pretzels from \d\d:\d\d to \d\d:\d\d.*Washer flatbreads from .*, wanted at/,
    }),
  ).toBeVisible();
  const hands = page.getByRole('region', { name: 'What the hands do' }).getByRole('row');
  await expect(hands.filter({ hasText: 'Through the soda bath' })).toBeVisible();
  const ovens = page.getByRole('region', { name: 'What the ovens do' });
  await expect(ovens).toContainText(/Bake \(Washer flatbreads\) · 245 °C, heats from \d\d:\d\d/);
  await expect(page.getByRole('region', { name: 'In one another’s way' }).locator('.late')).toHaveCount(0);
  // Who comes second finds the oven hot.
  await expect(hands.filter({ hasText: 'Oven to 245 °C' })).toBeVisible();
  await page.getByText(/^Washer flatbreads: \d/).click();
  const open = page.locator('details[open]');
  await expect(open.getByText(/^Why it begins at/)).toBeVisible();
  await expect(open.getByText(/^\d\d:\d\d Dough cycle, 1 h 25/)).toBeVisible();
  await accessible(page);
  await page.getByRole('link', { name: 'Bench sheet' }).click();
  await expect(page.getByText('Washer flatbreads contains milk, wheat/gluten.')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  for (const format of ['A4', 'Letter'])
    expect((await page.pdf({ format })).toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g).length, format).toBe(1);
});

test('one bake too many: in the way, laid out around, and left as it is', async ({ page, server }) => {
  const lunch = new Date(Date.parse(await wanted(server, 'Workbench soft rolls')));
  const local = new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeStyle: 'short', timeZone: 'Europe/Berlin' });
  await page.visit(`/lay-out?dough=${rolls}`);
  await page.getByText('Ready by').click();
  await page.locator('input#when').fill(local.format(lunch).replace(' ', 'T'));
  const beside = page.getByRole('region', { name: 'Beside the rest of the day' });
  await expect(beside).toContainText(/Two doughs for one machine|Two things for one pair of hands/);
  // As it is, in everybody's way: the day says so, and it can be left so.
  await page.getByRole('button', { name: /^Plan it: start at/ }).click();
  const troubles = page.getByRole('region', { name: 'In one another’s way' });
  await expect(troubles.locator('.late').first()).toBeVisible();
  await page.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(page.getByRole('button', { name: 'Lay the day out so' })).toBeHidden();
  await page.evaluate(() => sessionStorage.clear());
  // At the bench it is one line beside the work.
  await page.visit('/bench');
  const said = page.getByRole('status', { name: 'The day would go better so' });
  await expect(said).toContainText(/\d\d:\d\d → \d\d:\d\d/);
  await said.getByRole('button', { name: 'Lay the day out so' }).click();
  await expect(said).toBeHidden();
  await page.visit('/');
  await expect(troubles.locator('.late')).toHaveCount(0);
  await page.getByRole('link', { name: 'The day in full' }).click();
  await expect(page.getByRole('img', { name: /The day:.*Workbench soft rolls.*Workbench soft rolls/ })).toBeVisible();
  await page.getByRole('link', { name: 'To the bench' }).click();
  await expect(page.getByText(/Spanner pretzels|Workbench soft rolls/).first()).toBeVisible();
});

test('a step is pulled along, seen beside the day as it is, done, and undone', async ({ page }) => {
  await page.visit('/day');
  const grip = page.getByRole('slider', { name: 'Load the oven, Three-wire plait' });
  const was = await grip.getAttribute('aria-valuetext');
  const box = await grip.boundingBox();
  await page.mouse.move(box.x + 22, box.y + 22);
  await page.mouse.down();
  await page.mouse.move(box.x + 90, box.y + 22, { steps: 4 });
  await page.mouse.up();
  const draft = page.getByRole('region', { name: 'As it would be' });
  await expect(draft.getByText(/Load the oven \(Three-wire plait\)/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^As it would be/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^The day:/ })).toBeVisible();
  await accessible(page);
  // By the keys too, from where it lies now; a reload forgets nothing.
  const pulled = await grip.getAttribute('aria-valuetext');
  expect(pulled > was).toBe(true);
  await grip.press('ArrowRight');
  await expect(grip).not.toHaveAttribute('aria-valuetext', pulled);
  await page.reload();
  await expect(draft).toBeVisible();
  await page.getByRole('button', { name: 'Lay the day out so' }).click();
  await expect(draft).toBeHidden();
  const free = page.getByRole('button', { name: 'Load the oven, Three-wire plait: any time' });
  await expect(free).toBeVisible();
  await page.getByRole('button', { name: 'As it was before' }).click();
  await expect(free).toBeHidden();
  await expect(grip).toHaveAttribute('aria-valuetext', was);
});

test('how a bake is made is changed on the day: typed times, machine, place, taken back', async ({ page, server }) => {
  await page.visit('/day');
  await page.getByText(/^Washer flatbreads: \d/).click();
  await choose(page, 'Machine', 'Blue two-paddle');
  const draft = page.getByRole('region', { name: 'As it would be' });
  await expect(draft.getByText(/from \d\d:\d\d to/).first()).toBeVisible();
  await expect(draft.getByText(/^Paddle|paddles in/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Take the last change back' }).click();
  await expect(draft).toBeHidden();
  // From now on forwards: it begins hours sooner.
  await page.getByRole('button', { name: 'As soon as can be' }).filter({ visible: true }).click();
  await expect(draft.getByText(/Ready to eat \(Washer flatbreads\)/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the last change back' }).click();
  await expect(draft).toBeHidden();
  // Fresh within a quarter of an hour: seen at once, and taken back.
  await choose(page, 'How fresh', 'cool at most 15 min before');
  await expect(draft.getByText(/bread waits|nothing waits/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Take the last change back' }).click();
  await expect(draft).toBeHidden();
  // A time typed where it cannot be is said, and what was typed stays to be mended.
  const divide = page.getByLabel('Divide into 8, Washer flatbreads: at');
  const soon = new Date(server.now + 15 * 60000);
  await divide.fill(new Intl.DateTimeFormat('en-GB', { timeStyle: 'short', timeZone: 'Europe/Berlin' }).format(soon));
  await divide.press('Enter');
  await expect(draft.getByText(/Cannot be when you want it/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the last change back' }).click();
  await expect(draft).toBeHidden();
});

test('a heat typed figure by figure is one change, and taken back at once', async ({ page }) => {
  await page.visit('/day');
  await page.getByText(/^Washer flatbreads: \d/).click();
  const heat = page.getByLabel('Oven, °C').filter({ visible: true }).first();
  await heat.fill('');
  await heat.pressSequentially('205');
  const draft = page.getByRole('region', { name: 'As it would be' });
  await expect(draft.getByRole('button', { name: 'Lay the day out so' })).toBeEnabled();
  await draft.getByRole('button', { name: 'Take the last change back' }).click();
  await expect(draft).toBeHidden();
});

test('an errand: nobody in, and the day goes round it', async ({ page, server }) => {
  const { body } = await call(server, '/api/day', {});
  const begins = Date.parse(body.bakes.find((b) => b.title === 'Three-wire plait').start);
  const clock = (ms) => new Intl.DateTimeFormat('en-GB', { timeStyle: 'short', timeZone: 'Europe/Berlin' }).format(new Date(ms));
  const kitchen = (await call(server, '/api/kitchen/setup')).body;
  const gone = [{ from: new Date(begins - 300e3).toISOString(), to: new Date(begins + 900e3).toISOString() }];
  await call(server, '/api/kitchen/setup', { ...kitchen, gone }, 'PUT');
  await page.visit('/day');
  const errand = page.getByRole('region', { name: 'Nobody in' });
  await expect(errand.getByLabel('Away from')).toHaveValue(clock(begins - 300e3));
  await expect(page.getByText(/^\d\d:\d\d Nobody is there: .*Three-wire plait/)).toBeVisible();
  await page.getByRole('button', { name: 'Lay the day out so' }).click();
  await expect(page.getByRole('region', { name: 'In one another’s way' })).toBeHidden();
  await errand.getByRole('button', { name: /^Not away/ }).click();
  await expect(errand.getByLabel('Away from')).toBeHidden();
  await expect(page.getByText(/wants the house network/)).toBeVisible();
});

test.describe('the whole repair café', () => {
  test('one bench for all bakes, from the pretzels in hand to the plait on the table', async ({ page, server }) => {
    await page.visit('/bench');
    await page.evaluate(() => localStorage.setItem('divide', 'eye'));
    await page.reload();
    const next = page.getByRole('complementary', { name: 'Still to come' });
    await expect(next.getByRole('link')).toHaveCount(3);
    const seen = new Set();
    // A baker who does what the sentence says, when it says so.
    await follow(page, server, { watch: (bake) => seen.add(bake.title), done: () => false });
    for (const title of ['Spanner pretzels', 'Workbench soft rolls', 'Washer flatbreads', 'Three-wire plait'])
      expect(seen).toContain(title);
    const { body } = await call(server, '/api/logbook');
    expect(JSON.stringify(body)).toContain('Three-wire plait');
    await page.visit('/');
    await expect(page.getByText('Nothing is under way.')).toBeVisible();
  });
});
