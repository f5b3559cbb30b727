// Every view and every beat, measured: nothing cut off, covered, too small to read or to touch.
import { mkdirSync, writeFileSync } from 'node:fs';
import { bake, call, expect, follow, rolls, test } from './house.mjs';
import { measured } from './measure.mjs';

const sizes = { laptop: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };
mkdirSync('/tmp/t/looks', { recursive: true });
const report = (name, lines) => writeFileSync(`/tmp/t/looks/${name}.txt`, lines.join('\n'));

for (const [size, viewport] of Object.entries(sizes)) {
  test.describe(size, () => {
    test.use({ viewport });
    test(`views on a ${size}`, async ({ page, server }) => {
      const { body: day } = await call(server, '/api/today');
      const { body: past } = await call(server, '/api/logbook');
      const out = [];
      for (const path of [
        '/',
        '/doughs',
        '/doughs/read',
        `/doughs/${rolls}`,
        `/doughs/${rolls}/load`,
        '/plaits',
        '/kitchen',
        '/kitchen/pantry',
        '/day',
        '/day/sheet',
        `/lay-out?dough=${rolls}`,
        `/labels/${day.bakes[0].id}`,
        '/logbook',
        `/logbook/${past[0].id}`,
      ]) {
        await page.visit(path);
        await expect(page.locator('main')).not.toContainText('One moment');
        await page.waitForLoadState('networkidle');
        out.push(`== ${path}`, ...(await measured(page)));
        await page.screenshot({ path: `/tmp/t/looks/${size}${path.replace(/\W+/g, '-').slice(0, 20)}.png` });
      }
      report(`${size}-views`, out);
    });
    for (const familyId of ['pan-roll', 'pretzel', 'plait-3'])
      test(`beats of ${familyId} on a ${size}`, async ({ page, server }) => {
        const id = await bake(server, { familyId });
        await page.visit(`/bench/${id}`);
        const out = [];
        let n = 0;
        let last = '';
        await follow(page, server, {
          done: () => false,
          watch: () => undefined,
          see: async ({ beat }) => {
            if (beat.step.startsWith('weigh-in') && last.startsWith('weigh-in')) return;
            last = beat.step;
            out.push(
              `== ${beat.step}${beat.isDue ? '' : ' (waits)'}`,
              ...(await measured(page, { bench: true, phone: size === 'phone' })),
            );
            await page.screenshot({ path: `/tmp/t/looks/${size}-${familyId}-${String(n++).padStart(2, '0')}-${beat.step}.png` });
          },
        });
        report(`${size}-${familyId}`, out);
      });
  });
}
