import { evidenceOf } from '@maquette/core/formats/evidence';
import { givenCsv, roomsEvidenceCsv, roomsRodCsv, type LevelSheet } from '@maquette/core/formats';
import { levelsDxf } from '@maquette/core/formats/dxf';
import { icsOf } from '@maquette/core/formats/ics';
import { packsOf, type ReportJob, type ReportRoom } from '@maquette/core/report';
import type { Sayable } from '@maquette/core/said';
import { canonicalJson, type BundleEntry } from '@maquette/core/seal';
import { JOB_FILE_FORMAT, JOB_FILE_VERSION } from '@maquette/facts';
import type { FiledFact, JobFile } from '@maquette/facts/job-file';
import { blankedBody, isPrivate } from './private.ts';

type Say = (what: Sayable) => string;

/** The last moment at which anything of a job was received: its file was written then, whenever it is written. */
const lastReceived = (facts: readonly FiledFact[]): string =>
  facts
    .flatMap(({ replaced, ...now }) => [...replaced, now].map(({ updatedAt }) => updatedAt))
    .sort()
    .at(-1) ?? '';

/** A job’s file without what is nobody else’s: the same facts make the same bytes, and another server takes it. */
export function shownJobFile({ facts }: Pick<JobFile, 'facts'>): string {
  const shown = facts
    .filter(({ kind, body }) => !isPrivate(kind, body))
    .map((fact) => ({
      ...fact,
      body: blankedBody(fact.kind, fact.body),
      replaced: fact.replaced.map((old) => ({ ...old, body: blankedBody(fact.kind, old.body) })),
    }));
  const file = { format: JOB_FILE_FORMAT, version: JOB_FILE_VERSION, writtenAt: lastReceived(facts), facts: shown };
  // Through JSON: what a field holds is what a reader of the file gets.
  return `${canonicalJson(JSON.parse(JSON.stringify(file)))}\n`;
}

/** Levels of the rooms as a drawing; before levelling where that is asked for and known. */
function sheetsOf(rooms: readonly ReportRoom[], isBefore: boolean): LevelSheet[] {
  return rooms.map(({ set, assessment, picture, before, certificates }) => ({
    title: set.room.name,
    plan: assessment.plan,
    map: (isBefore ? (before ?? picture) : picture).map,
    fills: [],
    grinding: [],
    bays: [],
    chalk: [],
    certificates: isBefore ? [] : certificates,
  }));
}

function givenOf(job: ReportJob, say: Say): string {
  return givenCsv([
    ...(job.quotations.at(-1)?.lines ?? []).map(({ what, cents }) => ({ is: 'quoted' as const, what, cents })),
    ...packsOf(job).map(({ what, batch, planned, bought, opened }) => ({
      is: 'packs' as const,
      what: say(what),
      batch,
      planned,
      bought,
      opened,
    })),
  ]);
}

function calendarOf({ jobId, name, keptPlans }: ReportJob): string {
  const plan = keptPlans.at(-1);
  return icsOf(
    { jobId, name, edition: plan?.edition ?? 0, writtenAtUtc: plan?.keptAt ?? '1980-01-01T00:00:00.000Z' },
    (plan?.places ?? []).map(({ key, words, fromAt, toAt }) => ({
      key,
      stretch: 1,
      fromUtc: fromAt,
      toUtc: toAt,
      summary: words,
      description: '',
      location: name,
      isWait: false,
      isGone: false,
    })),
  );
}

/** What a bundle holds besides its report, its photographs and what checks it. */
export function bundleParts(file: Pick<JobFile, 'facts'>, job: ReportJob, say: Say): BundleEntry[] {
  const text = (path: string, words: string): BundleEntry => ({ path, content: new TextEncoder().encode(words) });
  const { rooms, versions } = job;
  const digests = new Map(job.photographs.flatMap(({ id, sha256 }) => (sha256 ? [[id, sha256] as const] : [])));
  const evidence = rooms.map(({ set, assessment }) => ({
    room: set.room.name,
    lines: evidenceOf({ facts: set, results: assessment.damp?.results ?? [], versions }).map((line) => ({
      ...line,
      // A photograph’s picture is named by its digest.
      value: digests.get(line.id) ?? line.value,
      note: '',
    })),
  }));
  const readings = rooms.map(({ set, assessment }) => ({
    room: set.room.name,
    facts: set,
    stations: assessment.stations,
    plan: assessment.plan,
  }));
  return [
    text('job.json', shownJobFile(file)),
    text('evidence.csv', roomsEvidenceCsv(evidence, say)),
    text('readings.csv', roomsRodCsv(readings)),
    text('levels-before.dxf', levelsDxf(sheetsOf(rooms, true), say)),
    text('levels-after.dxf', levelsDxf(sheetsOf(rooms, false), say)),
    text('bill.csv', givenOf(job, say)),
    text('plan.ics', calendarOf(job)),
  ];
}
