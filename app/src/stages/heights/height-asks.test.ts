import type { RoomPicture } from '@maquette/core';
import type { LevelFact } from '@maquette/core/heights';
import { BLANK_SHAPE, newOpening, rectangleWalls, type RoomFacts } from '@maquette/core/room';
import { inWords } from '@maquette/words';
import { alongWords, askWords, heightAsks } from './height-asks.ts';

type Heights = NonNullable<RoomPicture['heights']>;
const place = (of: LevelFact['of'], aboutId: string, alongMm: number) => ({
  of,
  aboutId,
  alongMm,
  at: { xMm: 0, yMm: 0 },
  bareMm: 0,
  lyingMm: 0,
});
const places = [place('beyond', 'd', 0), place('beyond', 'd', 800), place('leaf', 'd', 0), place('leaf', 'd', 800)];
const heights = (more: { again?: boolean; readBeyond?: boolean; bar?: string } = {}) =>
  ({
    places,
    judged: {
      openings: [
        { openingId: 'd', again: more.again ?? false, bar: { kind: more.bar ?? 'measure' }, leaf: { what: 'measure' } },
      ],
      fixtures: [],
      untied: [],
    },
    joined: more.readBeyond ? [{ openingId: 'd', roomId: 'x', readBeyond: true }] : [],
  }) as unknown as Heights;
const read = (of: LevelFact['of'], alongMm: number) => ({ of, aboutId: 'd', alongMm }) as LevelFact;
const nobody = { leaves: new Set<string>(), appliances: new Set<string>() };
const keys = (asks: ReturnType<typeof heightAsks>) => asks.map(({ key }) => key);

test('one at a time, door by door: what lies beyond, then the leaf and what leaf it is', () => {
  expect(keys(heightAsks(heights(), [], nobody))).toEqual([
    'beyond/d/0',
    'beyond/d/800',
    'leaf/d/0',
    'leaf/d/800',
    'leaf-kind/d',
  ]);
});

test('what was taken is not asked again before the room has been judged anew', () => {
  const known = { leaves: new Set(['d']), appliances: new Set<string>() };
  expect(keys(heightAsks(heights(), [read('beyond', 0), read('leaf', 790)], known))).toEqual([
    'beyond/d/800',
    'leaf/d/0',
  ]);
});

test('a level by staff from a set-up that nothing ties is asked for again; one taped over a floor not read yet waits', () => {
  const known = { leaves: new Set(['d']), appliances: new Set<string>() };
  const of = (rodMm: number | null) => {
    const judged = { ...heights(), judged: { ...heights().judged, untied: ['u'] } };
    return keys(heightAsks(judged, [{ ...read('beyond', 0), id: 'u', rodMm }], known))[0];
  };
  expect(of(1330)).toBe('beyond/d/0');
  expect(of(null)).toBe('beyond/d/800');
});

test('near a limit the places beyond are asked once more, and first', () => {
  const known = { leaves: new Set(['d']), appliances: new Set<string>() };
  const levels = places.map(({ of, alongMm }) => read(of, alongMm));
  expect(keys(heightAsks(heights({ again: true, bar: 'flat' }), levels, known))).toEqual([
    'beyond/d/0',
    'beyond/d/800',
  ]);
  const twice = [...levels, read('beyond', 0)];
  expect(keys(heightAsks(heights({ again: true, bar: 'flat' }), twice, known))).toEqual(['beyond/d/800']);
});

test('what was read from the other side, and the edge of a stair, ask for nothing beyond', () => {
  const of = (more: object) => keys(heightAsks(heights(more), [], nobody)).filter((key) => key.startsWith('beyond'));
  expect(of({ readBeyond: true })).toEqual([]);
  expect(of({ bar: 'nosing' })).toEqual([]);
});

test('a place is said by the hinge of a door, and by the ends of any other opening', () => {
  const room = (kind: 'door' | 'archway') =>
    ({
      ...BLANK_SHAPE,
      walls: rectangleWalls(4000, 3000),
      openings: [{ ...newOpening('d', 0, 0, 800), kind, hinge: 'end' }],
    }) as unknown as RoomFacts;
  const say = (said: Parameters<typeof inWords>[0]) => inWords(said, 'metric');
  expect(places.slice(0, 2).map((one) => alongWords(room('door'), one))).toEqual(['at the latch', 'at the hinge']);
  expect(places.slice(0, 2).map((one) => alongWords(room('archway'), one))).toEqual([
    'at its near end',
    'at its far end',
  ]);
  expect(askWords(room('door'), places[0]!, say)).toBe('Floor beyond the door in W1');
  expect(askWords(room('door'), places[2]!, say)).toBe('Underside of the leaf in the door in W1');
});
