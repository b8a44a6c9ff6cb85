import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { assessRoom, pictureOf, planRoom, dampContext, type AllRoomFacts } from '@maquette/core';
import { findCard, type CoveringCard } from '@maquette/core/coverings';
import { flatMemo, underEachSchool } from '@maquette/core/flat';
import { evidenceOf } from '@maquette/core/formats';
import { inventedJob, type FiledV3 } from './invented-jobs.ts';

/** Everything the core says of a hundred invented rooms and of job files, to be held against what it said before. */
const AT = '2026-05-06T16:00:00.000Z';
const [out, against, ...files] = process.argv.slice(2);
if (!out) throw new Error('answers OUT [AGAINST|-] [job files ...]');

function roomFacts(facts: readonly FiledV3[], room: FiledV3): { all: AllRoomFacts; card: CoveringCard } {
  const of = (kind: string) =>
    facts.filter((f) => f.kind === kind && f.roomId === room.id).map((f) => ({ ...f.body, id: f.id }));
  const job = facts.find((f) => f.kind === 'jobs')!;
  const cards = facts.filter((f) => f.kind === 'cards').map((f) => ({ ...f.body, id: f.id }));
  const jobFigures = facts
    .filter((f) => f.kind === 'figures')
    .map(({ body: { name, value, source } }) => ({ name, value, source }));
  const { country, asbestosFrom, leadFrom } = job.body;
  const all = {
    room: { ...room.body, id: room.id },
    flat: {
      setups: of('setups'),
      readings: of('readings'),
      stations: of('stations'),
      works: of('works'),
      edgeWalks: of('edgeWalks'),
      scans: of('scans'),
    },
    strip: {
      layers: of('layers'),
      samples: of('samples'),
      taps: of('taps'),
      answers: of('answers'),
      ticks: of('ticks').filter((t) => !String((t as unknown as { key: string }).key).startsWith('chalk/')),
      marks: of('marks'),
      figures: jobFigures,
      country: { country, asbestosFrom, leadFrom },
    },
    damp: {
      airReadings: of('airReadings'),
      airLogs: of('airLogs'),
      dampTests: of('dampTests'),
      dampReadings: of('dampReadings'),
      like: { otherAreaM2: 0, otherTests: {} },
    },
    sound: { marks: of('marks'), checks: of('checks') },
  } as unknown as AllRoomFacts;
  return { all, card: findCard(cards as unknown as CoveringCard[], String(room.body['cardId']))! };
}

function sayAll(facts: readonly FiledV3[]): Record<string, unknown> {
  return Object.fromEntries(
    facts
      .filter((f) => f.kind === 'rooms')
      .map((room) => {
        const { all, card } = roomFacts(facts, room);
        const assessment = assessRoom(all, card, AT, { memo: flatMemo() });
        const plan = planRoom(assessment, all);
        const damp = dampContext(all, card, AT);
        const evidence = evidenceOf({
          damp,
          results: assessment.damp?.results ?? [],
          sound: all.sound!,
          works: all.flat.works ?? [],
          edgeWalks: all.flat.edgeWalks ?? [],
          scans: all.flat.scans ?? [],
          photos: facts.filter((f) => f.kind === 'photos').map((f) => ({ ...f.body, id: f.id })) as never,
          versions: new Map(),
        });
        return [
          room.id,
          {
            picture: pictureOf(assessment, all.room, all.flat.works),
            schools: assessment.flat ? underEachSchool(assessment.flat, card.rules, all.room.contactsOnly) : [],
            plan: plan && plainOf(plan),
            evidence,
          },
        ];
      }),
  );
}

/** Typed arrays by their digest: they are long. */
function plainOf(value: unknown): unknown {
  return JSON.parse(
    JSON.stringify(value, (_key, v: unknown) =>
      ArrayBuffer.isView(v)
        ? createHash('sha256')
            .update(new Uint8Array(v.buffer, v.byteOffset, v.byteLength))
            .digest('hex')
        : v instanceof Map
          ? [...v]
          : v,
    ),
  );
}

const said: Record<string, unknown> = {};
for (const file of files) {
  const { facts } = JSON.parse(readFileSync(file, 'utf8')) as { facts: (FiledV3 & { deletedAt: string | null })[] };
  Object.assign(said, sayAll(facts.filter((f) => f.deletedAt === null)));
}
for (let seed = 1; seed <= 100; seed++) Object.assign(said, sayAll(inventedJob(seed)));
const lines = Object.entries(said).map(([room, answer]) => JSON.stringify([room, plainOf(answer)]));
writeFileSync(out, `${lines.join('\n')}\n`);
console.log(`${lines.length} rooms: ${createHash('sha256').update(lines.join('\n')).digest('hex').slice(0, 16)}`);
if (against && against !== '-' && existsSync(against)) {
  const before = readFileSync(against, 'utf8').trim().split('\n');
  const differ = lines.filter((line, i) => line !== before[i]);
  console.log(differ.length === 0 ? 'the same as before' : `${differ.length} rooms differ`);
  for (const line of differ.slice(0, 3)) {
    const old = before[lines.indexOf(line)] ?? '';
    const from = [...line].findIndex((c, i) => c !== old[i]);
    console.log(
      `  ${line.slice(2, 30)}\n    now ${line.slice(from - 80, from + 120)}\n    was ${old.slice(from - 80, from + 120)}`,
    );
  }
}
