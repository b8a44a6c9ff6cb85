import { readRoom } from '../assess/invented-cottage.ts';
import type { RoomSet } from '../assess/room-set.ts';
import type { Approval } from '../record/index.ts';
import { reportRoom, type ReportJob } from './report-job.ts';

export const REPORT_AT = '2026-05-06T12:00:00.000Z';

/** A room with a low of so many mm in its middle. */
export const lowRoom = (id: string, deepMm: number, facts: Partial<Omit<RoomSet, 'room' | 'card'>> = {}): RoomSet =>
  readRoom(id, (x, y) => -deepMm * Math.exp(-((x - 2) ** 2 + (y - 1.5) ** 2) / 0.5), { facts });

/** A job of these rooms as a report is made of it, with nothing else recorded. */
export const inventedReport = (sets: readonly RoomSet[], part: Partial<ReportJob> = {}): ReportJob => ({
  jobId: 'j',
  name: 'Sluice House',
  currency: '£',
  atUtc: REPORT_AT,
  edition: '0.1.0',
  rooms: sets.map((set) => reportRoom(set, REPORT_AT)),
  unjudged: [],
  figures: [],
  keptPlans: [],
  quotations: [],
  packCounts: [],
  coverUps: [],
  seals: [],
  contacts: [],
  approvals: [],
  handOvers: [],
  photographs: [],
  corrected: [],
  skewed: [],
  versions: new Map(),
  chain: null,
  ...part,
});

/** An answer of a client, the newest of its kind at the time of the report. */
export const inventedApproval = (part: Partial<Approval>): Approval => ({
  ...{ id: 'a', jobId: 'j', about: 'plan', what: 'The job', isApproved: true, cents: 0, promisedDay: '' },
  ...{ by: 'A. Client', givenAt: REPORT_AT, pageSha256: '', note: '', unaskedCents: 0, unaskedDays: 0 },
  ...part,
});
