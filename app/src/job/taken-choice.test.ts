import { roomSet, type LeastAnswer } from '@maquette/core';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import { isRoomKind, type FactKind } from '@maquette/facts';
import { createHistory } from '../data/history.ts';
import { INVENTED_ROOM } from '../data/invented-room.ts';
import { problemsOf } from '../data/write-rules.ts';
import type { Waiting } from '../data/waiting.ts';
import { takenChoice } from './taken-choice.ts';

const build = { panelMm: 0, filmMm: 0.2, underlayMm: 1.5, kPaAtHalfMm: 220, setShare: 0.05, coveringMm: null };
const BUILD_UP = { id: 'b1', ...build, coveringKgM2: 9.5, note: '' };
const SYSTEM = { id: 's', cardId: 'shipped-laminate', keeps: false, buildUp: { ...build, coveringKgM2: 8, note: '' } };
const CHOICE = { rooms: [{ roomId: 'room', systemId: 's', pourMm: null, litres: 0 }] };

/** What holds a room as the book has it, and what lies in it as the room has it: neither under the other's place. */
function heldAt(kind: FactKind, id: string, roomId: string | null) {
  if (isRoomKind(kind) !== (roomId === 'room')) return null;
  const body = { room: INVENTED_ROOM, b1: BUILD_UP }[id];
  return body ? { version: 4, body: { ...body }, deleted: false } : null;
}

test('another covering taken over the job is a change of what is there, and taking it back removes no room', async () => {
  const posted: Omit<Waiting, 'seq' | 'trouble'>[] = [];
  const history = createHistory(
    { held: heldAt },
    { post: async (writes) => void posted.push(...writes) },
    {
      here: () => problemsOf,
      fetch: async () => problemsOf,
    },
  );
  const card = SHIPPED_CARDS[0]!;
  const set = roomSet(INVENTED_ROOM, card, { buildUps: [BUILD_UP] });
  const changes = takenChoice(
    CHOICE as never,
    { rooms: [{ roomId: 'room', systems: [SYSTEM] }] } as unknown as LeastAnswer,
    [{ set, answers: [] }],
  );
  expect(await history.write('Taken', changes)).toEqual({ ok: true });
  expect(posted.map(({ kind, baseVersion }) => [kind, baseVersion])).toEqual([
    ['rooms', 4],
    ['buildUps', 4],
  ]);
  expect(posted[0]!.body).toMatchObject({ cardId: 'shipped-laminate', name: 'Room' });
  await history.undo();
  expect(posted.map(({ deleted }) => deleted)).not.toContain(true);
  expect(posted.at(-1)!.body).toMatchObject({ cardId: 'shipped-click-vinyl' });
});
