// What every way of working is told with: a recipe is pasted, laid out, and baked to the table.
import { accessible, call, expect, follow } from './house.mjs';
import { measured } from './measure.mjs';

export const result = (page) => page.getByRole('region', { name: 'Result' });
export const start = (page) => page.getByRole('button', { name: /^Start this bake/ });
export const more = (page, cut) => page.getByRole('button', { name: /^Oven, wash, pan/ }).nth(cut - 1);

/** A page pasted, its questions answered, kept and laid out. */
export async function layOut(page, lines, answer = async () => undefined) {
  await page.visit('/doughs/read');
  await page.getByLabel(/Paste a recipe/).fill(lines.join('\n'));
  await answer(page);
  await page.getByRole('button', { name: 'Keep this dough' }).click();
  await page.getByRole('button', { name: 'Lay out a bake' }).click();
  await expect(start(page)).toBeVisible();
}

// Ways of asking that were looked at for their accessibility; each once is enough.
const asked = new Set();

/** Bakes it to the table, and gives back everything that was said, beat by beat; all of it is to be seen at once. */
export async function toTheTable(page, server, begin = start(page)) {
  await begin.click();
  await expect(page).toHaveURL(/bench\//);
  const [said, found] = [[], {}];
  await follow(page, server, {
    done: () => false,
    watch: ({ beat }) => said.push(`${beat.step}: ${beat.phrase.say} ${beat.phrase.detail} ${beat.cautions.join(' ')}`),
    see: async ({ beat }) => {
      found[beat.step] ??= await measured(page, { bench: true });
      if (!asked.has(beat.ending)) await accessible(page);
      asked.add(beat.ending);
    },
  });
  expect(Object.entries(found).filter(([, wrong]) => wrong.length > 0)).toEqual([]);
  return said;
}

// What was said without the names of its steps.
export const words = (said) => said.map((s) => s.replace(/^\S+: /, ''));
export const says = (said, step) => said.find((s) => s.startsWith(`${step}: `)) ?? `no ${step}`;
export const order = (said, ...steps) => {
  const at = steps.map((step) => said.findIndex((s) => s.startsWith(`${step}: `)));
  expect(at, said.join('\n')).toEqual([...at].sort((a, b) => a - b));
  expect(at, said.join('\n')).not.toContain(-1);
};

export const inOunces = (server) => change(server, { units: { mass: 'ounces', temperature: 'fahrenheit', length: 'inches' } });

export async function change(server, to) {
  const { body } = await call(server, '/api/kitchen/setup');
  expect((await call(server, '/api/kitchen/setup', { ...body, ...to }, 'PUT')).status).toBe(200);
}
