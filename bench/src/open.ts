import { BLANK_JOB } from '@maquette/core/job';
import { BLANK_SHAPE } from '@maquette/core/room';
import { JOB_FILE_VERSION } from '@maquette/facts';
import { openBrowser } from './browser.ts';

/** How fast a big job opens on a slow phone: thirty rooms of three hundred readings, the processor four times slower. */
const [base] = process.argv.slice(2);
const ROOMS = 30;
const READINGS = 300;
const SLOWER = 4;
const at = '2026-05-04T08:00:00.000Z';

const fact = (kind: string, id: string, roomId: string | null, body: object) => ({
  ...{ kind, id, roomId, version: 1, writeId: `${id}-w`, updatedAt: at, deletedAt: null, body, replaced: [] },
});
const facts = [fact('jobs', 'big-job', null, { name: 'Big', ...BLANK_JOB, rank: -1 })];
for (let r = 0; r < ROOMS; r++) {
  const roomId = `big-room-${r}`;
  const [wide, deep] = [6000 + 100 * (r % 7), 4500 + 100 * (r % 5)];
  facts.push(
    fact('rooms', roomId, null, {
      jobId: 'big-job',
      name: `Room ${r + 1}`,
      rank: r,
      walls: [wide, deep, wide, deep].map((lengthMm) => ({ lengthMm, turnDeg: 90 })),
      ...BLANK_SHAPE,
      baseKind: 'slab-on-ground',
      cardId: 'shipped-click-vinyl',
      units: 'metric',
      spacingMm: null,
      contactsOnly: false,
    }),
    fact('setups', `${roomId}-s`, roomId, { name: 'A', openRodMm: 1300, closeRodMm: 1300.2, startedAt: at }),
  );
  for (let n = 0; n < READINGS; n++) {
    const [x, y] = [
      150 + (n % 20) * Math.floor((wide - 300) / 19),
      150 + Math.floor(n / 20) * Math.floor((deep - 300) / 14),
    ];
    facts.push(
      fact('readings', `${roomId}-r${n}`, roomId, {
        setupId: `${roomId}-s`,
        stationKey: `p${x}:${y}`,
        xMm: x,
        yMm: y,
        rodMm: Math.round(10 * (1300 - 4 * Math.sin(x / 900 + r) * Math.cos(y / 700))) / 10,
        takenAt: new Date(Date.parse(at) + n * 1000).toISOString(),
        note: '',
      }),
    );
  }
}
const answer = await fetch(`${base}/api/job-files`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({ format: 'maquette-job', version: JOB_FILE_VERSION, writtenAt: at, facts }),
});
if (!answer.ok) throw new Error(`the job was refused: ${(await answer.text()).slice(0, 400)}`);

const browser = await openBrowser();
const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
const judged = () => page.getByRole('link', { name: /^Room \d+: / });
await page.goto(base!);
await judged()
  .nth(ROOMS - 1)
  .waitFor({ timeout: 300_000 });
// The service worker and the cache have what they need once the page has been still for a moment.
await page.waitForTimeout(5000);
const session = await page.context().newCDPSession(page);
await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });

async function opened(what: string, path: string, ready: () => Promise<unknown>): Promise<void> {
  const times: number[] = [];
  for (let n = 0; n < 3; n++) {
    await page.goto('about:blank');
    const started = performance.now();
    await page.goto(base + path, { waitUntil: 'commit' });
    await ready();
    times.push(performance.now() - started);
    await page.waitForTimeout(1500);
  }
  times.sort((a, b) => a - b);
  console.log(
    `  ${what}: ${(times[1]! / 1000).toFixed(2)} s (of three: ${times.map((t) => (t / 1000).toFixed(2)).join(', ')})`,
  );
}

console.log(`${ROOMS} rooms of ${READINGS} readings, processor ${SLOWER} times slower:`);
await opened('site book with all verdicts', '/', () =>
  judged()
    .nth(ROOMS - 1)
    .waitFor({ timeout: 120_000 }),
);
await opened('a room judged', '/rooms/big-room-3/flat', () =>
  page.getByRole('button', { name: 'Verdict', exact: true }).waitFor({ timeout: 120_000 }),
);
await browser.close();
