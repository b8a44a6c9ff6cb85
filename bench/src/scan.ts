import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { outlineOf, rectangleWalls } from '@maquette/core/room';
import { proposePlace, readScan } from '@maquette/core/scan';
import { normal, seeded } from '@maquette/core/units';
import { openBrowser } from './browser.ts';

/** A room of 8 by 5 m as a scanner sees it: two thirds floor, the rest walls and a table; binary PLY, 13 bytes a point. */
function plyOf(count: number): Uint8Array {
  const head = new TextEncoder().encode(
    `ply\nformat binary_little_endian 1.0\nelement vertex ${count}\nproperty float x\nproperty float y\nproperty float z\nproperty uchar confidence\nend_header\n`,
  );
  const bytes = new Uint8Array(head.length + count * 13);
  bytes.set(head);
  const view = new DataView(bytes.buffer);
  const chance = seeded(11);
  const [c, s] = [Math.cos(0.4), Math.sin(0.4)];
  for (let i = 0; i < count; i++) {
    let [x, y, z] = [chance() * 8, chance() * 5, 0.0015 * normal(chance)];
    const kind = i % 9;
    if (kind > 6) {
      const along = chance() * 26;
      z = chance() * 2;
      if (along < 8) [x, y] = [along, 0];
      else if (along < 13) [x, y] = [8, along - 8];
      else if (along < 21) [x, y] = [along - 13, 5];
      else [x, y] = [0, along - 21];
    } else if (x > 5 && x < 6 && y > 2 && y < 3) z += 0.72;
    else z += 0.006 * Math.exp(-((x - 2) ** 2 + (y - 2) ** 2) / 0.5);
    [c * x - s * y, s * x + c * y, z].forEach((value, axis) =>
      view.setFloat32(head.length + i * 13 + axis * 4, value, true),
    );
  }
  return bytes;
}

const plan = { corners: outlineOf(rectangleWalls(8000, 5000)).corners, islands: [] };
readScan(plyOf(200_000), null);
const seconds = (ms: number) => `${(ms / 1000).toFixed(2)} s`;
const per: number[] = [];
for (const millions of [1, 5]) {
  const bytes = plyOf(millions * 1e6);
  const started = performance.now();
  const { floor } = readScan(bytes, null);
  const read = performance.now() - started;
  proposePlace(plan, floor, []);
  const placed = performance.now() - started - read;
  per.push(read / millions);
  console.log(
    `Scan of ${millions} M points: read and floor found ${seconds(read)}, laid on the room ${seconds(placed)} (Node)`,
  );
}
console.log(`Growth, 5 M against 1 M for each point: ${(per[1]! / per[0]!).toFixed(2)} (1 is linear)`);

const [base] = process.argv.slice(2);
if (base) {
  const folder = mkdtempSync(join(tmpdir(), 'maquette-scan-'));
  const browser = await openBrowser();
  for (const millions of [1, 5]) {
    const file = join(folder, `${millions}.ply`);
    writeFileSync(file, plyOf(millions * 1e6));
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(`${base}/rooms/demo-boot-room/flat`);
    await page.getByRole('button', { name: 'Scan', exact: true }).click();
    await page.waitForTimeout(2500);
    await page.evaluate(() => {
      const held = window as unknown as { slow: number[]; chosen: number; shown: number };
      held.slow = [];
      new PerformanceObserver((list) => held.slow.push(...list.getEntries().map((e) => e.duration))).observe({
        type: 'longtask',
      });
      document.addEventListener('change', () => (held.chosen = performance.now()), true);
      new MutationObserver(() => {
        if (!held.shown && document.querySelector('[data-testid=laying]')) held.shown = performance.now();
      }).observe(document.body, { subtree: true, childList: true });
    });
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose the file' }).click();
    await (await chooser).setFiles(file);
    await page.getByTestId('laying').waitFor({ timeout: 60_000 });
    const { took, slow } = await page.evaluate(() => {
      const held = window as unknown as { slow: number[]; chosen: number; shown: number };
      return { took: held.shown - held.chosen, slow: held.slow };
    });
    console.log(
      `Scan of ${millions} M points in Chromium: file chosen to floor shown ${seconds(took)}; tasks over 50 ms on the page: ${slow.length}${slow.length > 0 ? `, longest ${Math.max(...slow).toFixed(0)} ms` : ''}`,
    );
    await page.close();
  }
  await browser.close();
  rmSync(folder, { recursive: true, force: true });
}
