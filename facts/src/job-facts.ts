import { isShipped } from '@maquette/core/coverings';
import type { JobFacts } from '@maquette/core/planning';
import type { Approval, Contact, CoverUp, HandOver, Seal } from '@maquette/core/record';
import { inOrder } from './in-order.ts';
import { bodyOf, lastPlaceOf, type BookFactKind } from './kinds.ts';
import type { BookFacts } from './fact-lists.ts';

type OfJob =
  | 'figures'
  | 'siteWeeks'
  | 'siteDays'
  | 'keptPlans'
  | 'taskHolds'
  | 'furnishings'
  | 'waysIn'
  | 'surprises'
  | 'packCounts'
  | 'prices'
  | 'quotations';
const OF_JOB: readonly OfJob[] = [
  'figures',
  'siteWeeks',
  'siteDays',
  'keptPlans',
  'taskHolds',
  'furnishings',
  'waysIn',
  'surprises',
  'packCounts',
  'prices',
  'quotations',
];

/** Facts of a kind in the order of their writes, the last written last. */
function listed(book: BookFacts, kind: BookFactKind, jobId: string): object[] {
  const own = (book[kind] as BookFacts['figures']).filter((fact) => fact.jobId === jobId);
  return inOrder(own, lastPlaceOf).map((fact) => ({ ...bodyOf(fact), id: fact.id }));
}

/**
 * Everything of a job besides its rooms that its days and its bill are made from.
 *
 * @param zone - IANA zone taken where the job says none
 */
export function jobFactsOf(book: BookFacts, jobId: string, zone: string): JobFacts {
  const job = book.jobs.find(({ id }) => id === jobId);
  const lists = Object.fromEntries(OF_JOB.map((kind) => [kind, listed(book, kind, jobId)]));
  return {
    jobId,
    name: job?.name ?? '',
    zone: job?.zone || zone,
    country: job?.country ?? null,
    ...lists,
    // Each list holds the facts of its kind: they passed their class when they were entered.
  } as object as JobFacts;
}

/** Rooms whose covering has no card any more: nothing can be judged in them until another is chosen. */
export const withoutCard = <R extends { cardId: string }>(rooms: readonly R[], cards: readonly { id: string }[]): R[] =>
  rooms.filter(({ cardId }) => !isShipped(cardId) && !cards.some(({ id }) => id === cardId));

/** What a job’s record adds to its rooms: what was covered up, sealed, approved and handed over, and who is told. */
export interface RecordFacts {
  coverUps: readonly CoverUp[];
  seals: readonly Seal[];
  contacts: readonly Contact[];
  approvals: readonly Approval[];
  handOvers: readonly HandOver[];
}

/** The record of a job, each list with the newest last. */
export function recordFactsOf(book: BookFacts, jobId: string): RecordFacts {
  const kinds = ['coverUps', 'seals', 'contacts', 'approvals', 'handOvers'] as const;
  // Each list holds the facts of its kind: they passed their class when they were entered.
  return Object.fromEntries(kinds.map((kind) => [kind, listed(book, kind, jobId)])) as object as RecordFacts;
}

/** Every write that bears on them, in one line. */
export const jobWrites = (book: BookFacts, jobId: string): string =>
  [
    book.jobs.find(({ id }) => id === jobId)?.writeId ?? '',
    ...OF_JOB.flatMap((kind) =>
      (book[kind] as BookFacts['figures']).filter((fact) => fact.jobId === jobId).map(({ writeId }) => writeId),
    ),
  ].join(' ');
