import { createStore, get, set, type UseStore } from 'idb-keyval';
import type { RoomPicture } from '@maquette/core';
import { judgedFrom } from '../data/judged-from.ts';

interface Kept {
  from: string;
  picture: RoomPicture;
}

/** The last picture of each room, kept on the device: a room opens with it while it is judged anew behind it. */
function createKeptPictures() {
  let store: UseStore | null = null;
  const disk = () => (store ??= createStore('maquette-pictures', 'rooms'));
  let reading: { roomId: string; kept: Promise<Kept | undefined> } | null = null;

  /** A browser that keeps nothing judges the room when it is opened. */
  const read = async (roomId: string) => get<Kept>(roomId, disk()).catch(() => undefined);
  function prepare(roomId: string): Promise<Kept | undefined> {
    if (reading?.roomId !== roomId) reading = { roomId, kept: read(roomId) };
    return reading.kept;
  }

  return {
    /** Begins to read a room's picture, before its facts are here. */
    prepare: (roomId: string): void => void prepare(roomId),
    /** What was made of a room from these very writes, today, by this build; null when it has to be judged anew. */
    async find(roomId: string, writes: string): Promise<RoomPicture | null> {
      const kept = await prepare(roomId);
      return kept?.from === judgedFrom(writes) ? kept.picture : null;
    },
    keep(roomId: string, writes: string, picture: RoomPicture): void {
      const kept = { from: judgedFrom(writes), picture };
      reading = { roomId, kept: Promise.resolve(kept) };
      void set(roomId, kept, disk()).catch(() => undefined);
    },
  };
}

export const keptPictures = createKeptPictures();
