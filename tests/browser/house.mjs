// What every browser test stands on: a server of its own, and a page that must stay without complaint.
import { AxeBuilder } from '@axe-core/playwright';
import { expect, test as base } from '@playwright/test';
import { Server } from './server.mjs';

export { expect };
let next = 0;

export const test = base.extend({
  speed: [1, { option: true }],
  demo: [true, { option: true }],
  // A test that kills its server.
  alone: [false, { option: true }],
  // A test that changes nothing others look at may use a server that others use too.
  shared: [false, { option: true }],
  houseOfAll: [
    async ({}, use, info) => {
      let server;
      await use(async () => (server ??= await new Server(15400 + info.workerIndex * 100, { alone: false }).start()));
      await server?.stop();
    },
    { scope: 'worker' },
  ],
  server: async ({ speed, demo, alone, shared, houseOfAll }, use, info) => {
    if (shared) return await use(await houseOfAll());
    const server = await new Server(15401 + info.workerIndex * 100 + next++, { speed, demo, alone }).start();
    await use(server);
    await server.stop();
  },
  // Complaints of the browser fail the test, except those about a server that the test itself killed.
  page: async ({ page, server }, use) => {
    const complaints = [];
    page.on('console', (m) => ['error', 'warning'].includes(m.type()) && complaints.push(m.text()));
    page.on('pageerror', (e) => complaints.push(String(e)));
    page.complaints = complaints;
    // Nobody leaves a page before what was told to it has arrived.
    const told = new Set();
    page.on('request', (r) => r.method() !== 'GET' && told.add(r));
    page.on('requestfinished', (r) => told.delete(r));
    page.on('requestfailed', (r) => told.delete(r));
    // What a page asks of the house is answered, and it asks nothing more for a moment.
    const asked = new Set();
    let last = 0;
    page.on('request', (r) => r.url().includes('/api/') && asked.add(r));
    for (const end of ['requestfinished', 'requestfailed']) page.on(end, (r) => asked.delete(r) && (last = performance.now()));
    page.quiet = () =>
      expect
        .poll(() => asked.size === 0 && performance.now() - last > 250, { message: 'still asking the house', intervals: [60] })
        .toBe(true);
    page.visit = async (path) => {
      await expect.poll(() => told.size, { message: 'still telling the house' }).toBe(0);
      return page.goto(server.url + path);
    };
    await use(page);
    // What a test answered in the house's place may still be on its way when the house closes.
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    expect(
      complaints.filter((c) => !/ERR_CONNECTION|WebSocket|net::ERR|status of 4(00|09|12)|blocked by Playwright/.test(c)),
    ).toEqual([]);
  },
});

/** A test that shares its server with others. */
export const sharing = test.extend({ shared: [true, { option: true }] });

/** axe finds nothing, its best practices among it. */
export async function accessible(page) {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .analyze();
  expect(violations.map((v) => `${new URL(page.url()).pathname} ${v.id}: ${v.nodes.map((n) => n.target).join(' ')}`)).toEqual([]);
}

/** The server's answer to a call, for setting a scene. */
export async function call(server, path, body, method = body === undefined ? 'GET' : 'POST') {
  const answer = await fetch(server.url + path, {
    method,
    ...(body === undefined
      ? {}
      : {
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        }),
  });
  return { status: answer.status, body: await answer.json().catch(() => null) };
}

export const rolls = '00000001-4a4b-4442-8000-000000000001';

/** A new bake, kept. */
export async function bake(
  server,
  { familyId = 'pan-roll', pieces = null, each = null, cut = {}, ...choice } = {},
  dough = rolls,
) {
  const id = crypto.randomUUID();
  const layout = {
    doughId: dough,
    choice: {
      machineId: 'blue',
      ovenId: 'wall',
      placeId: 'counter',
      cuts: [{ familyId, pieces, each, ...cut }],
      ...choice,
    },
  };
  expect((await call(server, '/api/bakes', { id, layout })).status).toBe(200);
  return id;
}

export async function tell(server, id, ...events) {
  for (const event of events) {
    const { body } = await call(server, `/api/bakes/${id}`);
    const told = await call(server, `/api/bakes/${id}/events`, {
      id: crypto.randomUUID(),
      basedOn: body.position,
      event,
    });
    expect(told.status, JSON.stringify(told.body)).toBe(200);
  }
}

/**
 * A baker who does what the bench says when it says so, at one bake's bench or at the one bench of the day: waiting is setting
 * the clock. Answers that may go in the oven are preferred; what is seen is told to `watch`. Ends when `done` says so.
 */
export async function follow(page, server, { done, watch = () => undefined, see }) {
  const answers = page.getByRole('group', { name: 'Answers' });
  const control = page.getByRole('group', { name: 'Controls' }).locator('.do');
  const press = (name) => page.getByRole('button', { name }).first().click();
  const doing = {
    feel: async () => {
      await press(/^Right Leave it alone/);
      await page.getByRole('button', { name: 'Leave it alone' }).last().click();
    },
    'take-out': () => press(/^Right$/),
    look: () =>
      answers
        .getByRole('button', { name: /Can go in|Divide it/ })
        .first()
        .click(),
    parts: async () => {
      await page.getByText('By eye', { exact: true }).click();
      await page.getByRole('button', { name: /^All divided/ }).click();
    },
    review: async () => {
      await press('4 of 5');
      await page.getByRole('button', { name: 'Keep', exact: true }).click();
    },
  };
  let weighed = 0;
  for (;;) {
    const { body } = await call(server, '/api/today');
    const at = page.url().split('/bench/')[1];
    const bake = body.bakes.find((b) => !at || b.id === at);
    if (!bake?.beat || done(bake)) return;
    if (!bake.beat.isDue) {
      await server.until(Date.parse(bake.beat.due) + 1000);
      continue;
    }
    watch(bake);
    // One ingredient is weighed in by hand; the others are told from another screen, all alike.
    if (bake.beat.step.startsWith('weigh-in-') && weighed++ > 0) {
      await tell(server, bake.id, { type: bake.beat.tells, step: bake.beat.step, mass: bake.beat.expected });
      continue;
    }
    const said = bake.beat.ending === 'parts' ? /^(Divide into|Weigh off|\S+.* 1 of ) ?/ : bake.beat.say;
    await page.getByRole('heading', { level: 1, name: said, exact: true }).waitFor({ timeout: 60_000 });
    await see?.(bake);
    const heard = page.waitForResponse((r) => r.url().endsWith('/events') && r.ok());
    await (doing[bake.beat.ending] ?? (() => control.click()))();
    await heard;
  }
}

/** Presses a button of the stand-in scale and lets it come to rest. */
export async function scale(page, server, name) {
  // Its own call, and not the answer to one that was made before.
  const put = page.waitForRequest((r) => /\/api\/scale\//.test(r.url()) && r.method() !== 'GET');
  await page.getByRole('button', { name }).click();
  await (await put).response();
  await server.pass(2 / 60);
}

/** Chooses from a list as a person does: opens it, picks, and sees it picked. */
export async function choose(page, label, option) {
  const field = page.getByRole('combobox', { name: label, exact: true });
  await expect(async () => {
    await field.click({ timeout: 5000 });
    await page.locator(`.ant-select-dropdown:visible .ant-select-item-option[title="${option}"]`).click({ timeout: 5000 });
    await expect(page.locator('.ant-select', { has: field })).toContainText(option, { timeout: 5000 });
  }).toPass();
}
