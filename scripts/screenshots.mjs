// node scripts/screenshots.mjs: refreshes docs/screenshots from the demo data, at a phone's size and wide.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildApp, buildServer, install, ROOT } from './steps.mjs';

await install();
await buildApp();
await buildServer();
const { chromium } = await import('@playwright/test');
const data = mkdtempSync(join(tmpdir(), 'maquette-shots-'));
const server = spawn(
  process.execPath,
  ['dist/server/main.mjs', '--demo', '--port', '0', '--data', data, '--disk-low', '0'],
  {
    cwd: ROOT,
  },
);
const base = await new Promise((resolve) => {
  server.stdout.on('data', (chunk) => {
    const address = /http\S+/.exec(String(chunk));
    if (address) resolve(address[0]);
  });
});
const out = join(ROOT, 'docs/screenshots');
mkdirSync(out, { recursive: true });
const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args });

const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

async function shot(name, viewport, path, act = async () => undefined) {
  // `node scripts/screenshots.mjs site-book` refreshes only the views that begin so.
  if (process.argv[2] && !name.startsWith(process.argv[2])) return;
  const page = await browser.newPage({ viewport });
  await page.goto(base + path);
  await page.waitForTimeout(path === '/' ? 12_000 : 3500);
  await act(page);
  await page.waitForTimeout(1200);
  await page.screenshot({ path: join(out, `${name}.png`) });
  await page.close();
  console.log(name);
}

/** The first page of a report as a picture, where the tool that draws PDF is installed (Debian: poppler-utils). */
async function reportPage(name, path) {
  if (process.argv[2] && !name.startsWith(process.argv[2])) return;
  const pdf = join(data, 'report.pdf');
  writeFileSync(pdf, new Uint8Array(await (await fetch(base + path)).arrayBuffer()));
  const { status } = spawnSync('pdftoppm', ['-png', '-r', '96', '-l', '1', '-singlefile', pdf, join(out, name)]);
  console.log(status === 0 ? name : `${name} was left as it is: pdftoppm is not here`);
}

const button = (name) => (page) => page.getByRole('button', { name }).first().click();
await shot('site-book-phone', PHONE, '/');
const worked = async (page) => {
  await page.getByTestId('working').waitFor({ state: 'detached', timeout: 90_000 });
  await page.waitForTimeout(4000);
};
await shot('days-phone', PHONE, '/jobs/demo-fennimore-hall/days', async (page) => {
  await page.getByTestId('promise').waitFor({ timeout: 90_000 });
  await worked(page);
});
await shot('buy-phone', PHONE, '/jobs/demo-sluice-house/buy', async (page) => {
  await page.getByTestId('bill-total').waitFor({ timeout: 90_000 });
  await worked(page);
});
await shot('price-phone', PHONE, '/jobs/demo-sluice-house/price', async (page) => {
  await page.getByTestId('price-total').waitFor({ timeout: 90_000 });
  await worked(page);
});
await shot('record-phone', PHONE, '/jobs/demo-sluice-house/record', async (page) => {
  await page.getByTestId('hold-points').waitFor({ timeout: 60_000 });
  await button(/^Boot room: before the planks|^Boot room: before the pour/)(page);
});
await reportPage('report-page', '/api/jobs/demo-sluice-house/report?zone=Europe/London');
await shot('room-phone', PHONE, '/rooms/demo-kitchen/room');
await shot('decide-phone', PHONE, '/rooms/demo-wash-house/strip', button('Decide'));
await shot('strip-phone', PHONE, '/rooms/demo-wash-house/strip', button('Work'));
await shot('damp-phone', PHONE, '/rooms/demo-parlour/damp');
await shot('drying-wide', WIDE, '/rooms/demo-parlour/damp', async (page) => {
  await button('Drying')(page);
  await page.waitForTimeout(5000);
});
await shot('run-phone', PHONE, '/rooms/demo-hall/flat', async (page) => {
  await button(/Units: feet/)(page);
  await page.waitForTimeout(800);
  await page.keyboard.type('124');
});
await shot('opening-phone', PHONE, '/rooms/demo-parlour/heights', button('Openings'));
await shot('lay-wide', WIDE, '/rooms/demo-boot-room/lay', async (page) => {
  await page.getByTestId('plank-count').waitFor();
  await button('Cut')(page);
  await page.getByTestId('piece').waitFor();
});
await shot('ledger-phone', PHONE, '/jobs/demo-sluice-house/heights', async (page) => {
  await page.getByTestId('ledger-row').nth(6).waitFor();
  await page.getByText(/^Working out/).waitFor({ state: 'detached' });
});
await shot('under-phone', PHONE, '/rooms/demo-hall-wash-house/under', async (page) => {
  await button('Panels')(page);
  await page.getByTestId('panels-count').waitFor();
});
await shot('verdict-phone', PHONE, '/rooms/demo-parlour/flat', button('Verdict'));
await shot('level-phone', PHONE, '/rooms/demo-parlour/level', async (page) => {
  await page.getByRole('radio', { name: /^Grind the highs, fill the lows, £/ }).click();
  await button('Chalk')(page);
});
await shot('level-wide', WIDE, '/rooms/demo-parlour/level', async (page) => {
  await page.getByRole('radio', { name: /^Grind the highs, fill the lows, £/ }).click();
  await page.getByRole('radio', { name: /^Grind only, Not possible/ }).waitFor();
  await page.getByText('being worked out').waitFor({ state: 'hidden', timeout: 90_000 });
});
await browser.close();
server.kill('SIGTERM');
server.on('exit', () => rmSync(data, { recursive: true, force: true }));
