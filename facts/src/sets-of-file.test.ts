import { createPlainFacts } from './plain-facts.ts';
import { today } from './invented-sets.ts';
import { inventedJob } from './invented-jobs.ts';
import type { FiledFact } from './job-file.ts';
import { readJob } from './sets-of-file.ts';

/** A job as its file holds it. */
const filed = (seed: number): FiledFact[] =>
  today(inventedJob(seed)).map((fact, order) => ({
    ...{
      replaced: [],
      made: null,
      deletedAt: null,
      updatedAt: '2026-05-04T08:00:00.000Z',
      order,
      writeId: `w-${order}`,
    },
    ...(fact as object as FiledFact),
  }));

test('rooms are read of a file as every device reads them: same lists, same order, same card', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const facts = filed(seed);
    const { rooms, book, jobId } = readJob({ facts });
    expect(jobId).toBe(facts.find(({ kind }) => kind === 'jobs')!.id);
    for (const { set } of rooms) {
      const own = facts.filter(({ roomId, kind }) => roomId === set.room.id && kind === 'readings');
      expect(set.readings.map(({ id }) => id).sort()).toEqual(own.map(({ id }) => id).sort());
      expect(set.room).toEqual(createPlainFacts().room(book.rooms.find(({ id }) => id === set.room.id)!));
      expect(JSON.stringify(set)).not.toMatch(/"writeId"|"updatedAt"/);
    }
  }
});

test('what was removed is not read; of a corrected fact the newest version stands', () => {
  const facts = filed(3);
  const reading = facts.find(({ kind }) => kind === 'readings')!;
  const without = facts.map((fact) => (fact === reading ? { ...fact, deletedAt: fact.updatedAt } : fact));
  const ids = (of: readonly FiledFact[]) =>
    readJob({ facts: [...of] }).rooms.flatMap(({ set }) => set.readings.map(({ id }) => id));
  expect(ids(facts)).toContain(reading.id);
  expect(ids(without)).not.toContain(reading.id);
  const moved = facts.map((fact) =>
    fact === reading ? { ...fact, version: 2, body: { ...fact.body, rodMm: 1111 } } : fact,
  );
  const now = readJob({ facts: moved })
    .rooms.flatMap(({ set }) => set.readings)
    .find(({ id }) => id === reading.id);
  expect(now!.rodMm).toBe(1111);
});

test('a file without a job is none', () => {
  expect(() => readJob({ facts: filed(1).filter(({ kind }) => kind !== 'jobs') })).toThrow(TypeError);
});
