import type { HeightsOfRoom, LeastAnswer, RoomSet } from '@maquette/core';
import type { HeightsChoice } from '@maquette/core/heights';
import { newOpening } from '@maquette/core/room';
import { inWords } from '@maquette/words';
import { ledgerRows } from './ledger-rows.ts';
import type { LevellingPlan } from '@maquette/core/levelling';
import { chosenOf } from './chosen-of.ts';
import { wayToWorkOut } from './levelled-heights.ts';
import { takenChoice } from './taken-choice.ts';
import type { RoomOfJob } from './use-job-heights.ts';

const say = (said: Parameters<typeof inWords>[0]) => inWords(said, 'metric');
const judged = (openingId: string, known: boolean) => ({
  openingId,
  here: [],
  step: known ? { profiles: { new: { minMm: 1, maxMm: 2, at: [] } } } : null,
  bar: { kind: known ? 'flat' : 'measure' },
  packing: null,
  ramp: null,
  leaf: null,
  leafMm: null,
  provisional: !known,
});
function room(id: string, known: boolean, readBeyond: boolean, more: object = {}): RoomOfJob {
  const opening = { ...newOpening(`${id}-door`, 0, 0, 800), sharedId: 's' };
  const own = { ...newOpening(`${id}-own`, 0, 1000, 900), kind: 'archway' as const };
  return {
    set: {
      room: { id, name: id, cardId: 'own', walls: [{ lengthMm: 4000, turnDeg: 90 }], openings: [opening, own] },
      ...more,
    } as unknown as RoomSet,
    answers: [],
    heights: {
      judged: { openings: [judged(opening.id, known), judged(own.id, false)], fixtures: [], untied: [] },
      joined: [{ openingId: opening.id, roomId: 'other', readBeyond }],
      undercuts: [],
      stairs: [],
    } as unknown as HeightsOfRoom,
  };
}
const lines = (rooms: RoomOfJob[]) =>
  ledgerRows(rooms, say).map(({ room: name, otherRoom, row }) => [name, otherRoom, row.openingId]);

test('a shared opening stands in the ledger once, in the room it was read from', () => {
  expect(lines([room('a', true, true), room('b', true, false)])).toEqual([
    ['a', '', 'a-own'],
    ['b', 'a', 'b-door'],
    ['b', '', 'b-own'],
  ]);
  // Read from neither side it stands in the room that comes first.
  expect(lines([room('a', false, false), room('b', false, false)])).toEqual([
    ['a', 'b', 'a-door'],
    ['a', '', 'a-own'],
    ['b', '', 'b-own'],
  ]);
});

test('the lengths of the ledger add up to the openings of the job, whoever has read them', () => {
  for (const [a, b] of [
    [true, false],
    [false, true],
    [false, false],
    [true, true],
  ] as const) {
    const rows = ledgerRows([room('a', a, a && b), room('b', b, false)], say);
    expect(rows.reduce((sum, { row }) => sum + row.widthMm, 0)).toBe(800 + 900 + 900);
  }
});

test('a choice over the job becomes facts of each room: what goes down, what becomes of the old floor, how high it is poured', () => {
  const buildUp = {
    panelMm: 0,
    filmMm: 0.2,
    underlayMm: 3,
    kPaAtHalfMm: 60,
    setShare: 0.05,
    coveringMm: null,
    coveringKgM2: 7,
    note: '',
  };
  const facts = {
    layers: [
      { id: 'l-1', thicknessMm: 2 },
      { id: 'l-2', thicknessMm: 6 },
    ],
    ticks: [{ key: 'layer/l-2', doneAt: '', id: 't', note: '' }],
    answers: [],
    buildUps: [{ id: 'held', ...buildUp }],
    layerChoices: [],
  };
  const laid = [room('a', true, false, facts)];
  const answer = {
    rooms: [
      {
        roomId: 'a',
        systems: [
          { id: 'x', cardId: 'own', buildUp, keeps: false },
          { id: 'y', cardId: 'other', buildUp, keeps: null },
        ],
        topMm: 4,
        pourAtMm: 10,
      },
    ],
  } as unknown as LeastAnswer;
  const choice = { rooms: [{ roomId: 'a', systemId: 'x', pourMm: 20, litres: 50 }] } as unknown as HeightsChoice;
  const changes = takenChoice(choice, answer, laid);
  expect(changes.map(({ kind, id, body }) => [kind, kind === 'buildUps' ? id : '', body])).toEqual([
    ['buildUps', 'held', buildUp],
    // What is up already is not chosen for any more.
    ['layerChoices', '', { layerId: 'l-1', choice: 'remove', note: '' }],
    ['answers', '', { question: 'levelling/way', answer: 'plane', note: '' }],
    // 20 over the storey’s datum is 10 over the room’s, 6 over its highest place.
    ['answers', '', { question: 'levelling/pour-least', answer: 6, note: '' }],
  ]);
  const dry = { rooms: [{ roomId: 'a', systemId: 'x', pourMm: null, litres: 0 }] } as unknown as HeightsChoice;
  expect(takenChoice(dry, answer, laid).map(({ kind }) => kind)).toEqual(['buildUps', 'layerChoices']);
  // A pour that was chosen before is not planned any more.
  const poured = { ...laid[0]!, answers: [{ id: 'w', question: 'levelling/way', answer: 'plane', note: '' }] };
  expect(takenChoice(dry, answer, [poured]).at(-1)).toMatchObject({
    id: 'w',
    body: { question: 'levelling/way', answer: 'fill' },
  });
  // Another covering is the room’s from then on.
  const other = { rooms: [{ roomId: 'a', systemId: 'y', pourMm: null, litres: 0 }] } as unknown as HeightsChoice;
  const [card] = takenChoice(other, answer, laid);
  expect(card).toMatchObject({ kind: 'rooms', id: 'a', body: { cardId: 'other' } });
  expect(card!.body).not.toHaveProperty('id');
});

test('only a way that takes a programme is worked out before the levelled floor is known', () => {
  const plan = (holds: boolean, nothingToDo = false) =>
    ({ nothingToDo, planes: [{ levelMm: 4 }], fill: { holds } }) as unknown as LevellingPlan;
  const chose = (answer: string) => [{ id: 'w', question: 'levelling/way', answer, note: '' }];
  expect(wayToWorkOut(plan(true, true), chose('grind'))).toBeNull();
  expect(wayToWorkOut(plan(true), [])).toBe('mixed');
  expect(wayToWorkOut(plan(true), chose('plane'))).toBeNull();
  expect(wayToWorkOut(plan(true), chose('fill'))).toBeNull();
  expect(wayToWorkOut(plan(false), chose('fill'))).toBe('fill');
  expect(wayToWorkOut(plan(true), chose('ramp'))).toBe('ramp');
  expect(wayToWorkOut(plan(true), chose('panel'))).toBe('mixed');
  expect(chosenOf(chose('grind'))).not.toBe(chosenOf(chose('fill')));
});
