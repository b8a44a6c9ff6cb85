import { assessRoom, roomSet, type RoomSet } from '@maquette/core';
import { findCard } from '@maquette/core/coverings';
import { readOut } from '@maquette/words';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readBook, readRoomFacts } from '../store/facts.ts';
import { openStore } from '../store/open.ts';
import { DEMO_CARDS } from './seed-under.ts';
import { seedDemo } from './seed.ts';

/** When the demo is seeded: the same for every run. */
const SEEDED = '2026-10-06T07:00:00.000Z';

/** Rooms of the demo’s cottage, each with the others beside it. */
async function cottage(): Promise<Map<string, RoomSet>> {
  const folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  const store = await openStore(folder, join(__dirname, '../../migrations'));
  await seedDemo(store, async () => true, SEEDED);
  const { rooms } = await readBook(store.db);
  const own = rooms.filter(({ jobId }) => jobId === 'demo-sluice-house');
  const alone: RoomSet[] = [];
  for (const room of own)
    alone.push(roomSet(room, findCard(DEMO_CARDS, room.cardId)!, (await readRoomFacts(store.db, room.id))!));
  store.close();
  rmSync(folder, { recursive: true, force: true });
  return new Map(
    alone.map((set) => [
      set.room.name,
      { ...set, neighbours: alone.filter((other) => other !== set && sharesWith(set, other)) },
    ]),
  );
}

const sharesWith = (a: RoomSet, b: RoomSet) =>
  a.room.openings.some(({ sharedId }) =>
    b.room.openings.some((far) => far.sharedId !== null && far.sharedId === sharedId),
  );

test('the demo’s heights stand where the story says', async () => {
  const rooms = await cottage();
  const said = (name: string) => {
    const { criteria } = assessRoom(rooms.get(name)!, '2026-05-04T12:00:00Z', { parts: ['heights'] });
    return Object.fromEntries(
      criteria.flatMap((one) =>
        one.part === 'heights' ? [[one.id, `${one.verdict}: ${readOut([one])[0]!.margin}`]] : [],
      ),
    );
  };
  // Everything of the boot room is read, and none of it is in the way of laying.
  for (const words of Object.values(said('Boot room'))) expect(words).toMatch(/^lay: /);
  expect(said('Parlour')).toMatchObject({ 'heights-steps': expect.stringMatching(/^lay: .*flat bar/) });
  // A fire door on the landing, carpet beyond it, and a stair whose risers differ too much as it is.
  expect(said('Landing')).toMatchObject({
    'heights-steps': expect.stringContaining('gripper and carpet bar'),
    'heights-leaves': expect.stringMatching(/^stop: .*fire leaf/),
    'heights-stairs': expect.stringMatching(/^stop: /),
  });
  // Read from the parlour alone, the door to it stands on the hall’s side too; the kitchen is not tied to anything yet.
  expect(said('Kitchen')['heights-steps']).toMatch(/^measure: /);
  expect(said('Hall')['heights-steps']).toMatch(/^measure: /);
  const shared = [...rooms.values()].flatMap(({ room }) => room.openings.flatMap(({ sharedId }) => sharedId ?? []));
  expect(new Set(shared).size).toBe(5);
});
