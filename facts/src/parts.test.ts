import { assessRoom, PARTS, roomRunner, type RoomSet } from '@maquette/core';
import { inventedSet } from './invented-sets.ts';
import { ROOM_FACT_KINDS } from './kinds.ts';

const AT = '2026-05-06T16:00:00.000Z';
const SEEDS = [1, 2, 3, 5, 8, 13, 21, 34];
const read = (part: (typeof PARTS)[number]): readonly string[] => part.reads;

/** Kinds nobody judges by: pictures are evidence. */
const NOT_JUDGED = ['photos'];

test('facts of every kind are read by some part, or are known not to be judged', () => {
  const unread = ROOM_FACT_KINDS.filter((kind) => !PARTS.some((part) => read(part).includes(kind)));
  expect([...unread].sort()).toEqual(NOT_JUDGED);
});

test('no part looks at facts it has not said it reads: what it made of them would be kept too long', () => {
  for (const seed of SEEDS) {
    const set = inventedSet(seed);
    const states: Record<string, unknown> = {};
    for (const part of PARTS) {
      // What takes long: one judges by states alone, the other is the state of the one before it, drawn over and over.
      if (part.id === 'sure' || part.id === 'levelling') continue;
      const seen = new Set<string>();
      const watched = new Proxy(set, {
        get: (of, name) => (seen.add(String(name)), of[name as keyof RoomSet]),
      });
      const aside = { memo: new Map<string, unknown>(), tell: () => undefined };
      const { state } = part.judge(watched, states as never, AT, aside);
      const criteria = 'criteria' in part ? part.criteria : undefined;
      criteria?.(state as never, watched, states as never, AT, aside);
      states[part.id] = state;
      expect([part.id, [...seen].filter((name) => !read(part).includes(name))]).toEqual([part.id, []]);
    }
  }
});

test('a runner that has judged other rooms and other times says what a new one says', () => {
  const runner = roomRunner();
  for (const seed of [...SEEDS, ...SEEDS.slice(0, 2)]) {
    const set = inventedSet(seed);
    for (const at of [AT, '2026-05-20T09:00:00.000Z', AT])
      expect(assessRoom(set, at, { runner }).criteria).toEqual(assessRoom(set, at).criteria);
  }
});

test('one list made anew costs only the parts that read it, and changes nothing that is said', () => {
  const set = inventedSet(3);
  const runner = roomRunner();
  const before = assessRoom(set, AT, { runner });
  const after = assessRoom({ ...set, checks: [...set.checks] }, AT, { runner });
  expect(after).toEqual(before);
  expect(after.flat).toBe(before.flat);
  expect(after.strip).toBe(before.strip);
  expect(assessRoom({ ...set, readings: [...set.readings] }, AT, { runner }).flat).not.toBe(before.flat);
});

test('what is said holds until the time it names, and no longer where damp is read', () => {
  const set = SEEDS.map(inventedSet).find((one) => one.dampReadings.length > 0)!;
  const said = assessRoom(set, '2026-05-06T15:59:20.000Z');
  expect(said.validUntil).toBe('2026-05-06T16:00:00.000Z');
  expect(assessRoom(set, said.validUntil!).damp).toEqual(said.damp);
  expect(assessRoom(set, '2026-05-06T16:00:01.000Z').damp).not.toEqual(said.damp);
  const bare = { ...set, airReadings: [], airLogs: [], dampTests: [], dampReadings: [] };
  expect(assessRoom(bare, AT).validUntil).toBeNull();
});

test('each criterion names the part that said it', () => {
  const { criteria } = assessRoom(inventedSet(8), AT);
  expect(criteria.length).toBeGreaterThan(2);
  for (const { part } of criteria) expect(PARTS.map(({ id }) => id)).toContain(part);
});
