import { BLANK_JOB } from '@maquette/core/job';
import { JOB_FILE_VERSION } from '@maquette/facts';
import { BLANK_SHAPE } from '@maquette/core/room';
import { openBrowser } from './browser.ts';

/** Ten thousand survey readings in one room: how smoothly the sheet is moved and the log is gone through. */
const [base] = process.argv.slice(2);
const COUNT = 10_000;
const SECONDS = 3;
const at = '2026-05-04T08:00:00.000Z';

const fact = (kind: string, id: string, roomId: string | null, body: object) => ({
  kind,
  id,
  roomId,
  version: 1,
  writeId: `${id}-w`,
  updatedAt: at,
  deletedAt: null,
  body,
  replaced: [],
});

const [wideMm, deepMm] = [12_000, 8_000];
const room = {
  jobId: 'many-job',
  name: 'Many',
  rank: 0,
  walls: [wideMm, deepMm, wideMm, deepMm].map((lengthMm) => ({ lengthMm, turnDeg: 90 })),
  ...BLANK_SHAPE,
  baseKind: 'slab-on-ground',
  cardId: 'shipped-click-vinyl',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};
const facts = [
  fact('jobs', 'many-job', null, { name: 'Bench', ...BLANK_JOB, rank: 98 }),
  fact('rooms', 'many-room', null, room),
];
for (let n = 0; n < COUNT; n++) {
  const [column, row] = [n % 125, Math.floor(n / 125)];
  facts.push(
    fact('dampTests', `many-t${n}`, 'many-room', {
      method: 'survey',
      name: `S${n}`,
      xMm: 40 + column * 95,
      yMm: 40 + row * 99,
      startedAt: null,
      depthMm: null,
      startG: null,
      areaM2: null,
      of: 'base',
      offsetPercent: 0,
      compensates: false,
      instrument: 'meter',
      checkedOn: '',
      note: '',
    }),
    fact('dampReadings', `many-r${n}`, 'many-room', {
      testId: `many-t${n}`,
      takenAt: new Date(Date.parse(at) + n * 1000).toISOString(),
      value: Math.round((2 + Math.sin(column / 20) + Math.cos(row / 15)) * 100) / 100,
      sampleG: null,
      tempC: null,
      who: '',
      note: '',
    }),
  );
}
const answer = await fetch(`${base}/api/job-files`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({ format: 'maquette-job', version: JOB_FILE_VERSION, writtenAt: at, facts }),
});
if (!answer.ok) throw new Error(`the job was refused: ${(await answer.text()).slice(0, 400)}`);

const browser = await openBrowser();
const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
const opened = performance.now();
await page.goto(`${base}/rooms/many-room/damp`);
await page.getByTestId('guide').waitFor();
await page.getByRole('radio', { name: /^Survey/ }).click();
await page.getByRole('button', { name: /^Show 30 more tests/ }).waitFor({ timeout: 60_000 });
console.log(`${COUNT} readings: opened and judged in ${((performance.now() - opened) / 1000).toFixed(1)} s`);

async function frames(what: string, move: string): Promise<void> {
  await page.waitForTimeout(1500);
  const times = await page.evaluate(
    async ({ move, seconds }) => {
      const step = new Function('share', 'first', move) as (share: number, first: boolean) => void;
      const taken: number[] = [];
      const started = performance.now();
      let last = started;
      await new Promise<void>((resolve) => {
        const frame = (now: number) => {
          taken.push(now - last);
          last = now;
          if (now - started > seconds * 1000) return resolve();
          step((now - started) / (seconds * 1000), taken.length === 1);
          requestAnimationFrame(frame);
        };
        requestAnimationFrame(frame);
      });
      return taken.slice(2);
    },
    { move, seconds: SECONDS },
  );
  const sorted = [...times].sort((a, b) => a - b);
  const fps = (1000 * times.length) / times.reduce((sum, t) => sum + t, 0);
  console.log(
    `  ${what}: ${fps.toFixed(0)} frames a second, slowest twentieth ${sorted[Math.floor(sorted.length * 0.95)]!.toFixed(0)} ms a frame`,
  );
}

await frames(
  'sheet moved',
  `const sheet = document.querySelector('[data-testid=sheet]');
   const box = sheet.getBoundingClientRect();
   sheet.setPointerCapture = () => undefined;
   const send = (type, dx) => sheet.dispatchEvent(new PointerEvent(type,
     { pointerId: 1, buttons: 1, clientX: box.left + 60 + dx, clientY: box.top + 60, bubbles: true }));
   if (first) send('pointerdown', 0);
   send('pointermove', 60 * Math.sin(share * 12));`,
);
await page.getByRole('button', { name: 'Log', exact: true }).click();
await page.getByText(/^\d+ entries$/).waitFor();
await frames(
  'log gone through',
  `const list = [...document.querySelectorAll('div')].filter((d) => d.scrollHeight > d.clientHeight + 200 && /auto|scroll/.test(getComputedStyle(d).overflowY)).pop();
   list.scrollTop += 60;`,
);
await browser.close();
