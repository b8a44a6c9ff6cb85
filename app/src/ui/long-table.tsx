import type { DataTable } from './data-table.tsx';
import { fetched } from './fetched.tsx';

/** A table to find in, to sort and to choose columns of: it comes in one file, whichever stage has one first. */
export const LongTable = fetched(() => import('./data-table.tsx').then((part) => part.DataTable)) as typeof DataTable;
