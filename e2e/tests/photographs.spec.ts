import { expect, test, type Page } from '@playwright/test';
import { LONG, newRoom, roomFacts, shellKept, ONCE } from './app.ts';
import { shareServer } from './share-server.ts';

// What is on the device has to be there without a server: the service worker's work.
test.use({ serviceWorkers: 'allow' });
const running = shareServer();

/** Writes that lie in the browser's own database, waiting to be sent. */
const onDisk = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opened = indexedDB.open('maquette-outbox');
        opened.onerror = () => reject(opened.error);
        opened.onsuccess = () => {
          const count = opened.result.transaction('writes').objectStore('writes').count();
          count.onsuccess = () => {
            opened.result.close();
            resolve(count.result);
          };
        };
      }),
  );

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });

test(
  'fifty photographs taken without signal survive a reload and arrive once each; removing one can be undone',
  ONCE,
  async ({ page }) => {
    const id = await newRoom(page, running.url, 'Photographed', '3000', '2000');
    await page.goto(`${running.url}/rooms/${id}/strip`);
    await button(page, 'Work').click();
    await button(page, 'What was found').click();
    await expect(page.getByRole('button', { name: /^Photograph the room/ })).toBeVisible();
    // The shell must be on the device before the signal goes.
    await shellKept(page);
    await running.kill();
    // Pictures the browser itself draws, 40 x 30 px, each of its own colour.
    const drawn = await page.evaluate(() =>
      Array.from({ length: 50 }, (_, i) => {
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [40, 30];
        const pen = canvas.getContext('2d')!;
        pen.fillStyle = `hsl(${i * 7} 60% 40%)`;
        pen.fillRect(0, 0, 40, 30);
        return canvas.toDataURL('image/png').split(',')[1]!;
      }),
    );
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: /^Photograph the room/ }).click();
    await (
      await chooser
    ).setFiles(
      drawn.map((png, i) => ({ name: `floor-${i}.png`, mimeType: 'image/png', buffer: Buffer.from(png, 'base64') })),
    );
    const shown = page.getByRole('button', { name: /^Photograph of/ });
    await expect(shown).toHaveCount(50);
    await expect.poll(() => onDisk(page)).toBe(50);
    await page.reload();
    await button(page, 'Work').click();
    await button(page, 'What was found').click();
    await expect(shown).toHaveCount(50);
    await running.start();
    const photos = async () => (await roomFacts(running.url, id)).photos;
    // Gone again in the middle of them.
    await expect.poll(async () => (await photos()).length, { intervals: [50] }).toBeGreaterThan(4);
    await running.kill();
    await expect(page.getByTestId('sending')).toHaveText(/waiting to send$/);
    await running.start();
    await expect.poll(async () => (await photos()).length, LONG).toBe(50);
    const hashes = async () =>
      new Set(
        await Promise.all(
          (await photos()).map(async (photo) => {
            const answer = await fetch(`${running.url}/api/rooms/${id}/photos/${photo.id}/picture`);
            return answer.ok ? Buffer.from(await answer.arrayBuffer()).toString('base64') : 'missing';
          }),
        ),
      );
    await expect.poll(async () => [(await hashes()).size, (await hashes()).has('missing')], LONG).toEqual([50, false]);
    await shown.first().click();
    page.once('dialog', (dialog) => void dialog.accept());
    await page.getByRole('button', { name: 'Remove photograph' }).click();
    await expect(shown).toHaveCount(49);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(shown).toHaveCount(50);
  },
);

test(
  'a file that is no picture is named beside the key; the pictures chosen with it are kept',
  ONCE,
  async ({ page }) => {
    const id = await newRoom(page, running.url, 'Wrong file', '3000', '2000');
    await page.goto(`${running.url}/rooms/${id}/strip`);
    await button(page, 'Work').click();
    await button(page, 'What was found').click();
    const choose = async (files: { name: string; mimeType: string; buffer: Buffer }[]) => {
      const chooser = page.waitForEvent('filechooser');
      await page.getByRole('button', { name: /^Photograph the room/ }).click();
      await (await chooser).setFiles(files);
    };
    const wrong = { name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('not a picture') };
    await choose([wrong]);
    await expect(page.getByRole('alert')).toContainText('notes.png: This file is not a picture');
    // Asked at once: the bar goes by itself after a while.
    expect(await page.getByText('0 photographs taken').count()).toBe(0);
    const png = await page.evaluate(() => document.createElement('canvas').toDataURL('image/png').split(',')[1]!);
    await choose([wrong, { name: 'floor.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') }]);
    await expect(page.getByRole('alert')).toContainText('notes.png');
    await expect(page.getByRole('button', { name: /^Photograph of/ })).toHaveCount(1);
    await expect(page.getByRole('status').getByText('Photograph taken', { exact: true })).toBeVisible();
  },
);
