import sharp from 'sharp';
import { AT, check, endServer, pause, put, putRoom, seeded, startServer } from './own-server.ts';

const photo = { about: 'room', aboutId: 'room-1', xMm: null, yMm: null, takenAt: AT, note: '' };

interface Acknowledged {
  /** Newest version acknowledged of each fact, with what it said. */
  facts: Map<string, { version: number; key: string }>;
  pictures: Set<string>;
}

interface Killed {
  facts: number;
  pictures: number;
  lost: number;
  twice: number;
  wrong: number;
  lostPictures: number;
}

/** What a slow machine is given to get a picture through. */
const LONGER_MS = 3000;

/** Kills the server over and over under some writers that also send photographs, and counts what was acknowledged and is not there. */
export async function killedOver(data: string, cycles: number, writerCount = 6): Promise<Killed> {
  const random = seeded();
  let own = await startServer(data);
  let { port } = own;
  await putRoom(port);
  const done: Acknowledged = { facts: new Map(), pictures: new Set() };
  let count = 0;
  let stopping = false;
  const writer = async (n: number) => {
    const picture = await sharp({ create: { width: 40 + n, height: 30, channels: 3, background: '#A8452E' } })
      .jpeg()
      .toBuffer();
    for (let mine = 0, turns = 1; !stopping; mine++, turns++) {
      const id = `check-${n}-${Math.floor(mine / 3)}`;
      const version = (done.facts.get(id)?.version ?? 0) + 1;
      const key = `k${++count}`;
      const write = { ...check(key), baseVersion: version - 1, writeId: `w-${n}-${mine}`, deleted: false };
      try {
        if (await put(port, `/api/rooms/room-1/checks/${id}`, write)) done.facts.set(id, { version, key });
        if (turns % 3 === 0) {
          const photoId = `photo-${n}-${mine}`;
          await put(port, `/api/rooms/room-1/photos/${photoId}`, {
            ...photo,
            baseVersion: 0,
            writeId: `p-${n}-${mine}`,
            deleted: false,
          });
          const sent = await fetch(`http://127.0.0.1:${port}/api/rooms/room-1/photos/${photoId}/picture`, {
            method: 'PUT',
            body: new Uint8Array(picture),
          });
          await sent.text();
          if (sent.ok) done.pictures.add(photoId);
        }
      } catch {
        // Killed in the middle: whether it is stored nobody has said. The next write is of another fact.
        mine += 3 - (mine % 3);
        await pause(20);
      }
    }
  };
  const writers = Array.from({ length: writerCount }, (_, n) => writer(n));
  // A run in which nothing was acknowledged would prove nothing: a slow machine is given longer.
  const enough = () => done.facts.size > 10 && done.pictures.size > 0;
  for (let cycle = 0; cycle < cycles || (!enough() && cycle < 10 * cycles); cycle++) {
    await pause(cycle < cycles ? 60 + 240 * random() : LONGER_MS);
    await endServer(own, 'SIGKILL');
    own = await startServer(data);
    port = own.port;
  }
  stopping = true;
  await Promise.all(writers);
  const held = (await (await fetch(`http://127.0.0.1:${port}/api/rooms/room-1/facts`)).json()) as {
    checks: { id: string; version: number; key: string }[];
  };
  const byId = new Map(held.checks.map((one) => [one.id, one]));
  let [lost, wrong] = [0, 0];
  for (const [id, { version, key }] of done.facts) {
    const one = byId.get(id);
    if (!one || one.version < version) lost++;
    else if (one.version === version && one.key !== key) wrong++;
  }
  let lostPictures = 0;
  for (const id of done.pictures)
    if (!(await fetch(`http://127.0.0.1:${port}/api/rooms/room-1/photos/${id}/picture`)).ok) lostPictures++;
  await endServer(own);
  return {
    facts: done.facts.size,
    pictures: done.pictures.size,
    lost,
    twice: held.checks.length - byId.size,
    wrong,
    lostPictures,
  };
}
