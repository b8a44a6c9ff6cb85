import type { Database } from './database.ts';
import type { WriteQueue } from './write-queue.ts';

/** An open data folder: what everything that reads and writes is handed. */
export interface Store {
  /** The data folder: the database and, beside it, the pictures. */
  folder: string;
  db: Database;
  write: WriteQueue['write'];
  /** Runs what writes by itself, in another thread say, in its turn among the writes. */
  alone: WriteQueue['alone'];
  /** Facts known to be stored, by the room they belong to: nothing is ever destroyed, so what was once seen stays true. */
  seen: Map<string, string>;
  /** The count of the next write: the order in which facts were stored, whatever any clock says. */
  nextOrder: () => number;
  /** Goes on counting from beyond what a file brought in. */
  countFrom: (order: number) => void;
  close: () => void;
}
