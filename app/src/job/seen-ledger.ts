import { createStore, get, set, type UseStore } from 'idb-keyval';
import type { LedgerRow } from '@maquette/core/heights';

let disk: UseStore | null = null;
const store = () => (disk ??= createStore('maquette-ledgers', 'seen'));

/** The ledger of a job as it was last taken as seen on this device; null where it never was, or nothing is kept. */
export const seenLedger = (jobId: string): Promise<LedgerRow[] | null> =>
  get<LedgerRow[]>(jobId, store()).then(
    (rows) => rows ?? null,
    () => null,
  );

export const keepSeen = (jobId: string, rows: readonly LedgerRow[]): Promise<void> =>
  set(jobId, rows, store()).catch(() => undefined);
