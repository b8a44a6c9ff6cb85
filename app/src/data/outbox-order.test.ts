import fc from 'fast-check';
import { answerWith } from './invented-server.ts';
import { createOutbox } from './outbox.ts';
import type { Waiting } from './waiting.ts';

type Made = Omit<Waiting, 'seq' | 'trouble' | 'made'>;

/** What may be done on a device without signal, as a walk that the server would take if it were sent as it was made. */
const walks = fc
  .array(fc.record({ what: fc.nat(4), room: fc.nat(2), reading: fc.nat(3) }), { minLength: 3, maxLength: 30 })
  .map((steps) => {
    const versions = new Map<string, number>();
    const removed = new Set<string>();
    const writes: Made[] = [];
    const put = (kind: 'rooms' | 'readings', id: string, roomId: string | null, deleted = false) => {
      const baseVersion = versions.get(id) ?? 0;
      versions.set(id, baseVersion + 1);
      writes.push({
        ...{ writeId: `w-${writes.length}`, kind, id, roomId, baseVersion, body: {}, deleted, madeAt: 't' },
      });
    };
    for (const { what, room, reading } of steps) {
      const id = `room-${room}`;
      if (!versions.has(id)) put('rooms', id, null);
      else if (removed.has(id)) {
        removed.delete(id);
        put('rooms', id, null);
      } else if (what === 0) put('rooms', id, null);
      else if (what === 1) {
        removed.add(id);
        put('rooms', id, null, true);
      } else put('readings', `reading-${room}-${reading}`, id);
    }
    return writes;
  });

/** A server that takes what the real one would: on the version it was made on, in a room that is there. */
function server() {
  const versions = new Map<string, number>();
  const removed = new Set<string>();
  return (path: string, body: { baseVersion: number; writeId: string; deleted: boolean }): number => {
    const parts = path.split('/').slice(2);
    const id = parts.at(-1)!;
    const roomId = parts.length > 2 ? parts[1]! : null;
    if (roomId && !versions.has(roomId)) return 404;
    if (roomId && removed.has(roomId)) return 410;
    if ((versions.get(id) ?? 0) !== body.baseVersion) return 409;
    versions.set(id, body.baseVersion + 1);
    if (roomId === null && body.deleted) removed.add(id);
    else if (roomId === null) removed.delete(id);
    return 201;
  };
}

test('what was made without signal is all taken when the signal comes back, whatever goes ahead of what', async () => {
  await fc.assert(
    fc.asyncProperty(walks, async (writes) => {
      const take = server();
      let signal = false;
      const refused: string[] = [];
      answerWith(({ path, body }) => {
        if (!signal) return null;
        const status = take(path, body);
        if (status !== 201) refused.push(`${status} ${path} ${body.writeId}`);
        return { status, body: { id: path, status } };
      });
      const disk = new Map<string, Waiting>();
      const outbox = createOutbox({
        load: async () => [...disk.values()],
        put: async (list) => list.forEach((one) => disk.set(one.writeId, one)),
        drop: async (ids) => ids.forEach((id) => disk.delete(id)),
        onOthers: () => undefined,
      });
      await outbox.start(() => undefined);
      for (const write of writes) await outbox.post([write]);
      signal = true;
      await outbox.send();
      // A round that was under way when the signal came back ends first.
      for (let n = 0; n < 200 && disk.size > 0 && refused.length === 0; n++) await outbox.send();
      expect(refused).toEqual([]);
    }),
    { numRuns: 150 },
  );
});
