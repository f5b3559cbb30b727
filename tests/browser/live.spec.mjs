// Nothing is lost, two screens agree, and what is due calls until it is heard.
import { accessible, bake, call, expect, rolls, tell, test } from './house.mjs';

test.describe('', () => {
  test.use({ alone: true });
  test('killed in mid-bake and started again: every event there, the countdown right to the second', async ({ page, server }) => {
    const id = await bake(server);
    await tell(server, id, { type: 'step-done', step: 'start-cycle' });
    await page.visit(`/bench/${id}`);
    const timer = page.getByRole('timer');
    await expect(timer).toHaveText(/^\d+:\d\d$/);
    const { body: before } = await call(server, `/api/bakes/${id}`);
    await server.kill();
    await page.getByRole('button', { name: /^Skip/ }).click();
    await expect(page.getByText(/1 told, not yet heard: Do the paddles turn\?\./)).toBeVisible();
    await server.start();
    // What was told while it was away arrives once.
    await expect(page.getByRole('button', { name: 'Take back Skipped' })).toBeVisible();
    const { body: after } = await call(server, `/api/bakes/${id}`);
    expect(after.position).toBe(before.position + 1);
    expect(after.steps.find((s) => s.step === 'start-cycle').end).toBe(before.steps.find((s) => s.step === 'start-cycle').end);
    // However long reading it takes: the clock is read on both sides of it.
    const due = Date.parse(after.beat.due);
    await expect(async () => {
      const earlier = await server.clock();
      const [minutes, seconds] = (await timer.textContent()).split(':').map(Number);
      const later = await server.clock();
      expect(minutes * 60 + seconds).toBeLessThan((due - earlier) / 1000 + 2);
      expect(minutes * 60 + seconds).toBeGreaterThan((due - later) / 1000 - 2);
    }).toPass();
  });
});

// Whether the browser has kept an answer that names this bake. A shelf that is not there yet is not made by looking.
async function isKept(bake) {
  if (!(await indexedDB.databases()).some((d) => d.name === 'keyval-store')) return false;
  const done = (asked) => new Promise((heard) => (asked.onsuccess = () => heard(asked.result)));
  const book = await done(indexedDB.open('keyval-store'));
  const known = await done(book.transaction('keyval').objectStore('keyval').get('last-known'));
  book.close();
  return JSON.stringify(known ?? '').includes(bake);
}

test.describe('', () => {
  test.use({ alone: true, serviceWorkers: 'allow' });
  test('with the server gone the page opens, counts on, calls at its minute, and keeps what it is told', async ({
    page,
    server,
  }) => {
    // One is begun now and says how long it is until it calls; the other calls in a moment.
    const [id, calls] = [await bake(server), await bake(server)];
    await tell(server, id, { type: 'step-done', step: 'start-cycle' });
    const wait = Date.parse((await call(server, `/api/bakes/${id}`)).body.willCall[0].start) - (await server.clock());
    const soon = 45_000;
    const begun = new Date((await server.clock()) - wait + soon).toISOString();
    await tell(server, calls, { type: 'step-done', step: 'start-cycle', at: begun });
    await page.visit(`/bench/${id}`);
    const timer = page.getByRole('timer');
    await expect(timer).toHaveText(/^\d+:\d\d$/);
    await page.waitForFunction(async () => (await navigator.serviceWorker.getRegistration())?.active?.state === 'activated');
    await expect.poll(() => page.evaluate(isKept, calls), { message: 'what is known is kept' }).toBe(true);
    const { body: before } = await call(server, `/api/bakes/${id}`);
    await server.kill();
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('The blue two-paddle is warming. Nothing moves yet.');
    const counted = await timer.textContent();
    await expect(timer).not.toHaveText(counted);
    await expect(page.getByRole('alert')).toContainText('Do the paddles turn?', { timeout: 90_000 });
    await page.getByRole('button', { name: 'Heard' }).click();
    await expect(page.getByRole('alert')).toHaveCount(0);
    await page.getByRole('button', { name: /^Skip/ }).click();
    await expect(page.getByText(/2 told, not yet heard/)).toBeVisible();
    // Another page needs no server either.
    await page.getByRole('link', { name: 'Logbook' }).click();
    await expect(page.getByText(/2 told, not yet heard/)).toBeVisible();
    await server.start();
    await expect(page.getByText(/not yet heard/)).toBeHidden();
    // The first being heard, the others are on their way: waited for, not looked at once.
    const skipped = (of) => of.steps.filter((s) => s.state === 'skipped').length;
    await expect
      .poll(async () => skipped((await call(server, `/api/bakes/${id}`)).body), { message: 'what was told is heard' })
      .toBe(skipped(before) + 1);
    page.complaints.length = 0;
  });

  test('a phone can keep it: name, pictures, a page that opens alone', async ({ page, server }) => {
    await page.visit('/');
    const session = await page.context().newCDPSession(page);
    await page.evaluate(() => navigator.serviceWorker.ready);
    const { errors } = await session.send('Page.getAppManifest');
    expect(errors).toEqual([]);
    const { installabilityErrors } = await session.send('Page.getInstallabilityErrors');
    expect(installabilityErrors.map((e) => e.errorId).filter((e) => e !== 'in-incognito')).toEqual([]);
    // Nothing the server says is kept by the worker.
    const kept = await page.evaluate(async () => {
      const urls = [];
      for (const name of await caches.keys()) for (const { url } of await (await caches.open(name)).keys()) urls.push(url);
      return urls;
    });
    expect(kept.length).toBeGreaterThan(20);
    expect(kept.filter((url) => /\/(api|live|house|health)\b/.test(url))).toEqual([]);
  });
});

test('two screens on one bake show the same, and only one of two rivals is believed', async ({ page, server, browser }) => {
  const id = await bake(server);
  const other = await (await browser.newContext({ timezoneId: 'Europe/Berlin' })).newPage();
  await page.visit(`/bench/${id}`);
  await other.goto(`${server.url}/bench/${id}`);
  await page.getByRole('button', { name: 'In', exact: true }).click();
  for (const screen of [page, other])
    await expect(screen.getByRole('heading', { level: 1 })).toHaveText('Weigh in the whole milk.');

  const event = { type: 'ingredient-weighed', step: 'weigh-in-2', mass: 300 };
  const told = crypto.randomUUID();
  const post = (body) => call(server, `/api/bakes/${id}/events`, body);
  expect((await post({ id: told, basedOn: 1, event })).body.again).toBe(false);
  expect((await post({ id: told, basedOn: 1, event })).body).toMatchObject({
    again: true,
    position: 2,
  });
  const rival = await post({
    id: crypto.randomUUID(),
    basedOn: 1,
    event: { ...event, mass: 301 },
  });
  expect(rival).toMatchObject({
    status: 409,
    body: { type: 'urn:jolly-knot:problem:conflict', position: 2 },
  });
  await expect(other.getByRole('heading', { level: 1 })).toHaveText('Weigh in the egg.');
});

test('what is due rings on every page, also after a reload, until it is heard on any screen', async ({
  page,
  server,
  browser,
}) => {
  const id = await bake(server);
  await page.visit('/doughs');
  await tell(server, id, { type: 'step-done', step: 'start-cycle', at: server.ago(22) });
  const ringing = (p) => p.evaluate(() => document.title.startsWith('●'));
  await expect(page.getByRole('alert')).toContainText('Do the paddles turn?');
  expect(await ringing(page)).toBe(true);
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('Do the paddles turn?');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await accessible(page);
  const other = await (await browser.newContext()).newPage();
  await other.goto(server.url);
  await other.getByRole('button', { name: 'Heard' }).click();
  for (const screen of [page, other]) await expect(screen.getByRole('button', { name: 'Heard' })).toHaveCount(0);
  expect(await ringing(page)).toBe(false);
});

test('the bell sounds while the tab sleeps', async ({ page, server }) => {
  await page.addInitScript(() => {
    // This device's own clock is two months ahead: nothing is called by it.
    const own = Date.now;
    Date.now = () => own() + 60 * 86_400_000;
    window.played = 0;
    const play = HTMLMediaElement.prototype.play;
    HTMLMediaElement.prototype.play = function () {
      return play.call(this).then(() => void (window.played += this.loop && !this.paused ? 1 : 0));
    };
  });
  const id = await bake(server);
  await page.visit('/');
  // Another tab comes to the front.
  const front = await page.context().newPage();
  await front.goto('about:blank');
  await front.bringToFront();
  await tell(server, id, {
    type: 'step-done',
    step: 'start-cycle',
    at: server.ago(20.9),
  });
  expect(await page.evaluate(() => window.played)).toBe(0);
  await server.pass(0.1);
  await expect.poll(() => page.evaluate(() => window.played)).toBeGreaterThan(0);
});

test('a body of fifty megabytes is refused before it is read', async ({ server }) => {
  const { status, body } = await call(server, '/api/formulas', {
    name: 'x'.repeat(50_000_000),
    rows: [],
  });
  expect({ status, type: body.type }).toEqual({
    status: 413,
    type: 'urn:jolly-knot:problem:too-large',
  });
});

test('a page kept open over an update asks to be loaded anew, and what was typed is still there', async ({ page, server }) => {
  await page.visit('/doughs/new');
  await page.getByLabel('Name', { exact: true }).fill('Rivet rolls');
  await page.getByLabel('Ingredient 1', { exact: true }).fill('strong white flour');
  await page.keyboard.press('Escape');
  await page.getByLabel('Grams 1', { exact: true }).fill('312');
  await page.getByLabel('Method and notes').fill('Second attempt.');
  // As if the server had been updated meanwhile.
  await page.route('**/api/clock', async (route) => {
    const answer = await route.fetch();
    await route.fulfill({ response: answer, headers: { ...answer.headers(), 'jolly-knot-version': '99' } });
  });
  await server.pass(1);
  const updated = page.getByText(/was updated while this page was open/);
  await expect(updated).toBeVisible();
  await accessible(page);
  await page.unroute('**/api/clock');
  await page.getByRole('button', { name: 'Load it anew' }).click();
  await expect(updated).toBeHidden();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Rivet rolls');
  await expect(page.getByLabel('Grams 1', { exact: true })).toHaveValue('312');
  await expect(page.getByLabel('Method and notes')).toHaveValue('Second attempt.');
  // Another page and back, too; then it is kept, and the next one begins empty.
  await page.getByRole('link', { name: 'Kitchen' }).click();
  await page.goBack();
  await expect(page.getByLabel('Grams 1', { exact: true })).toHaveValue('312');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Rivet rolls' })).toBeVisible();
  await page.visit('/doughs/new');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('');
});

test('what cannot be read is set aside on the first page, and everything else goes on', async ({ page }) => {
  await page.route('**/api/today', async (route) => {
    const answer = await route.fetch();
    const today = await answer.json();
    const unread = {
      kind: 'plan',
      id: crypto.randomUUID(),
      name: 'Lamp-cord loaf',
      reason: 'Event 4: It was written by a newer Jolly Knot.',
    };
    await route.fulfill({ response: answer, json: { ...today, setAside: [unread] } });
  });
  await page.visit('/');
  const aside = page.getByRole('region', { name: 'Set aside' });
  await expect(aside).toContainText('Lamp-cord loaf Event 4: It was written by a newer Jolly Knot.');
  await expect(page.getByRole('link', { name: /^To the bench/ })).toBeVisible();
  await accessible(page);
});

test.describe('a dark phone, and keys alone', () => {
  test.use({ viewport: { width: 390, height: 844 }, colorScheme: 'dark' });

  test('pieces are divided by keys alone', async ({ page, server }) => {
    const id = await bake(server, { pieces: 4 });
    await tell(server, id, {
      type: 'dough-weighed',
      step: 'weigh-dough',
      mass: 800,
    });
    await page.visit(`/bench/${id}`);
    for (const [i, grams] of ['205', '198', '199', '198'].entries()) {
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Piece ${i + 1} of 4.`);
      await page.keyboard.type(grams);
      await page.keyboard.press('Enter');
    }
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Shape 4 pan rolls.');
  });
});

test('what breaks in one picture stays there: the sentence and its control go on', async ({ page, server }) => {
  const { body } = await call(server, '/api/today');
  const proving = body.bakes.find((b) => b.proof);
  await page.route(`**/api/bakes/${proving.id}`, async (route) => {
    const answer = await route.fetch();
    await route.fulfill({ response: answer, json: { ...(await answer.json()), proof: { ...proving.proof, curve: null } } });
  });
  await page.visit(`/bench/${proving.id}`);
  await expect(page.getByRole('alert')).toContainText('This picture cannot be shown. Everything that was told is kept.');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByText('This picture cannot be shown')).toBeHidden();
  // The browser's own word of the broken picture is what was asked for.
  page.complaints.length = 0;
});

test('what cannot be kept is said on every page, and kept once it is tried again', async ({ page }) => {
  await page.visit('/kitchen/pantry');
  await page.route('**/api/pantry/cups', (route) => route.abort());
  await page.getByText('dipped and levelled').click();
  const unkept = page.getByRole('alert').filter({ hasText: 'Not kept:' });
  await expect(unkept).toContainText('The kitchen server does not answer. Nothing is lost: try again.');
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(unkept).toBeVisible();
  await page.unroute('**/api/pantry/cups');
  await unkept.getByRole('button', { name: 'Try again' }).click();
  await expect(unkept).toBeHidden();
  await page.visit('/kitchen/pantry');
  await expect(page.getByLabel('dipped and levelled')).toBeChecked();
  page.complaints.length = 0;
});

test('what was told while nobody answers survives a reload, and is heard once', async ({ page, server }) => {
  const id = await bake(server);
  await page.visit(`/bench/${id}`);
  await page.route('**/events', (route) => route.abort());
  await page.getByRole('button', { name: 'In', exact: true }).click();
  const unheard = page.getByRole('status').filter({ hasText: '1 told, not yet heard: 2 paddles in' });
  await expect(unheard).toBeVisible();
  await page.reload();
  await expect(unheard).toBeVisible();
  await page.unroute('**/events');
  await expect(unheard).toBeHidden();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Weigh in the whole milk.');
  expect((await call(server, `/api/bakes/${id}`)).body.position).toBe(1);
  page.complaints.length = 0;
});

test('what two told at once is shown side by side, and the baker says what holds', async ({ page, server }) => {
  const id = await bake(server);
  await page.visit(`/bench/${id}`);
  await page.route('**/events', (route) => route.abort());
  await page.getByRole('button', { name: 'In', exact: true }).click();
  await expect(page.getByText(/1 told, not yet heard/)).toBeVisible();
  await tell(server, id, { type: 'step-skipped', step: 'paddle' });
  await page.unroute('**/events');
  const crossed = page.getByRole('alert').filter({ hasText: 'Meanwhile somebody told:' });
  await expect(crossed).toContainText(/Skipped.*You told: 2 paddles in\./);
  await accessible(page);
  // Also after a reload: nothing is dropped.
  await page.reload();
  await expect(crossed).toBeVisible();
  await crossed.getByRole('button', { name: 'Leave mine' }).click();
  await expect(crossed).toBeHidden();
  expect((await call(server, `/api/bakes/${id}`)).body.position).toBe(1);
  page.complaints.length = 0;
});

test('a second tap and a held key do one step; bread is taken up before its time only when asked', async ({ page, server }) => {
  const id = await bake(server);
  await page.visit(`/bench/${id}`);
  await page.getByRole('button', { name: 'In', exact: true }).dblclick();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Weigh in the whole milk.');
  await expect(page.getByRole('group', { name: 'Controls' }).locator('.do')).toBeEnabled();
  expect((await call(server, `/api/bakes/${id}`)).body.position).toBe(1);
  const { body } = await call(server, `/api/bakes/${id}`);
  const skipped = body.steps.map((s) => s.step).filter((s) => body.steps.findIndex((o) => o.step === s) > 0);
  for (const step of skipped.slice(0, skipped.indexOf('load'))) {
    const { status } = await call(server, `/api/bakes/${id}/events`, {
      id: crypto.randomUUID(),
      basedOn: (await call(server, `/api/bakes/${id}`)).body.position,
      event: { type: step === 'start-proof' ? 'step-done' : 'step-skipped', step },
    });
    expect([200, 400, 409]).toContain(status);
  }
  await page.reload();
  const early = page.getByRole('button', { name: 'Load the oven now' });
  await expect(early).toBeVisible();
  await early.click();
  await expect(page.getByRole('group', { name: 'Before its time' })).toContainText(/before its time/);
  await page.getByRole('button', { name: 'Not yet' }).click();
  await early.click();
  await page.getByRole('group', { name: 'Before its time' }).getByRole('button', { name: 'They are in' }).click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(/Load/);
});

test.describe('', () => {
  test.use({ alone: true });
  test('a copy is put back from the kitchen page, and what was there can be put back the same way', async ({ page, server }) => {
    await page.visit('/kitchen?thing=kept');
    const kept = page.getByRole('region', { name: 'Where your bread is kept' });
    await kept.getByRole('button', { name: 'Make a copy now' }).click();
    await expect(kept).toContainText('1 in all');
    const id = await bake(server);
    expect((await call(server, `/api/bakes/${id}`)).status).toBe(200);
    const putBack = async (name) => {
      await kept.getByRole('button', { name: 'Put a copy back' }).click();
      await kept.getByRole('button', { name }).click();
      await expect(kept).toContainText('Everything as it is now is set aside, and can be put back the same way.');
      const anew = page.waitForEvent('load', { timeout: 60_000 });
      await kept.getByRole('button', { name: 'Put it back' }).click();
      await anew;
      await expect(kept).toBeVisible();
    };
    await putBack(/^Put back: Copy of/);
    expect((await call(server, `/api/bakes/${id}`)).status).toBe(404);
    await putBack(/^Put back: Set aside/);
    expect((await call(server, `/api/bakes/${id}`)).status).toBe(200);
    // Everything as one file, taken in again: nothing is doubled.
    const taken = page.waitForEvent('download');
    await kept.getByRole('link', { name: 'Take everything along' }).click();
    await kept.getByLabel('Bring a file').setInputFiles(await (await taken).path());
    await expect(kept.getByRole('status')).toHaveText('All of it was here.');
    await accessible(page);
    page.complaints.length = 0;
  });
});

test('two who change the kitchen keep both changes, and of the same thing one says which holds', async ({ page, server }) => {
  await page.visit('/kitchen');
  const name = page.getByLabel('Name').first();
  const setup = async (to) => {
    const { body } = await call(server, '/api/kitchen/setup');
    expect((await call(server, '/api/kitchen/setup', { ...body, ...to }, 'PUT')).status).toBe(200);
  };
  const kept = async () => (await call(server, '/api/kitchen/setup')).body;
  // Another screen changes the sea level, this one the name: both stay.
  await setup({ altitude: 300_000 });
  await name.fill('The boiler room');
  await expect.poll(async () => (await kept()).name).toBe('The boiler room');
  expect((await kept()).altitude).toBe(300_000);
  // Both change the name.
  await setup({ name: 'The attic' });
  await name.fill('The cellar');
  const meanwhile = page.getByRole('alert').filter({ hasText: 'Meanwhile somebody else changed name. Which holds?' });
  await expect(meanwhile).toBeVisible();
  expect((await kept()).name).toBe('The attic');
  await meanwhile.getByRole('button', { name: 'Keep mine' }).click();
  await expect.poll(async () => (await kept()).name).toBe('The cellar');
  await setup({ name: 'The attic' });
  await name.fill('The loft');
  await meanwhile.getByRole('button', { name: 'Take theirs' }).click();
  await expect(name).toHaveValue('The attic');
  expect((await kept()).name).toBe('The attic');
});

test('a device that was sent away forgets what it knew, and is asked for the passphrase', async ({ page }) => {
  const knows = () =>
    page.evaluate(async () => {
      if (!(await indexedDB.databases()).some((d) => d.name === 'keyval-store')) return false;
      return await new Promise((told) => {
        const opened = indexedDB.open('keyval-store');
        opened.onsuccess = () => {
          const asked = opened.result.transaction('keyval').objectStore('keyval').get('last-known');
          asked.onsuccess = () => {
            opened.result.close();
            told(asked.result !== undefined);
          };
        };
      });
    });
  await page.visit('/');
  await expect.poll(knows).toBe(true);
  await page.route('**/house', (route) => route.fulfill({ contentType: 'text/html', body: '<h1>The door</h1>' }));
  await page.route('**/api/today', (route) => route.fulfill({ status: 401, json: { title: 'Who are you?', status: 401 } }));
  await page.reload();
  await expect(page.getByRole('heading', { name: 'The door' })).toBeVisible();
  expect(await knows()).toBe(false);
  // The browser's own word of what was refused.
  page.complaints.length = 0;
});
