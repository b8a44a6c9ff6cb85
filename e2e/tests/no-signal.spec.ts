import { expect, test } from '@playwright/test';
import { LONG, accessible, facts, key, newRoom, serve, shellKept, type Running, ONCE } from './app.ts';

// What is on the device has to be there without a server: the service worker's work.
test.use({ serviceWorkers: 'allow' });

let running: Running;
test.beforeEach(async () => {
  running = await serve(false);
});
test.afterEach(() => running.close());

test(
  'readings taken with the server gone survive a reload, show as waiting and are sent once',
  ONCE,
  async ({ page }) => {
    const room = await newRoom(page, running.url, 'Store', '1400', '1000');
    await page.getByRole('button', { name: /^Flat: / }).click();
    await key(page, '1330');
    await key(page, '1341');
    await expect(page.getByTestId('sending')).toHaveText('all sent');
    // The shell must be on the device before the signal goes.
    await shellKept(page);
    await running.kill();
    await key(page, '1342');
    await key(page, '1343');
    await expect(page.getByTestId('sending')).toHaveText('2 waiting to send');
    await page.reload();
    await expect(page.getByTestId('sending')).toHaveText('2 waiting to send');
    await expect(page.getByText(/Read station 4 of 9/)).toBeVisible();
    await key(page, '1340');
    await expect(page.getByTestId('sending')).toHaveText('3 waiting to send');
    await running.start();
    await expect(page.getByTestId('sending')).toHaveText('all sent', LONG);
    const { readings } = await facts(running.url, room);
    expect(readings.map((r) => r.rodMm).sort()).toEqual([1340, 1341, 1342, 1343]);
    expect(readings.every((r) => r.version === 1)).toBe(true);
  },
);

test('two devices that correct one reading see both values, and the choice stands', ONCE, async ({ browser }) => {
  const contexts = await Promise.all([browser.newContext(), browser.newContext()]);
  const [one, two] = await Promise.all(contexts.map((context) => context.newPage()));
  const room = await newRoom(one!, running.url, 'Store', '1400', '1000');
  await one!.getByRole('button', { name: /^Flat: / }).click();
  await key(one!, '1330');
  await key(one!, '1341');
  await expect(one!.getByTestId('sending')).toHaveText('all sent');
  await two!.goto(`${running.url}/rooms/${room}/flat`);
  await expect(two!.getByText(/Read station 2 of 9/)).toBeVisible();
  // The second device loses its signal, so that it corrects what it last saw.
  await contexts[1]!.setOffline(true);
  for (const page of [one!, two!]) {
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByText(/Read station 1 of 9/)).toBeVisible();
  }
  await key(one!, '1345');
  await expect(one!.getByTestId('sending')).toHaveText('all sent');
  await key(two!, '1347');
  await expect(two!.getByTestId('sending')).toHaveText('1 waiting to send');
  await contexts[1]!.setOffline(false);
  await expect(two!.getByTestId('trouble')).toContainText('Here 1 347 mm · there 1 345 mm');
  expect((await facts(running.url, room)).readings[0]!.rodMm).toBe(1345);
  await two!.getByRole('button', { name: 'Keep mine' }).click();
  await expect(two!.getByTestId('sending')).toHaveText('all sent');
  expect((await facts(running.url, room)).readings[0]).toMatchObject({ rodMm: 1347, version: 3 });
  const history = await (
    await fetch(`${running.url}/api/rooms/${room}/readings/${(await facts(running.url, room)).readings[0]!.id}/history`)
  ).json();
  expect(history.replaced.map((r: { body: { rodMm: number } }) => r.body.rodMm)).toEqual([1345, 1341]);
  await Promise.all(contexts.map((context) => context.close()));
});

test('a server killed in the middle of a run loses nothing it had acknowledged', ONCE, async ({ page }) => {
  const room = await newRoom(page, running.url, 'Store', '1400', '1000');
  const put = (id: string, body: object) =>
    fetch(`${running.url}/api/rooms/${room}/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  await put('setups/setup-1', {
    baseVersion: 0,
    writeId: 'w-setup',
    deleted: false,
    name: 'A',
    openRodMm: 1330,
    closeRodMm: null,
    startedAt: '2026-05-04T08:00:00.000Z',
  });
  const acknowledged: string[] = [];
  let stop = false;
  const clients = Array.from({ length: 8 }, async (_, client) => {
    for (let n = 0; !stop; n++) {
      const id = `read-${client}-${n}`;
      const answer = await put(`readings/${id}`, {
        baseVersion: 0,
        writeId: `w-${id}`,
        deleted: false,
        setupId: 'setup-1',
        stationKey: id,
        xMm: 1,
        yMm: 1,
        rodMm: 1340,
        takenAt: '2026-05-04T08:00:00.000Z',
        note: '',
      }).catch(() => null);
      if (answer?.status === 201) acknowledged.push(id);
      else return;
    }
  });
  // In the middle of a run: once enough has been acknowledged, however fast the machine, while the clients go on writing.
  await expect.poll(() => acknowledged.length).toBeGreaterThan(50);
  await running.kill();
  stop = true;
  await Promise.all(clients);
  await running.start();
  const kept = new Set((await facts(running.url, room)).readings.map((r) => r.id));
  expect(acknowledged.length).toBeGreaterThan(50);
  expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
});

test(
  'a sign-in page in the server’s place is no signal: what was keyed waits, what was read stays, and all of it arrives',
  ONCE,
  async ({ page }) => {
    const room = await newRoom(page, running.url, 'Store', '1400', '1000');
    await page.getByRole('button', { name: /^Flat: / }).click();
    await key(page, '1330');
    await expect(page.getByTestId('sending')).toHaveText('all sent');
    // Taking over in the middle, it would let a request past what answers in the server's place.
    await shellKept(page);
    const instead = { status: 200, contentType: 'text/html', body: '<html><title>Hotel</title>Sign in</html>' };
    await page.route('**/api/**', (route) => route.fulfill(instead));
    for (const rod of ['1341', '1342', '1343']) await key(page, rod);
    await expect(page.getByTestId('sending')).toHaveText('3 waiting to send');
    // The book is asked for too, and keeps what it held.
    await page.getByRole('button', { name: 'Site book' }).click();
    await expect(page.getByRole('link', { name: /^Store/ }).last()).toBeVisible();
    await page.unroute('**/api/**');
    await expect(page.getByTestId('sending')).toHaveText('all sent');
    expect((await facts(running.url, room)).readings.map((r) => r.rodMm).sort()).toEqual([1341, 1342, 1343]);
  },
);

test('a full device says so on the pad: the figure stays, nothing is shown as kept, and it is taken once there is room', async ({
  page,
}) => {
  await newRoom(page, running.url, 'Store', '1400', '1000');
  await page.getByRole('button', { name: /^Flat: / }).click();
  await key(page, '1330');
  await key(page, '1341');
  await expect(page.getByText(/Read station 2 of 9/)).toBeVisible();
  await page.evaluate(() => {
    const whole = IDBObjectStore.prototype.put;
    Object.assign(globalThis, { roomAgain: () => (IDBObjectStore.prototype.put = whole) });
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    };
  });
  await key(page, '1342.5');
  await expect(page.getByText(/This device keeps nothing more/).first()).toBeVisible();
  await expect(page.getByText(/Read station 2 of 9/)).toBeVisible();
  await expect(page.getByTestId('entry')).toContainText(/1\s?342.5/);
  await expect(page.getByTestId('sending')).toHaveText('device full');
  await accessible(page);
  await page.evaluate(() => (globalThis as unknown as { roomAgain: () => void }).roomAgain());
  await page.getByRole('button', { name: 'Take', exact: true }).click();
  await expect(page.getByText(/Read station 3 of 9/)).toBeVisible();
  await expect(page.getByTestId('sending')).toHaveText('all sent');
});

test('what waits is told by kind, since when and why, and can be sent by hand', ONCE, async ({ page, context }) => {
  await newRoom(page, running.url, 'Store', '1400', '1000');
  await page.getByRole('button', { name: /^Flat: / }).click();
  await key(page, '1330');
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  await context.setOffline(true);
  await key(page, '1341');
  await key(page, '1342');
  await page.getByRole('button', { name: '2 waiting to send: what waits' }).click();
  const waits = page.getByTestId('what-waits');
  await expect(waits).toContainText(/Reading: 2, since \d{4}-\d\d-\d\d/);
  await expect(waits).toContainText('The server does not answer: no signal');
  await accessible(page);
  await context.setOffline(false);
  await waits.getByRole('button', { name: 'Send now' }).click();
  await expect(waits).toContainText('Everything is on the server.');
});
