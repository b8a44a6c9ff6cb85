import { reportRoom, type CorrectedFact, type ReportJob, type SkewedClock } from '@maquette/core/report';
import { KINDS } from '@maquette/facts';
import { fieldName } from '@maquette/facts/field-name';
import { jobFactsOf, recordFactsOf } from '@maquette/facts/job-facts';
import type { FiledFact, JobFile } from '@maquette/facts/job-file';
import { readJob } from '@maquette/facts/sets-of-file';
import { isPrivate, shownBody } from '../seal/private.ts';

/** Clocks further off than this are named, ms. */
const SKEW_NAMED_MS = 5 * 60_000;
/** Longer values say no more in a table. */
const VALUE_MOST = 80;

/** What a report is made with besides the facts themselves. */
export interface ReportAsk {
  atUtc: string;
  edition: string;
  /** Where a job says no zone. */
  zone: string;
  chain: ReportJob['chain'];
  /** Digest of the picture of each photograph that has arrived. */
  pictures: ReadonlyMap<string, string>;
  tell?: (share: number) => void;
}

const written = (value: unknown): string => {
  const text =
    value === null || value === undefined ? '' : typeof value === 'object' ? JSON.stringify(value) : String(value);
  return text.length > VALUE_MOST ? `${text.slice(0, VALUE_MOST - 1)}…` : text;
};

/** How a field's name ends that is kept in a unit, and what the unit is called. */
const UNITS: readonly (readonly [RegExp, string])[] = [
  [/Mm$/, 'mm'],
  [/M2$/, 'm²'],
  [/Utc$/, 'UTC'],
  [/Percent$/, '%'],
  [/Rh$/, '%RH'],
  [/Mc$/, '% moisture'],
  [/Deg$/, '°'],
  [/G$/, 'g'],
  [/C$/, '°C'],
  [/H$/, 'h'],
  [/M$/, 'm'],
];

/** A field as it is said, with the unit its values are kept in: `Open rod, mm`. */
function withUnit(field: string): string {
  const unit = UNITS.find(([ends]) => ends.test(field))?.[1];
  return unit ? `${fieldName(field)}, ${unit}` : fieldName(field);
}

/** What was corrected or removed of a fact, version by version. */
function correctionsOf({ kind, id, replaced, ...now }: FiledFact): CorrectedFact[] {
  const versions = [...replaced, now];
  return versions.slice(1).map((version, k): CorrectedFact => {
    const [before, after] = [shownBody(versions[k]!.body), shownBody(version.body)];
    const fields = Object.keys({ ...before, ...after }).filter(
      (field) => JSON.stringify(before[field]) !== JSON.stringify(after[field]),
    );
    return {
      kind: KINDS[kind].words,
      id,
      fields: fields.map((field) => ({
        field: withUnit(field),
        was: written(before[field]),
        is: written(after[field]),
      })),
      isRemoved: version.deletedAt !== null,
      at: version.updatedAt,
      by: version.made?.by ?? '',
    };
  });
}

/** Devices whose clock was off while they reached the server, each with how far at most. */
function skewedOf(facts: readonly FiledFact[]): SkewedClock[] {
  const by = new Map<string, SkewedClock>();
  for (const { replaced, ...now } of facts)
    for (const { made } of [...replaced, now]) {
      if (!made || made.skewMs === null || Math.abs(made.skewMs) <= SKEW_NAMED_MS) continue;
      const held = by.get(made.device) ?? { device: made.device, skewMs: 0, writes: 0 };
      const skewMs = Math.abs(made.skewMs) > Math.abs(held.skewMs) ? made.skewMs : held.skewMs;
      by.set(made.device, { ...held, skewMs, writes: held.writes + 1 });
    }
  return [...by.values()].sort((a, b) => (a.device < b.device ? -1 : 1));
}

/** A job’s file as its report is made of it. Facts that are nobody else’s are left out. */
export function reportJobOf(
  file: Pick<JobFile, 'facts'>,
  { atUtc, edition, zone, chain, pictures, tell = () => undefined }: ReportAsk,
): ReportJob & { zone: string } {
  const shown = file.facts.filter(({ kind, body }) => !isPrivate(kind, body));
  const { jobId, book, rooms, unjudged } = readJob({ facts: shown });
  const job = book.jobs.find(({ id }) => id === jobId)!;
  const facts = jobFactsOf(book, jobId, zone);
  const standing = shown.filter(({ deletedAt }) => deletedAt === null);
  return {
    jobId,
    name: job.name,
    currency: job.currency,
    zone: job.zone || zone,
    atUtc,
    edition,
    rooms: rooms.map(({ set }, k) => {
      tell(k / rooms.length);
      return reportRoom(set, atUtc);
    }),
    unjudged,
    figures: facts.figures,
    keptPlans: facts.keptPlans,
    quotations: facts.quotations,
    packCounts: facts.packCounts,
    ...recordFactsOf(book, jobId),
    photographs: standing
      .filter(({ kind }) => kind === 'photos')
      .map(({ id, roomId }) => ({ id, roomId: roomId ?? '', sha256: pictures.get(id) ?? null })),
    corrected: shown
      .filter(({ replaced, deletedAt }) => replaced.length > 0 || deletedAt !== null)
      .flatMap(correctionsOf)
      .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1)),
    skewed: skewedOf(shown),
    versions: new Map(standing.map(({ id, version }) => [id, version])),
    chain,
  };
}
