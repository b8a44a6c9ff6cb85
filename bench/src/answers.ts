import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { assessRoom, pictureOf, planRoom } from '@maquette/core';
import { underEachSchool } from '@maquette/core/flat';
import { evidenceOf } from '@maquette/core/formats';
import { inventedJob, type FiledV3 } from '@maquette/facts/invented-jobs';
import { setOf, today } from '@maquette/facts/invented-sets';
import '@maquette/words/rest';
import { readOut } from '@maquette/words';

/** Everything the core says of a hundred invented rooms and of job files, to be held against what it said before. */
const AT = '2026-05-06T16:00:00.000Z';
const [out, against, ...files] = process.argv.slice(2);
if (!out) throw new Error('answers OUT [AGAINST|-] [job files ...]');

function sayAll(filed: readonly FiledV3[]): Record<string, unknown> {
  const facts = today(filed);
  return Object.fromEntries(
    facts
      .filter((f) => f.kind === 'rooms')
      .map((room) => {
        const set = setOf(facts, room);
        const assessment = assessRoom(set, AT);
        const picture = pictureOf(assessment, set.room, set.works);
        const plan = planRoom(set, AT);
        const evidence = evidenceOf({
          facts: set,
          results: assessment.damp?.results ?? [],
          versions: new Map(),
        }).map(({ fact: _fact, ...line }) => line);
        return [
          room.id,
          readOut(
            {
              picture: {
                ...picture,
                validUntil: undefined,
                criteria: picture.criteria.map(({ part: _part, also: _also, at: _at, ...said }) => said),
              },
              schools: assessment.flat ? underEachSchool(assessment.flat, set.card.rules, set.room.contactsOnly) : [],
              plan: plan && plainOf(plan),
              evidence,
            },
            set.room.units,
          ),
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
