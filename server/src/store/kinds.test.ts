import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { bodyOf, FACT_KINDS, isRoomKind, KINDS, parentsOf, type FactKind } from '@maquette/facts';
import { checkJobFile, type JobFile } from '@maquette/facts/job-file';
import { aBody, anId } from '@maquette/facts/invented';
import { find, putFact, readHistory } from './facts.ts';
import { bringIn } from '../import/invented-import.ts';
import { writeJobFile } from './job-file.ts';
import { newId } from './new-id.ts';
import { openStore } from './open.ts';
import type { Store } from './store.ts';

const NOW = '2026-05-04T08:00:00.000Z';
let folder: string;
let store: Store;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-kinds-'));
  store = await openStore(folder, join(__dirname, '../../migrations'));
});
afterEach(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

type Body = Record<string, unknown>;
interface Invented {
  kind: FactKind;
  id: string;
  roomId: string | null;
  body: Body;
}

/** A job with one fact of every kind, its parents and some of its other references among the rest. */
const aJob = fc
  .record({
    ids: fc.record(Object.fromEntries(FACT_KINDS.map((kind) => [kind, anId]))),
    bodies: fc.record(Object.fromEntries(FACT_KINDS.map((kind) => [kind, aBody(kind)]))),
  })
  .map(({ ids, bodies }): Invented[] =>
    FACT_KINDS.map((kind) => {
      const parents = parentsOf(KINDS[kind]).map(({ field, of }) => [field, ids[of]]);
      return {
        kind,
        id: ids[kind]!,
        roomId: isRoomKind(kind) ? ids['rooms']! : null,
        body: { ...bodies[kind], ...Object.fromEntries(parents), ...linked(kind, ids) },
      };
    }),
  );

/** References that are no parents, led to a fact of the job, so that a copy has them to follow. */
function linked(kind: FactKind, ids: Record<string, string>): Body {
  return Object.fromEntries(
    Object.entries(KINDS[kind].fields).flatMap(([name, { spec }]) => {
      if (spec.type === 'id' && spec.refers === 'loosely') return [[name, ids[spec.of] ?? ids['layers']]];
      if (spec.type === 'text' && spec.carriesIds && name !== 'question') return [[name, `layer/${ids['layers']}`]];
      return [];
    }),
  );
}

async function put({ kind, id, roomId, body }: Invented, baseVersion: number, deleted: boolean) {
  const write = { ...body, baseVersion, writeId: newId(), deleted };
  return store.write((tx) => putFact(store, tx, kind, id, roomId, write, NOW));
}

/** A fact’s body with what was left out: it is kept as empty. */
const asKept = ({ kind, body }: { kind: FactKind; body: Record<string, unknown> }) => ({
  ...Object.fromEntries(
    Object.entries(KINDS[kind].fields).flatMap(([name, { mayLack, spec }]) =>
      mayLack ? [[name, spec.type === 'list' ? [] : '']] : [],
    ),
  ),
  ...body,
});

test('a fact of every kind comes back from write, store, history and job file as it was entered', async () => {
  await fc.assert(
    fc.asyncProperty(aJob, async (job) => {
      for (const fact of job) {
        expect(await put(fact, 0, false)).toMatchObject({ ok: true, created: true });
        expect(await put(fact, 1, false)).toMatchObject({ ok: true });
        const [held, history] = [
          await find(store.db, fact.kind, fact.id),
          await readHistory(store.db, fact.kind, fact.id),
        ];
        expect(bodyOf(held!)).toEqual(asKept(fact));
        expect(history!.replaced.map((old) => old.body)).toEqual([asKept(fact)]);
      }
      const file = await writeJobFile(store.db, job.find(({ kind }) => kind === 'jobs')!.id, NOW);
      const sent = JSON.parse(JSON.stringify(file)) as JobFile;
      expect(checkJobFile(sent)).toEqual([]);
      expect(sent.facts.map(({ kind, id, body }) => [kind, id, body])).toEqual(
        job.map((fact) => [fact.kind, fact.id, asKept(fact)]),
      );
    }),
    { numRuns: 8 },
  );
}, 60_000);

test('a copy of a job leaves no old id anywhere, and is otherwise the same', async () => {
  await fc.assert(
    fc.asyncProperty(aJob, async (job) => {
      for (const fact of job) await put(fact, 0, false);
      const jobId = job.find(({ kind }) => kind === 'jobs')!.id;
      const file = (await writeJobFile(store.db, jobId, NOW))!;
      const result = await bringIn(store, JSON.stringify(file), { copy: true });
      expect(result).toMatchObject({ is: 'stored', stored: job.length });
      const copy = (await writeJobFile(store.db, (result as { jobId: string }).jobId, NOW))!;
      expect(copy.facts.map(({ kind }) => kind)).toEqual(file.facts.map(({ kind }) => kind));
      const text = JSON.stringify(copy.facts.map(({ id, roomId, body, replaced }) => [id, roomId, body, replaced]));
      const inLists = job.flatMap(({ body }) => ((body['openings'] ?? []) as { id: string }[]).map(({ id }) => id));
      for (const id of [...job.map((fact) => fact.id), ...inLists]) expect(text).not.toContain(id);
    }),
    { numRuns: 8 },
  );
}, 60_000);
