import { assessRoom, roomSet } from '@maquette/core';
import { achievedOf, type Achieved } from '@maquette/core/flat';
import { findCard } from '@maquette/core/coverings';
import { evidenceOf } from '@maquette/core/formats/evidence';
import type { Said } from '@maquette/core/said';
import { inWords } from '@maquette/words';
import '@maquette/words/rest';
import { normal, seeded } from '@maquette/core/units';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readBook, readRoomFacts } from '../store/facts.ts';
import { openStore } from '../store/open.ts';
import { DEMO_CARDS } from './seed-under.ts';
import { seedDemo } from './seed.ts';

/** When the demo is seeded: the same for every run. */
const SEEDED = '2026-10-06T07:00:00.000Z';

test('the demo’s rooms stand where the story says: one inside the rule, one to level, one half read', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  const store = await openStore(folder, join(__dirname, '../../migrations'));
  await seedDemo(store, async () => true, SEEDED);
  const { rooms } = await readBook(store.db);
  const verdicts: Record<string, string> = {};
  const covered: Record<string, number> = {};
  const staffs: Record<string, number> = {};
  const achieved: Record<string, Achieved[]> = {};
  for (const room of rooms) {
    const flat = await readRoomFacts(store.db, room.id);
    const set = roomSet(room, findCard(DEMO_CARDS, room.cardId)!, flat!);
    const assessment = assessRoom(set, '2026-05-04T12:00:00Z', { parts: ['strip', 'flat'] });
    verdicts[room.name] = assessment.verdict;
    achieved[room.name] = achievedOf(flat!.works, assessment.flat?.heights.heights ?? []);
    staffs[room.name] = assessment.flat?.heights.heights.length ?? 0;
    covered[room.name] = assessment.flat?.evidence.coveredShare ?? 0;
  }
  store.close();
  rmSync(folder, { recursive: true, force: true });
  expect(verdicts).toMatchObject({
    'Boot room': 'lay',
    Parlour: 'work',
    'Reading room': 'work',
    Kitchen: 'stop',
    Landing: 'work',
  });
  // The boot room's low was filled and read again: what came of it lies within a millimetre of what was meant.
  expect(achieved['Boot room']![0]).toMatchObject({ waiting: [] });
  expect(achieved['Boot room']![0]!.reread.length).toBeGreaterThan(3);
  expect(achieved['Boot room']![0]!.rmsOffMm).toBeLessThan(1);
  // The landing is known by its scan: a handful of staffs hold it.
  expect(covered['Landing']).toBeGreaterThan(0.99);
  expect(staffs['Landing']).toBeLessThan(12);
  expect(covered['Hall']).toBeLessThan(0.7);
  expect(covered['Reading room']).toBeGreaterThan(0.99);
});

/** Everything that is said anywhere in a structure, in words. */
function sayings(value: unknown): string[] {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return [];
  if ('code' in value && 'values' in value) return [inWords(value as Said, 'metric')];
  return [...(Array.isArray(value) || value instanceof Map ? value.values() : Object.values(value))].flatMap(sayings);
}

test('no sentence about the demo’s rooms shows a time as a machine writes it', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  const store = await openStore(folder, join(__dirname, '../../migrations'));
  await seedDemo(store, async () => true, SEEDED);
  const said: string[] = [];
  for (const room of (await readBook(store.db)).rooms) {
    const facts = (await readRoomFacts(store.db, room.id))!;
    const parts = ['strip', 'damp', 'sound', 'flat'] as const;
    const assessment = assessRoom(roomSet(room, findCard(DEMO_CARDS, room.cardId)!, facts), '2026-05-04T12:00:00Z', {
      parts,
    });
    const lines = evidenceOf({ facts, results: assessment.damp!.results, versions: new Map() });
    said.push(...sayings(assessment), ...sayings(lines));
  }
  store.close();
  rmSync(folder, { recursive: true, force: true });
  expect(said.length).toBeGreaterThan(200);
  expect(said.filter((words) => /\dT\d\d:/.test(words))).toEqual([]);
});

test('chance is the same at every run and spread as it should be', () => {
  const [a, b] = [seeded(41), seeded(41)];
  expect(Array.from({ length: 5 }, a)).toEqual(Array.from({ length: 5 }, b));
  const draws = Array.from({ length: 4000 }, () => normal(a));
  const mean = draws.reduce((x, y) => x + y, 0) / draws.length;
  const deviation = Math.sqrt(draws.reduce((x, y) => x + (y - mean) ** 2, 0) / draws.length);
  expect(Math.abs(mean)).toBeLessThan(0.06);
  expect(Math.abs(deviation - 1)).toBeLessThan(0.05);
});
