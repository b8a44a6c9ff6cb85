import { bodyOf } from '@maquette/facts';
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import type { RoomLists } from '@maquette/facts';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../..');

/** What has no width: files, durability, units. It is tried at a phone's width alone. */
export const ONCE = { tag: '@once' };

/** What is worked out, made or sent first: much longer on a busy machine, where all of a test is. */
export const LONG = { timeout: 150_000 };

/** A server of the test's own, on a data folder of its own. */
export interface Running {
  url: string;
  /** How far its clock is ahead of this machine's. */
  aheadMs: () => Promise<number>;
  /** Stops it as a power cut would. */
  kill: () => Promise<void>;
  /** Starts it again on the same port and data. */
  start: () => Promise<void>;
  close: () => Promise<void>;
}

/**
 * What is due, what is open today and how pages are filled depends on the hour: tests of the demo have one of their own, a
 * Tuesday before work begins. MAQUETTE_E2E_CLOCK sets another, to try what it looks like then.
 */
const CLOCK = Date.parse(process.env['MAQUETTE_E2E_CLOCK'] ?? '2026-10-06T07:02:00Z');

export async function serve(demo = true): Promise<Running> {
  const data = mkdtempSync(join(tmpdir(), 'maquette-e2e-'));
  const begunMs = Date.now();
  const clock = () => new Date(CLOCK + Date.now() - begunMs).toISOString();
  let child: ChildProcess | null = null;
  let port = 0;
  const start = () =>
    new Promise<void>((resolve, reject) => {
      const started = spawn(
        process.execPath,
        // However full the disk of this machine is, it is not what is tried.
        [
          'dist/server/main.mjs',
          ...(demo ? ['--demo', '--clock', clock()] : []),
          '--port',
          String(port),
          '--data',
          data,
          '--disk-low',
          '0',
        ],
        { cwd: ROOT },
      );
      child = started;
      let said = '';
      started.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
      started.stdout.on('data', (chunk: Buffer) => {
        said += chunk.toString();
        const open = /http:\/\/127\.0\.0\.1:(\d+)/.exec(said);
        if (!open) return;
        port = Number(open[1]);
        resolve();
      });
      started.on('exit', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
    });
  const kill = () =>
    new Promise<void>((resolve) => {
      if (!child || child.exitCode !== null) return resolve();
      child.on('exit', () => resolve());
      child.kill('SIGKILL');
      child = null;
    });
  await start();
  const url = `http://127.0.0.1:${port}`;
  return {
    url,
    aheadMs: async () => {
      const said = (await fetch(`${url}/api/health`)).headers.get('x-maquette-time')!;
      return demo ? Date.parse(said) - Date.now() : 0;
    },
    kill,
    start,
    close: async () => {
      await kill();
      rmSync(data, { recursive: true, force: true });
    },
  };
}

/** The sheet, once it hears fingers: it is drawn a moment before. */
export async function heardSheet(page: Page) {
  const sheet = page.getByTestId('sheet');
  await expect(sheet).toHaveAttribute('aria-busy', 'false');
  return sheet;
}

/** Where the sheet stands on the screen, once it hears fingers. */
export const sheetBox = async (page: Page) => (await (await heardSheet(page)).boundingBox())!;

/** Keys a metric reading on the pad and takes it. */
export async function key(page: Page, digits: string, take = 'Take'): Promise<void> {
  // The first reading of a floor comes after the way of reading it.
  const staff = page.getByRole('button', { name: 'Staff and laser' });
  await staff
    .or(page.getByRole('button', { name: '7', exact: true }))
    .first()
    .waitFor();
  if (await staff.isVisible()) await staff.click();
  for (const digit of digits)
    await page.getByRole('button', { name: digit === '.' ? 'point' : digit, exact: true }).click();
  await page.getByRole('button', { name: take, exact: true }).click();
}

export async function newRoom(page: Page, url: string, name: string, width: string, depth: string): Promise<string> {
  await page.goto(url);
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('textbox', { name: 'What the job is called' }).fill('Ferry Cottage');
  await page.getByRole('button', { name: 'Add the job' }).click();
  await page.getByRole('textbox', { name: 'What the room is called' }).fill(name);
  await page.getByRole('textbox', { name: 'Along the door wall' }).fill(width);
  await page.getByRole('textbox', { name: 'Across it' }).fill(depth);
  await page.getByRole('textbox', { name: 'Across it' }).blur();
  await page.getByRole('button', { name: 'Add the room' }).click();
  await page.waitForURL(/\/rooms\/[^/]+\/room/);
  return /rooms\/([^/]+)\//.exec(page.url())![1]!;
}

/** From the verdict on: three edges laid where the app asks for them, with nothing under any; back at the verdict. */
export async function layToBreak(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Try to break it' }).click();
  for (let n = 0; n < 3; n++) {
    await page.getByText('it would best break the verdict').waitFor();
    await page.getByRole('button', { name: 'No gap' }).click();
    await expect(page.getByRole('button', { name: 'Edges laid' })).toContainText(`${n + 1}`);
  }
  await page.getByRole('button', { name: 'Verdict' }).click();
}

/** No violation of the rules axe knows for WCAG 2 A and AA. */
export async function accessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`)).toEqual([]);
}

export const facts = async (url: string, room: string) =>
  (await (await fetch(`${url}/api/rooms/${room}/facts`)).json()) as {
    readings: { id: string; rodMm: number; stationKey: string; version: number }[];
    setups: { openRodMm: number; closeRodMm: number | null }[];
    edgeWalks: { asked: boolean }[];
  };

/** Keys a length on the pad that a field's own key opens. */
export async function pad(page: Page, label: string | RegExp, digits: string): Promise<void> {
  const name =
    typeof label === 'string' ? `Key ${label} on the pad` : new RegExp(`Key ${label.source.replace(/^\^/, '')}`);
  await page.getByRole('button', { name }).click();
  await key(page.getByRole('dialog') as unknown as Page, digits);
}

/** Everything stored of a room. */
export const roomFacts = async (url: string, room: string) =>
  (await (await fetch(`${url}/api/rooms/${room}/facts`)).json()) as RoomLists;

/** Takes the last step back. What follows it can take longer than the way back is shown for: looked for, it is shown again. */
export async function takeBack(page: Page, name: string | RegExp = 'Undo'): Promise<void> {
  await page.getByRole('button', { name: /: what waits$/ }).click();
  await page.getByRole('button', { name }).click();
}

/** Waits until the app is on the device: from then on the worker that keeps it stands between the page and the server. */
export async function shellKept(page: Page): Promise<void> {
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.waitForFunction(
    async () =>
      (await caches.keys()).some((name) => name.startsWith('shell-')) && navigator.serviceWorker.controller !== null,
  );
}

/** Another covering than the demo's own, as another device would choose it. */
export async function coveredBy(url: string, roomId: string, cardId: string): Promise<void> {
  const book = (await (await fetch(`${url}/api/book`)).json()) as {
    rooms: (object & { id: string; version: number })[];
  };
  const held = book.rooms.find(({ id }) => id === roomId)!;
  const answer = await fetch(`${url}/api/rooms/${roomId}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      ...bodyOf(held),
      cardId,
      baseVersion: held.version,
      writeId: `covered-${randomUUID()}`,
      deleted: false,
    }),
  });
  expect(answer.ok).toBe(true);
}
