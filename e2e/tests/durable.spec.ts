import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { killedOver } from '../../bench/src/killed-over.ts';
import { liedTo } from '../../bench/src/lied-to.ts';
import { ONCE } from './app.ts';

// Short runs of what `npm run bench -- durable` does at length.
const within = async <T>(work: (folder: string) => Promise<T>): Promise<T> => {
  const folder = mkdtempSync(join(tmpdir(), 'maquette-durable-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};

test('a server killed again and again under six writers loses nothing that it acknowledged', ONCE, async () => {
  const { facts, pictures, ...bad } = await within((folder) => killedOver(folder, 8));
  expect(facts).toBeGreaterThan(10);
  expect(pictures).toBeGreaterThan(0);
  expect(bad).toEqual({ lost: 0, twice: 0, wrong: 0, lostPictures: 0 });
});

test('writes through a network that lies about one in three arrive once each', ONCE, async () => {
  expect(await within((folder) => liedTo(folder, 60))).toEqual({ lost: 0, twice: 0 });
});
