// The whole day: every dough together, by what a person sees and does.
import { accessible, call, expect, rolls, test } from './house.mjs';

const wanted = async (server, title) => {
  const { body } = await call(server, '/api/day', { width: 900, slim: false, utcOffsetMinutes: 60 });
  return body.bakes.find((b) => b.title === title).wanted;
};

test('the repair café: seen whole, explained, taken along', async ({ page }) => {
  await page.visit('/day');
  await expect(
    page.getByRole('img', { name: /The day: Spanner pretzels, Workbench soft rolls, Washer flatbreads/ }),
  ).toBeVisible();
  const hands = page.getByRole('region', { name: 'What the hands do' }).getByRole('row');
  await expect(hands.filter({ hasText: 'Through the soda bath · Spanner pretzels' })).toBeVisible();
  const ovens = page.getByRole('region', { name: 'What the ovens do' });
  await expect(ovens).toContainText(/Wall oven: Bake \(Washer flatbreads, 245 °C\)/);
  await expect(page.getByRole('region', { name: 'In one another’s way' }).locator('.late')).toHaveCount(0);
  // Who comes second finds the oven hot.
  await expect(hands.filter({ hasText: 'Oven to 245 °C · Washer flatbreads' })).toBeVisible();
  await page.getByText(/^Why Washer flatbreads begins at/).click();
  await expect(page.getByText(/^\d\d:\d\d Dough cycle, 1 h 25/)).toBeVisible();
  await accessible(page);
  await page.getByRole('link', { name: 'Bench sheet' }).click();
  await expect(page.getByText('Washer flatbreads contains milk, wheat/gluten.')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const pages = (await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g).length;
  expect(pages).toBe(1);
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
  await page.reload();
  await page.getByRole('button', { name: 'Lay the day out so' }).click();
  await expect(troubles.locator('.late')).toHaveCount(0);
  await page.getByRole('link', { name: 'The day in full' }).click();
  await expect(page.getByRole('img', { name: /The day:.*Workbench soft rolls.*Workbench soft rolls/ })).toBeVisible();
  await page.getByRole('link', { name: 'To the bench' }).click();
  await expect(page.getByText('Spanner pretzels').first()).toBeVisible();
});
