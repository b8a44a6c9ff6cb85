import { createHash } from 'node:crypto';
import { chainText, readChain } from '@maquette/core/seal';
import { JOB_FILE_VERSION, KINDS, upgraded } from '@maquette/facts';
import { inventedJob } from '@maquette/facts/invented-jobs';
import { today } from '@maquette/facts/invented-sets';
import type { FiledFact, JobFile } from '@maquette/facts/job-file';
import { shownJobFile } from './bundle-parts.ts';
import { linesAfter, notInChain, type KeptLine } from './chain-of-job.ts';

const AT = '2026-05-04T08:00:00.000Z';
/** Salts as they come one after another. */
function salts() {
  let count = 0;
  return () => createHash('sha256').update(String(count++)).digest('hex');
}
const chainOf = (file: JobFile, held: readonly KeptLine[] = []) => linesAfter(held, file, salts());

function fact(part: Partial<FiledFact> & Pick<FiledFact, 'kind' | 'id' | 'order' | 'body'>): FiledFact {
  return {
    roomId: null,
    version: 1,
    writeId: `w-${part.id}`,
    updatedAt: AT,
    deletedAt: null,
    made: null,
    replaced: [],
    ...part,
  };
}
const file = (facts: FiledFact[]): JobFile =>
  ({ format: 'maquette-job', version: JOB_FILE_VERSION, writtenAt: AT, facts }) as JobFile;

const READING = fact({
  kind: 'readings',
  id: 'r-1',
  roomId: 'room-1',
  order: 7,
  version: 2,
  body: { rodMm: 1312, note: '' },
  replaced: [
    {
      version: 1,
      writeId: 'w-0',
      updatedAt: AT,
      deletedAt: null,
      order: 3,
      made: null,
      body: { rodMm: 1213, note: '' },
    },
  ],
});
const JOB = fact({ kind: 'jobs', id: 'j', order: 1, body: { name: 'Sluice House' } });
const PRICE = fact({ kind: 'prices', id: 'p', order: 5, body: { price: 24.5, note: '' } });
const NOTED = fact({
  kind: 'marks',
  id: 'm',
  roomId: 'room-1',
  order: 6,
  body: { kind: 'crack', note: 'Client’s key is under the pot' },
});
const facts = (all: FiledFact[]) => chainOf(file(all)).map((line) => JSON.parse(line.fact) as Record<string, unknown>);

test('every version stands in the order it was received, whatever the order of the file; a correction comes after what it corrects', () => {
  const ids = facts([PRICE, READING, NOTED, JOB]).map(({ id, version }) => [id, version]);
  expect(ids).toEqual([
    ['j', 1],
    ['r-1', 1],
    ['p', undefined],
    ['m', 1],
    ['m', undefined],
    ['r-1', 2],
  ]);
  expect(chainOf(file([JOB, NOTED, READING, PRICE]))).toEqual(chainOf(file([PRICE, READING, NOTED, JOB])));
  expect(readChain(chainText(chainOf(file([JOB, READING]))))).toHaveLength(3);
});

test('what a job costs and what was noted stand in it by their digests alone, each with a salt of its own', () => {
  const text = chainText(chainOf(file([PRICE, NOTED])));
  expect(text).not.toMatch(/24\.5|under the pot/);
  expect(text).toContain('"kind":"crack"');
  const [price] = facts([PRICE]);
  expect(price).toEqual({ kind: 'prices', id: 'p', private: expect.stringMatching(/^[0-9a-f]{64}$/) });
  // Whoever has the fact and its salt shows that it was this one.
  const whole = `{"body":{"note":"","price":24.5},"id":"p","kind":"prices","receivedAt":"${AT}","version":1,"writeId":"w-p"}`;
  expect(price!['private']).toBe(createHash('sha256').update(`${salts()()}\n${whole}`).digest('hex'));
});

test('what comes later leaves all that stood before byte for byte, wherever by its count it would belong', () => {
  const early = chainOf(file([JOB, { ...READING, ...READING.replaced[0]!, replaced: [] }]));
  // A card of the book was written before the job, and is taken for one of its rooms only now.
  const card = fact({ kind: 'cards', id: 'c', order: 0, body: { name: 'Oak', costM2: 31 } });
  const late = [...early, ...chainOf(file([READING, JOB, PRICE, card]), early)];
  expect(chainText(late).startsWith(chainText(early))).toBe(true);
  expect(late.slice(early.length).map(({ kind, isHidden }) => [kind, isHidden])).toEqual([
    ['cards', false],
    ['cards', true],
    ['prices', true],
    ['readings', false],
  ]);
  expect(readChain(chainText(late))).toHaveLength(late.length);
  expect(chainText(late)).not.toContain('costM2');
  expect(chainOf(file([READING, JOB, PRICE, card]), late)).toEqual([]);
});

test('of figures those alone are private that say what something costs or how a price is made', () => {
  const of = (name: string) =>
    chainOf(file([fact({ kind: 'figures', id: name, order: 1, body: { name, value: 4, note: '' } })]))[0]!.isHidden;
  expect(['labour-h', 'margin-pct', 'damp-age-days', 'hood-rh', 'unheard-of'].map(of)).toEqual([
    true,
    true,
    false,
    false,
    true,
  ]);
});

/** A copy that says something in every note and every cost, at whatever depth they stand. */
function saying(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(saying);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([field, held]) => [
      field,
      field === 'note' ? 'under the pot' : field === 'costM2' || field === 'costEach' ? 987.65 : saying(held),
    ]),
  );
}

test('no note and no cost stands in a chain or in the job file beside it, however deep in a fact it was written', () => {
  /** A pipe in a room’s floor carries a note within a list. */
  const pipe = { kind: 'drain', found: 'seen', depthMm: null, points: [], note: '' };
  for (let seed = 1; seed <= 30; seed++) {
    const filed = today(inventedJob(seed)).map((one, order) => {
      const { kind, body } = one as object as FiledFact;
      const whole = kind === 'rooms' ? { ...body, services: [pipe] } : body;
      return fact({ ...(one as object as FiledFact), order, body: saying(whole) as FiledFact['body'] });
    });
    expect(JSON.stringify(filed)).toMatch(/"services":\[\{[^}]*under the pot/);
    const shown = chainText(chainOf(file(filed))) + shownJobFile(file(filed));
    expect([seed, shown.match(/.{60}(under the pot|987\.65)/)?.[0]]).toEqual([seed, undefined]);
    // What is left out of both is left out alike: the chain still holds every fact as the file has it.
    const read = JSON.parse(shownJobFile(file(filed))) as JobFile;
    expect([seed, notInChain(chainOf(file(filed)), read)]).toEqual([seed, null]);
  }
});

test('a chain sealed before a field came holds what is filed with that field today, and nothing else in its place', () => {
  let came = 0;
  for (let seed = 1; seed <= 30; seed++) {
    const now = today(inventedJob(seed)).map((one, order) => fact({ ...(one as object as FiledFact), order }));
    const before = now.map((one) => {
      const since = KINDS[one.kind].since as Record<string, unknown>;
      const body = Object.fromEntries(Object.entries(one.body).filter(([name]) => !(name in since)));
      came += Object.keys(one.body).length - Object.keys(body).length;
      return { ...one, body };
    });
    const filed = before.map((one) => ({ ...one, body: upgraded(one.kind, one.body).body }));
    expect([seed, notInChain(chainOf(file(before)), file(filed))]).toEqual([seed, null]);
  }
  expect(came).toBeGreaterThan(100);
  const body = { jobId: 'j', about: 'plan', cents: 100_000, by: 'A. Client' };
  const sealed = chainOf(file([fact({ kind: 'approvals', id: 'a', order: 1, body })]));
  const filedAs = (more: object) => file([fact({ kind: 'approvals', id: 'a', order: 1, body: { ...body, ...more } })]);
  expect(notInChain(sealed, filedAs({ unaskedCents: 0, unaskedDays: 0 }))).toBeNull();
  expect(notInChain(sealed, filedAs({ unaskedCents: 50_000, unaskedDays: 0 }))).toEqual({ kind: 'approvals', id: 'a' });
});
