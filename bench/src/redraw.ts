import { BLANK_JOB } from '@maquette/core/job';
import { BLANK_SHAPE } from '@maquette/core/room';
import type { CDPSession, Page } from '@playwright/test';
import { openBrowser, putTo } from './browser.ts';

/** Reading keyed to sheet redrawn in Chromium: a room of 40 m2 with 40 readings, plain and at 4x CPU throttle. */
const [base] = process.argv.slice(2);
const browser = await openBrowser();
const put = putTo(base!);

const write = (writeId: string) => ({ baseVersion: 0, writeId, deleted: false });

async function makeRoom(id: string): Promise<void> {
  const walls = [8000, 5000, 8000, 5000].map((lengthMm) => ({ lengthMm, turnDeg: 90 }));
  await put(`/api/jobs/${id}-job`, { ...write(`${id}-w1`), name: 'Bench', ...BLANK_JOB, rank: 99 });
  await put(`/api/rooms/${id}`, {
    ...write(`${id}-w2`),
    jobId: `${id}-job`,
    name: 'Bench',
    rank: 0,
    walls,
    ...BLANK_SHAPE,
    baseKind: 'slab-on-ground',
    cardId: 'shipped-click-vinyl',
    units: 'metric',
    spacingMm: 1000,
    contactsOnly: false,
  });
  await put(`/api/rooms/${id}/setups/${id}-s`, {
    ...write(`${id}-w3`),
    name: 'A',
    openRodMm: 1000,
    closeRodMm: null,
    startedAt: '2026-05-04T08:00:00.000Z',
  });
  for (let n = 0; n < 39; n++) {
    const [x, y] = [100 + (n % 9) * 975, 100 + Math.floor(n / 9) * 960];
    const rodMm = Math.round((1000 + 4 * Math.sin(x / 900) * Math.cos(y / 1100)) * 10) / 10;
    await put(`/api/rooms/${id}/readings/${id}-${n}`, {
      ...write(`${id}-r${n}`),
      setupId: `${id}-s`,
      stationKey: `p${Math.round(x)}:${Math.round(y)}`,
      xMm: x,
      yMm: y,
      rodMm,
      takenAt: new Date(1777881600000 + n * 1000).toISOString(),
      note: '',
    });
  }
}

/** Time from Enter to the last change of the map's shapes, ms. */
async function keyedToRedrawn(page: Page, rod: string): Promise<number> {
  await page.keyboard.type(rod);
  await page.evaluate(() => {
    const held = window as unknown as { started: number; changed: number };
    held.changed = 0;
    window.addEventListener('keydown', () => (held.started = performance.now()), { once: true, capture: true });
    new MutationObserver((list) => {
      if (list.some((m) => m.attributeName === 'd')) requestAnimationFrame(() => (held.changed = performance.now()));
    }).observe(document.querySelector('[data-testid=sheet]')!, {
      subtree: true,
      attributes: true,
      attributeFilter: ['d'],
    });
  });
  await page.keyboard.press('Enter');
  await page.waitForTimeout(1500);
  return page.evaluate(() => {
    const { started, changed } = window as unknown as { started: number; changed: number };
    return changed - started;
  });
}

for (const rate of [1, 4]) {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  const id = `bench-redraw-${rate}-${Date.now()}`;
  await makeRoom(id);
  await page.goto(`${base}/rooms/${id}/flat`);
  await page.getByText(/Read station/).waitFor();
  await page.waitForTimeout(1500);
  const session: CDPSession = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate });
  // Whoever has forty readings has keyed them: the first few here stand for those, and warm the worker as they would.
  for (const rod of ['1001', '1002', '1000.5', '1003', '999', '1000']) await keyedToRedrawn(page, rod);
  const times: number[] = [];
  for (const rod of ['1001', '1002', '1000.5', '1003', '999', '1000', '1002.5'])
    times.push(await keyedToRedrawn(page, rod));
  times.sort((a, b) => a - b);
  console.log(
    `Reading keyed to sheet redrawn, 40 m2, 40 readings, CPU throttle ${rate}x: median ${times[3]!.toFixed(0)} ms, worst ${times[6]!.toFixed(0)} ms`,
  );
  await page.close();
}
await browser.close();
