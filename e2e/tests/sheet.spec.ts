import { expect, test, type CDPSession } from '@playwright/test';
import { heardSheet } from './app.ts';
import { shareServer } from './share-server.ts';

test.use({ hasTouch: true });
const running = shareServer();

type Px = [x: number, y: number];
const touch = (cdp: CDPSession, type: 'touchStart' | 'touchMove' | 'touchEnd', points: Px[], atS?: number) =>
  cdp.send('Input.dispatchTouchEvent', {
    type,
    touchPoints: points.map(([x, y], id) => ({ x, y, id })),
    // Left to itself a touch bears the time at which a busy machine gets round to it.
    ...(atS === undefined ? {} : { timestamp: atS }),
  });

/** Two fingers that go from so far apart to so far apart, level, about a point. */
async function pinch(cdp: CDPSession, [x, y]: Px, fromPx: number, toPx: number): Promise<void> {
  const apart = (px: number): Px[] => [
    [x - px / 2, y],
    [x + px / 2, y],
  ];
  await touch(cdp, 'touchStart', apart(fromPx));
  for (let step = 1; step <= 8; step++) await touch(cdp, 'touchMove', apart(fromPx + ((toPx - fromPx) * step) / 8));
  await touch(cdp, 'touchEnd', []);
}

test('two fingers bring the sheet closer, one shifts it, two quick taps show the whole room again', async ({
  page,
}) => {
  await page.goto(`${running.url}/rooms/demo-parlour/room`);
  const sheet = page.getByTestId('sheet');
  const outline = sheet.locator('path').first();
  const drawn = () =>
    outline.evaluate((path) => {
      const { x, y, width } = path.getBoundingClientRect();
      return { x, y, width };
    });
  const fit = page.getByRole('button', { name: 'Fit' });
  await heardSheet(page);
  const box = (await sheet.boundingBox())!;
  const middle: Px = [box.x + box.width / 2, box.y + box.height / 2];
  const cdp = await page.context().newCDPSession(page);
  const whole = await drawn();

  await pinch(cdp, middle, 60, 120);
  await expect(fit).toBeVisible();
  const closer = await drawn();
  // Twice as far apart is twice as close; the first few px only tell that it is a pinch.
  expect(closer.width / whole.width).toBeGreaterThan(1.7);
  expect(closer.width / whole.width).toBeLessThan(2.1);

  await touch(cdp, 'touchStart', [middle]);
  for (let step = 1; step <= 6; step++) await touch(cdp, 'touchMove', [[middle[0] + 10 * step, middle[1]]]);
  await touch(cdp, 'touchEnd', []);
  await expect.poll(async () => (await drawn()).x - closer.x).toBeGreaterThan(40);
  expect((await drawn()).width).toBeCloseTo(closer.width, 0);
  // Looking about changes nothing of the room.
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);

  const tapsS = Date.now() / 1000;
  for (const atS of [tapsS, tapsS + 0.15]) {
    await touch(cdp, 'touchStart', [[box.x + 30, box.y + 30]], atS);
    await touch(cdp, 'touchEnd', [], atS + 0.05);
  }
  await expect(fit).toHaveCount(0);
  await expect.poll(async () => (await drawn()).x).toBeCloseTo(whole.x, 0);
});

test('the wheel brings the place under the pointer closer', async ({ page }) => {
  await page.goto(`${running.url}/rooms/demo-parlour/room`);
  const outline = (await heardSheet(page)).locator('path').first();
  const before = (await outline.boundingBox())!;
  const [x, y] = [before.x + before.width / 4, before.y + before.height / 4];
  await page.mouse.move(x, y);
  await page.mouse.wheel(0, -160);
  const shareOf = async () => {
    const after = (await outline.boundingBox())!;
    return [after.width / before.width, (x - after.x) / after.width, (y - after.y) / after.height];
  };
  await expect.poll(async () => (await shareOf())[0]).toBeGreaterThan(1.3);
  const [, across, down] = await shareOf();
  expect(across).toBeCloseTo(0.25, 1);
  expect(down).toBeCloseTo(0.25, 1);
});
