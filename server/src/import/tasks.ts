import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { SaidProblem } from '@maquette/facts';
import { newId } from '../store/new-id.ts';
import { unpackBundle, type Unpacked } from './bundle-file.ts';
import { copied } from './copied.ts';
import { landPart, landRest, takeBackPart, unseenParts, type Part } from './land.ts';
import { Stopped, type Gauge } from './progress.ts';
import { readFile, type ReadPicture } from './read-file.ts';
import { NotJson, TooLarge } from './slices.ts';
import { compare, noteUnseen, openStaged, stage, type Clash } from './staged.ts';

/*
 * What an import does in a thread of its own, step by step: each is called by name and says what it found as plain data.
 */

interface Where {
  /** The import's own folder, and the store's. */
  importFolder: string;
  dataFolder: string;
}

/** Puts the job file of a bundle in its place, where a bundle was sent. */
export const unpack = async ({ importFolder }: Pick<Where, 'importFolder'>): Promise<Unpacked> =>
  unpackBundle(importFolder);

export type StageResult =
  | { is: 'refused'; problems: SaidProblem[] }
  | { is: 'not JSON'; line: number }
  | { is: 'too large' }
  | { is: 'stopped' }
  | { is: 'clash'; clashes: Clash[] }
  | {
      is: 'staged';
      jobId: string;
      stored: number;
      unchanged: number;
      lastOrder: number;
      pictures: ReadPicture[];
      parts: Part[];
    };

/** Says in an import's folder that rows of it may lie in the store. */
const LANDING = 'landing';

async function withStaged<T>(
  { importFolder, dataFolder }: Where,
  work: (client: Awaited<ReturnType<typeof openStaged>>) => Promise<T>,
): Promise<T> {
  const client = await openStaged(importFolder, dataFolder);
  try {
    return await work(client);
  } finally {
    client.close();
  }
}

/** Reads the file, checks all of it, and puts it together beside the store: nothing of the store is changed. */
export async function stageJob({
  copy,
  gauge,
  ...where
}: Where & { copy: boolean; gauge: Gauge }): Promise<StageResult> {
  try {
    const file = await readFile(where.importFolder, gauge);
    if (!file.ok) return { is: 'refused', problems: file.problems };
    const { facts, ids } = copy ? copied(file.facts, newId) : { facts: file.facts, ids: new Map<string, string>() };
    const pictures = file.pictures.map((one) => ({ ...one, photoId: ids.get(one.photoId) ?? one.photoId }));
    return await withStaged(where, async (client) => {
      await stage(client, facts, gauge);
      const { clashes, unchanged } = await compare(client);
      if (clashes.length > 0) return { is: 'clash', clashes };
      await noteUnseen(client);
      return {
        is: 'staged',
        jobId: facts.find(({ kind }) => kind === 'jobs')?.id ?? '',
        stored: facts.length - unchanged,
        unchanged,
        lastOrder: facts.reduce((last, { order = 0 }, index) => Math.max(last, order, index + 1), 0),
        pictures,
        parts: await unseenParts(client),
      };
    });
  } catch (error) {
    if (error instanceof NotJson) return { is: 'not JSON', line: error.line };
    if (error instanceof TooLarge) return { is: 'too large' };
    if (error instanceof Stopped) return { is: 'stopped' };
    throw error;
  }
}

/** Puts some rows into the store that nobody can see yet. */
export async function land({ part, ...where }: Where & { part: Part }): Promise<void> {
  writeFileSync(join(where.importFolder, LANDING), '');
  await withStaged(where, (client) => landPart(client, part));
}

/** Puts in the rest: from then on the job is there. */
export async function landLast({
  pictures,
  now,
  ...where
}: Where & { pictures: readonly ReadPicture[]; now: string }): Promise<void> {
  await withStaged(where, (client) => landRest(client, where.dataFolder, pictures, now));
}

/** What an import that did not come to its end has in the store. */
export const leftBy = async (where: Where): Promise<Part[]> =>
  existsSync(join(where.importFolder, LANDING)) ? withStaged(where, unseenParts) : [];

/** Takes some of it out again. */
export const takeBack = ({ part, ...where }: Where & { part: Part }): Promise<void> =>
  withStaged(where, (client) => takeBackPart(client, part));

/** Takes away what an import needed to work. */
export async function clear({ importFolder }: Where): Promise<void> {
  rmSync(importFolder, { recursive: true, force: true });
}
