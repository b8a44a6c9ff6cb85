import { SHIPPED_CARDS } from '@maquette/core/coverings';
import { BLANK_SHAPE, rectangleWalls } from '@maquette/core/room';
import { emptyBook, listsOf, ROOM_FACT_KINDS, type FactOf } from './kinds.ts';
import type { BookFacts, RoomFactsOf } from './fact-lists.ts';
import { createPlainFacts } from './plain-facts.ts';

const own = { version: 1, updatedAt: '1', deletedAt: null, waiting: true, order: 1, made: null, first: null };
const tick = (id: string, part: object = {}) =>
  ({ ...own, id, roomId: 'r', key: 'layer/a', doneAt: 't', note: '', writeId: `w-${id}`, ...part }) as FactOf<'ticks'>;
const choice = (id: string, order: number) =>
  ({
    ...own,
    id,
    roomId: 'r',
    layerId: 'l',
    choice: 'keep',
    note: '',
    writeId: `w-${id}`,
    order,
  }) as FactOf<'layerChoices'>;
const noRoomLists = (): RoomFactsOf => listsOf(ROOM_FACT_KINDS, () => []);
const room = { id: 'r', jobId: 'j' } as FactOf<'rooms'>;
const ROOM = {
  id: 'r',
  jobId: 'j',
  name: 'Room',
  rank: 0,
  walls: rectangleWalls(3000, 2400),
  ...BLANK_SHAPE,
  baseKind: 'slab-on-ground' as const,
  cardId: 'shipped-click-vinyl',
  units: 'metric' as const,
  spacingMm: null,
  contactsOnly: false,
};
const CARD = SHIPPED_CARDS[0]!;
const book = { ...emptyBook(), jobs: [] as FactOf<'jobs'>[] } as BookFacts;
const open = () => {
  const maker = createPlainFacts();
  return (lists: Partial<ReturnType<typeof noRoomLists>>) =>
    maker.factsOf(room, { ...noRoomLists(), ...lists }, book, () => undefined);
};

test('an acknowledgement changes nothing that is judged: the very same facts, the very same lists', () => {
  const factsOf = open();
  const before = factsOf({ ticks: [tick('a'), tick('b')] });
  const after = factsOf({ ticks: [tick('a', { waiting: false, updatedAt: '2' }), tick('b')] });
  expect(after).toBe(before);
  expect(before.ticks).toEqual([
    { id: 'a', key: 'layer/a', doneAt: 't', note: '' },
    { id: 'b', key: 'layer/a', doneAt: 't', note: '' },
  ]);
});

test('one list changed leaves the others as they are, and within it every fact but the one', () => {
  const factsOf = open();
  const before = factsOf({ ticks: [tick('a'), tick('b')] });
  const after = factsOf({ ticks: [tick('a'), tick('b', { writeId: 'w-2', note: 'n' })] });
  expect(after).not.toBe(before);
  expect(after.marks).toBe(before.marks);
  expect(after.ticks[0]).toBe(before.ticks[0]);
  expect(after.ticks[1]).toMatchObject({ note: 'n' });
});

test('chalk and the way chosen are memory: they are kept, and what is judged stays the very same', () => {
  const maker = createPlainFacts();
  const setOf = (ticks: FactOf<'ticks'>[]) => {
    const plain = maker.factsOf(room, { ...noRoomLists(), ticks }, book, () => undefined);
    return { plain, set: maker.setOf(plain, ROOM, CARD) };
  };
  const before = setOf([tick('a')]);
  const after = setOf([tick('a'), tick('c', { key: 'chalk/F1/1' })]);
  expect(after.plain.ticks.map(({ id }) => id)).toEqual(['a', 'c']);
  expect(after.set).toBe(before.set);
});

test('where the newest counts, it comes last', () => {
  const lists = { layerChoices: [choice('late', 3), choice('early', 1), choice('b', 2), choice('a', 2)] };
  expect(open()(lists).layerChoices.map(({ id }) => id)).toEqual(['early', 'b', 'a', 'late']);
});
