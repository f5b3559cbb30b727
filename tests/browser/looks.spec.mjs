// Every view and every beat, measured: nothing cut off, covered, too small to read or to touch.
import { readFileSync } from 'node:fs';
import { accessible, bake, call, expect, follow, rolls, sharing, tell, test } from './house.mjs';
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

async function skipTo(server, id, to) {
  const steps = (await call(server, `/api/bakes/${id}`)).body.steps.map((s) => s.step);
  for (const step of steps.slice(0, steps.indexOf(to))) await tell(server, id, { type: 'step-skipped', step });
}

for (const [size, viewport] of Object.entries(sizes)) {
  test.describe(size, () => {
    // The phone leans on the flour jar in the dark.
    test.use({ viewport, colorScheme: size === 'phone' ? 'dark' : 'light' });

    sharing(`every view on a ${size}`, async ({ page, server }) => {
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

    for (const familyId of size === 'laptop' ? ['pretzel', 'plait-3', 'round-bun'] : ['pan-roll'])
      test(`every beat of ${familyId} on a ${size}`, async ({ page, server }) => {
        const id = await bake(server, { familyId });
        // What comes before the table is the same for all, and measured with the first.
        if (familyId === 'plait-3' || familyId === 'round-bun')
          await skipTo(server, id, familyId === 'round-bun' ? 'shape' : 'divide');
        await page.visit(`/bench/${id}`);
        const [found, seen, asked] = [{}, new Set(), new Set()];
        await follow(page, server, {
          done: () => false,
          see: async ({ beat }) => {
            // Each step once, however many pieces it has; each way of asking once for its accessibility.
            if (seen.has(beat.step)) return;
            seen.add(beat.step);
            const wrong = await measured(page, { bench: true, phone: size === 'phone' });
            if (wrong.length > 0) found[beat.step] = wrong;
            if (!asked.has(beat.ending)) await accessible(page);
            asked.add(beat.ending);
          },
        });
        expect(found).toEqual({});
      });
  });
}
