import type { JobFacts } from '@maquette/core/planning';
import { bodyOf, lastPlaceOf, type BookFactKind } from '@maquette/facts';
import { deviceZone } from '@maquette/words';
import { inOrder } from '../data/in-order.ts';
import type { ShownBook } from '../data/use-facts.ts';

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

/** Facts of a kind as they are on this device, the last written last. */
function listed(book: ShownBook, kind: BookFactKind, jobId: string): object[] {
  const own = (book[kind] as ShownBook['figures']).filter((fact) => fact.jobId === jobId);
  return inOrder(own, lastPlaceOf).map((fact) => ({ ...bodyOf(fact), id: fact.id }));
}

/** Everything of a job besides its rooms that its days and its bill are made from. */
export function jobFactsOf(book: ShownBook, jobId: string): JobFacts {
  const job = book.jobs.find(({ id }) => id === jobId);
  const lists = Object.fromEntries(OF_JOB.map((kind) => [kind, listed(book, kind, jobId)]));
  return {
    jobId,
    name: job?.name ?? '',
    zone: job?.zone || deviceZone(),
    country: job?.country ?? null,
    ...lists,
    // Each list holds the facts of its kind: they passed their class when they were entered.
  } as object as JobFacts;
}

/** Every write that bears on them, in one line. */
export const jobWrites = (book: ShownBook, jobId: string): string =>
  [
    book.jobs.find(({ id }) => id === jobId)?.writeId ?? '',
    ...OF_JOB.flatMap((kind) =>
      (book[kind] as ShownBook['figures']).filter((fact) => fact.jobId === jobId).map(({ writeId }) => writeId),
    ),
  ].join(' ');
