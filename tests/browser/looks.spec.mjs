// Every view and every beat, measured: nothing cut off, covered, too small to read or to touch.
import { readFileSync } from 'node:fs';
import { accessible, bake, call, expect, follow, rolls, sharing, test } from './house.mjs';
import { atTwice, measured, moved } from './measure.mjs';

const sizes = { laptop: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };

// Where each view of the app is found; the bench has its beats below.
const views = async (server) => {
  const { body: day } = await call(server, '/api/today');
  const { body: past } = await call(server, '/api/logbook');
  return {
    index: '/',
    doughs: '/doughs',
    'doughs/read': '/doughs/read',
    'doughs/:id': `/doughs/${rolls}`,
    'doughs/:id/load': `/doughs/${rolls}/load`,
    plaits: '/plaits',
    kitchen: '/kitchen',
    'kitchen/pantry': '/kitchen/pantry',
    day: '/day',
    'day/sheet': '/day/sheet',
    bench: '/bench',
    'lay-out': `/lay-out?dough=${rolls}`,
    'bench/:id': `/bench/${day.bakes[0].id}`,
    'labels/:id': `/labels/${day.bakes[0].id}`,
    logbook: '/logbook',
    'logbook/:id': `/logbook/${past[0].id}`,
    '*': '/nowhere',
  };
};

sharing('a new view is listed here before anything else', async ({ server }) => {
  const app = readFileSync(new URL('../../src/web/src/app.tsx', import.meta.url), 'utf8');
  const routes = [...app.matchAll(/<Route (?:path="([^"]+)"|index)/g)].map((m) => m[1] ?? 'index');
  expect(routes.sort()).toEqual(Object.keys(await views(server)).sort());
});

for (const [size, viewport] of Object.entries(sizes)) {
  test.describe(size, () => {
    // The phone leans on the flour jar in the dark.
    test.use({ viewport, colorScheme: size === 'phone' ? 'dark' : 'light' });

    // In a house of its own: what others leave there would be measured too.
    test(`every view on a ${size}`, async ({ page, server }) => {
      const found = {};
      const things = ['machine:blue', 'oven:wall', 'scale', 'night', 'kept'].map((t) => `/kitchen?thing=${t}`);
      for (const path of [...Object.values(await views(server)), ...things]) {
        await page.visit(path);
        await expect(page.locator('main')).not.toContainText('One moment');
        await page.quiet();
        const shift = await moved(page);
        const wrong = await measured(page);
        if (shift.sum >= 0.05) wrong.push(`moves by ${shift.sum.toFixed(2)}: ${shift.worst}`);
        if (size === 'phone') wrong.push(...(await atTwice(page)));
        if (wrong.length > 0) found[path] = wrong;
        if (size === 'phone') await accessible(page);
      }
      expect(found).toEqual({});
    });
  });
}

// On a laptop every story's beats are measured on its way to the table.
test.describe('phone', () => {
  test.use({ viewport: sizes.phone, colorScheme: 'dark' });

  test('every beat of rolls on a phone', async ({ page, server }) => {
    const id = await bake(server);
    await page.visit(`/bench/${id}`);
    const [found, asked] = [{}, new Set()];
    await follow(page, server, {
      done: () => false,
      see: async ({ beat }) => {
        // Each step once, however many pieces it has; each way of asking once for its accessibility.
        if (found[beat.step]) return;
        found[beat.step] = await measured(page, { bench: true, phone: true });
        if (!asked.has(beat.ending)) await accessible(page);
        asked.add(beat.ending);
      },
    });
    expect(Object.entries(found).filter(([, wrong]) => wrong.length > 0)).toEqual([]);
  });
});
