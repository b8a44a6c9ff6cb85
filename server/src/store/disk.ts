import { statfs } from 'node:fs/promises';
import type { Store } from './store.ts';

/** How the disk under the data folder is: what is sent with every answer, or null while all is well. */
export interface Disk {
  said: () => string | null;
  /** Takes what a write failed with: a disk that is full, read-only or broken is told until a write succeeds again. */
  noteWrite: (error: unknown) => void;
}

const LOOK_EVERY_MS = 30_000;
/** Names the system and the database have for a disk that takes nothing more. */
const DISK_FAILS = /SQLITE_(FULL|IOERR|READONLY|CANTOPEN)|ENOSPC|EROFS|EDQUOT|\bEIO\b/;

/** Whether something failed because the disk takes nothing. */
export function isDiskFailing(error: unknown): boolean {
  for (let at: unknown = error; at instanceof Error; at = at.cause)
    if (DISK_FAILS.test(`${(at as NodeJS.ErrnoException).code ?? ''} ${at.message}`)) return true;
  return false;
}

/** Share of the disk under a folder that is free for this user, 0 to 1. */
export async function freeShareOf(folder: string): Promise<number> {
  const { bavail, blocks } = await statfs(folder);
  return blocks === 0 ? 1 : bavail / blocks;
}

/**
 * Watches the disk.
 * @param lowPercent under this much free it is told
 */
export function watchDisk(folder: string, lowPercent: number, freeShare = freeShareOf): Disk {
  let failing = false;
  let leftPercent = 100;
  const look = () =>
    freeShare(folder).then(
      (share) => void (leftPercent = Math.floor(share * 100)),
      // A disk that does not even say how full it is: the next write tells.
      () => undefined,
    );
  void look();
  setInterval(() => void look(), LOOK_EVERY_MS).unref();
  return {
    said: () => (failing ? 'failing' : leftPercent < lowPercent ? `low ${leftPercent}` : null),
    noteWrite(error) {
      if (error === null) failing = false;
      else if (isDiskFailing(error)) failing = true;
    },
  };
}

/** The same store, whose disk hears of every write: whether it was taken, and what it failed with. */
export function noting(store: Store, disk: Disk): Store {
  const heard = async <T>(work: () => Promise<T>): Promise<T> => {
    try {
      const done = await work();
      disk.noteWrite(null);
      return done;
    } catch (error) {
      disk.noteWrite(error);
      throw error;
    }
  };
  return {
    ...store,
    write: (work) => heard(() => store.write(work)),
    alone: (work) => heard(() => store.alone(work)),
  };
}

/** Where nobody asked to have it watched. */
export const UNWATCHED: Disk = { said: () => null, noteWrite: () => undefined };
