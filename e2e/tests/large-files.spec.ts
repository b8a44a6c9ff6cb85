import { writeFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { accessible, newRoom, roomFacts, serve, type Running, ONCE } from './app.ts';

let running: Running;
test.beforeEach(async () => {
  running = await serve(false);
});
test.afterEach(() => running.close());

test(
  'a job file that is wrong is told line by line, one that is large can be stopped',
  ONCE,
  async ({ page }, info) => {
    const id = await newRoom(page, running.url, 'Store', '2000', '1600');
    await expect(page.getByTestId('sending')).toHaveText('all sent');
    const { rooms } = (await (await fetch(`${running.url}/api/book`)).json()) as {
      rooms: { id: string; jobId: string }[];
    };
    const { jobId } = rooms.find((room) => room.id === id)!;
    const file = await (await fetch(`${running.url}/api/jobs/${jobId}/file`)).json();
    const choose = async (text: string) => {
      const path = info.outputPath('job.json');
      writeFileSync(path, text);
      const chooser = page.waitForEvent('filechooser');
      await page.getByRole('button', { name: 'Bring a job in' }).click();
      await (await chooser).setFiles(path);
    };
    await page.goto(running.url);
    await choose(JSON.stringify(file, null, 1).replace('"lengthMm": 2000', '"lengthMm": -2'));
    const card = page.getByRole('alert');
    await expect(card.getByText('job.json was not taken, and nothing of it is in the book.')).toBeVisible();
    await expect(card.getByText(/^Line \d+: facts\[1\]\.body\.walls\[0\]\.lengthMm is -2, and takes /)).toBeVisible();
    await accessible(page);
    await card.getByRole('button', { name: 'Close' }).click();
    // Thousands of checks: long enough to be seen on its way.
    const check = (n: number) => ({
      ...{ kind: 'checks', id: `check-${n}`, roomId: id, version: 1, writeId: `w-${n}`, deletedAt: null, replaced: [] },
      ...{ updatedAt: '2026-05-04T08:00:00.000Z' },
      body: { key: `k${n}`, found: false, takenAt: '2026-05-04T08:00:00.000Z', note: '' },
    });
    const facts = [...file.facts, ...Array.from({ length: 20_000 }, (_, n) => check(n))];
    await choose(JSON.stringify({ ...file, facts }));
    await expect(page.getByText(/^(Checking every fact|Putting it in the book), \d+ % …$/)).toBeVisible();
    await page.getByRole('button', { name: 'Stop. nothing of it is kept' }).click();
    await expect(page.getByText('job.json was stopped: nothing of it is in the book.')).toBeVisible();
    await expect.poll(async () => (await roomFacts(running.url, id)).checks.length).toBe(0);
    // The same file again is a copy beside the job that is here, where it is asked for.
    await choose(JSON.stringify({ ...file, facts: file.facts.map((f: object) => ({ ...f, writeId: 'other' })) }));
    await page.getByRole('button', { name: 'Bring it in as a copy' }).click();
    await page.waitForURL(/\/jobs\//);
  },
);

test('a table of a million lines is read in part, and says so', ONCE, async ({ page }, info) => {
  await newRoom(page, running.url, 'Store', '2000', '1600');
  await page.getByRole('button', { name: /^Flat: / }).click();
  await page.getByRole('button', { name: 'Readings in and out' }).click();
  await page.getByRole('button', { name: 'Bring in readings' }).click();
  const path = info.outputPath('log.csv');
  writeFileSync(path, `x,y,rod\n${'100,200,1340.5\n'.repeat(1_000_000)}`);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a file' }).click();
  await (await chooser).setFiles(path);
  await expect(
    page.getByText('log.csv has 1,000,001 lines: the first 20,000 were read, the others were not.'),
  ).toBeVisible();
  await expect(page.getByText('5000 readings understood in log.csv')).toBeVisible();
});
