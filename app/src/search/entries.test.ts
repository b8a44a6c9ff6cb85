import { findFacts } from '@maquette/core/search';
import { FACT_KINDS, KINDS, ROOM_FACT_KINDS } from '@maquette/facts';
import { STAGES } from '../stages/stages.ts';
import type { ShownRoomLists } from '../data/fact-store.ts';
import type { ShownBook } from '../data/use-facts.ts';
import { INVENTED_ROOM } from '../data/invented-room.ts';
import { entriesOf } from './entries.ts';
import { addressOf } from './where-kept.ts';

const stored = { version: 1, updatedAt: '2026-05-04T08:00:00.000Z', made: null };
const empty = Object.fromEntries(FACT_KINDS.map((kind) => [kind, []]));
const book = {
  ...empty,
  loading: false,
  jobs: [{ ...stored, id: 'job', name: 'Sluice House', about: 'lock-keeper’s cottage', rank: 0 }],
  rooms: [{ ...stored, ...INVENTED_ROOM, name: 'Landing' }],
  packCounts: [{ ...stored, id: 'p', jobId: 'job', productId: 'compound/patching', bought: 4, batch: 'P 118' }],
  quotations: [{ ...stored, id: 'q', jobId: 'job', number: 4, note: 'Without the stair' }],
} as unknown as ShownBook;
const lists = {
  ...Object.fromEntries(ROOM_FACT_KINDS.map((kind) => [kind, []])),
  works: [{ ...stored, id: 'w', batch: 'L 2207', bags: 3, note: '' }],
  laidRows: [{ ...stored, id: 'l', row: 7, firstMm: 95, endMm: 412, isLaid: false }],
  readings: [{ ...stored, id: 'r', rodMm: 2207, note: 'L 2207', xMm: 100 }],
} as unknown as ShownRoomLists;
const inUnits = (units: 'metric' | 'imperial') =>
  entriesOf(
    book,
    [{ id: INVENTED_ROOM.id, lists }],
    (words) => (typeof words === 'string' ? words : words.code),
    units,
    (id) => (id === 'compound/patching' ? 'Patching compound' : undefined),
  );
const entries = inUnits('metric');
const found = (text: string) => findFacts(entries, text).map(({ of }) => [of.kind, addressOf(of)]);

test('where did we use batch L 2207: the levelling, at its stage; staff readings are not looked through', () => {
  expect(found('where did we use batch L 2207')).toEqual([['works', '/rooms/room/level']]);
});

test('a job by its address, a room by its covering, a quotation by its note, each with where it is', () => {
  expect(found('cottage')).toEqual([['jobs', '/jobs/job']]);
  expect(found('landing vinyl')).toEqual([['rooms', '/rooms/room/room']]);
  expect(found('stair')).toEqual([['quotations', '/jobs/job/price']]);
  expect(entries.find(({ kind }) => kind === 'works')!.about).toEqual(['Sluice House', 'Landing', KINDS.works.words]);
});

test('packs bought are found by what is in them, and say it beside their batch', () => {
  expect(found('patching')).toEqual([['packCounts', '/jobs/job/buy']]);
  // The id it is kept under is nobody's word.
  expect(entries.flatMap(({ values }) => values).filter(({ text }) => text.includes('/'))).toEqual([]);
  const [byBatch] = findFacts(entries, 'batch P 118');
  expect(byBatch!.in.map(({ text }) => text)).toEqual(['P 118']);
  expect(byBatch!.of.about).toEqual(['Sluice House', 'Patching compound', KINDS.packCounts.words]);
});

test('whatever is found leads to a stage or page there is', () => {
  const stages = new Set(STAGES.map(({ id }) => id as string));
  for (const kind of FACT_KINDS) {
    const address = addressOf({ kind, jobId: 'j', roomId: 'r' });
    const [, stage] = /^\/rooms\/r\/(.*)$/.exec(address) ?? [];
    if (stage !== undefined) expect([kind, stages.has(stage)]).toEqual([kind, true]);
    else expect(address).toMatch(/^(\/cards|\/jobs\/j(\/(days|buy|price|record))?)$/);
  }
  const record = ['approvals', 'contacts', 'coverUps', 'handOvers', 'seals'] as const;
  for (const kind of record) expect(addressOf({ kind, jobId: 'j', roomId: null })).toBe('/jobs/j/record');
});

test('lengths are told and found in the units of whoever reads', () => {
  const row = (units: 'metric' | 'imperial') =>
    inUnits(units)
      .find(({ kind }) => kind === 'laidRows')!
      .values.map(({ text }) => text)
      .join(' ');
  expect(row('metric')).toMatch(/95 mm/);
  expect(row('imperial')).toMatch(/3 3\/4/);
  expect(row('imperial')).not.toMatch(/mm/);
});
