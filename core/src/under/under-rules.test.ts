import fc from 'fast-check';
import '@maquette/words/rest';
import { readOut } from '@maquette/words';
import type { CoveringNeeds, UnderlayFigures, UnderOption, UnderRoom } from './option.ts';
import { breaksOf, UNDER_RULES } from './under-rules.ts';
import { PLAIN_ROOM } from './invented-under-room.ts';

const LAMINATE: CoveringNeeds = {
  floats: true,
  hasOwnPad: false,
  allowsSoft: null,
  mostSoftMm: 3,
  leastKPa: 60,
  sdM: 8,
  rM2KW: 0.05,
  isHeatRated: true,
  asksFilmOnTimber: false,
  filmCures: false,
  bumpsMm: 0.5,
  allowsWetRoom: false,
  fireClassWithUnderlay: 'Cfl',
};
const FOAM: UnderlayFigures = {
  kind: 'foam',
  thicknessMm: 2,
  kPa: 90,
  rM2KW: 0.05,
  sdM: 0.5,
  filmSdM: 0,
  stepDb: 18,
  stepDbOn: 'mineral',
  conformsMm: 1,
  isHeatRated: true,
  costM2: 4,
};
const FILM = { sdM: 100, isTaped: true, rM2KW: 0, costM2: 1 };
const option = (more: Partial<UnderlayFigures> | null = {}, film: UnderOption['film'] = FILM): UnderOption => ({
  id: 'o',
  underlay: more && { ...FOAM, ...more },
  film,
});
const rules = (
  of: UnderOption,
  covering: Partial<CoveringNeeds> = {},
  room: Partial<UnderRoom> = {},
  schools?: Parameters<typeof breaksOf>[3],
) =>
  breaksOf(of, { ...LAMINATE, ...covering }, { ...PLAIN_ROOM, ...room }, schools).map(({ rule, word }) => [rule, word]);

test('foam and a taped film under laminate on a slab break nothing', () => {
  expect(rules(option())).toEqual([]);
});

test.each<[string, UnderOption, Partial<CoveringNeeds>, Partial<UnderRoom>, string]>([
  ['B0', option(), {}, { damp: 'work' }, 'refused'],
  ['B0', option(), {}, { damp: 'wait' }, 'wait'],
  ['B1', option(), {}, { liesOnSoft: true }, 'refused'],
  ['B2', option(), { floats: false }, {}, 'refused'],
  ['B3', option(), { hasOwnPad: true }, {}, 'refused'],
  ['B4', option({ thicknessMm: 5 }), {}, {}, 'refused'],
  ['B5', option({ kPa: 40 }), {}, {}, 'refused'],
  ['B5', option({ kPa: null }), {}, {}, 'measure'],
  ['B6', option({}, null), {}, {}, 'refused'],
  ['B6', option({}, { ...FILM, isTaped: false }), {}, {}, 'refused'],
  ['B6', option(), {}, { isSulfate: true }, 'stop'],
  ['B7', option(), {}, { base: 'timber' }, 'refused'],
  ['B8', option({}, null), {}, { base: 'timber', crawl: 'open' }, 'measure'],
  ['B9', option(), {}, { heated: null }, 'measure'],
  ['B10', option({ rM2KW: 0.12 }), {}, { heated: 'water' }, 'refused'],
  ['B10', option({ rM2KW: null }), {}, { heated: 'water' }, 'measure'],
  ['B11', option({ isHeatRated: false }), {}, { heated: 'electric' }, 'refused'],
  ['B12', option(), {}, { dwellingBelow: true }, 'measure'],
  ['B13', option(), {}, { dwellingBelow: true, askedDb: 20 }, 'refused'],
  ['B14', option({ stepDbOn: 'timber' }), {}, { dwellingBelow: true, askedDb: 18 }, 'measure'],
  ['B15', option(), {}, { bumpsMm: 1.2 }, 'refused'],
  ['B16', option(), {}, { flat: 'work' }, 'refused'],
  ['B17', option(), {}, { isWetRoom: true }, 'refused'],
  ['B17', option({ kind: 'cork' }), { allowsWetRoom: true }, { isWetRoom: true }, 'refused'],
  ['B18', option(), {}, { isEscapeRoute: true }, 'measure'],
  ['B18', option(), {}, { isEscapeRoute: true, askedFireClass: 'Bfl' }, 'refused'],
])('%s breaks where it should, and alone', (rule, of, covering, room, word) => {
  expect(rules(of, covering, room)).toEqual([[rule, word]]);
});

test('schools: no film where a membrane is recorded, a second pad where the sheet allows it; a film cures only by the sheet’s word', () => {
  const bare = option({}, null);
  const membrane = { hasMembrane: true };
  expect(rules(bare, {}, membrane)).toEqual([['B6', 'refused']]);
  expect(rules(bare, {}, membrane, { film: 'by-need', secondPad: 'by-card', timber: 'by-card' })).toEqual([]);
  expect(rules(bare, {}, {}, { film: 'by-need', secondPad: 'by-card', timber: 'by-card' })).toEqual([
    ['B6', 'refused'],
  ]);
  const padded = { hasOwnPad: true, allowsSoft: true };
  expect(rules(option(), padded)).toEqual([]);
  expect(rules(option(), padded, {}, { film: 'always', secondPad: 'never', timber: 'by-card' })).toEqual([
    ['B3', 'refused'],
  ]);
  expect(rules(option(), { filmCures: true }, { damp: 'work' })).toEqual([]);
  expect(rules(option(), { filmCures: true }, { damp: 'stop' })).toEqual([['B0', 'refused']]);
});

test('all that breaks is told, in the order of the rules, each in words', () => {
  const broken = breaksOf(option({ thicknessMm: 5, kPa: 20 }, null), LAMINATE, {
    ...PLAIN_ROOM,
    damp: 'work',
    flat: 'work',
  });
  expect(broken.map(({ rule }) => rule)).toEqual(['B0', 'B4', 'B5', 'B6', 'B16']);
  for (const why of readOut(broken.map((one) => one.why))) expect(why).toMatch(/^[A-Z].*\.$/);
});

test('property: what breaks an option depends on nothing else that is offered, and comes in the order of the rules', () => {
  const figures = fc.record({
    thicknessMm: fc.double({ min: 0.5, max: 10, noNaN: true }),
    kPa: fc.option(fc.double({ min: 5, max: 400, noNaN: true })),
    conformsMm: fc.option(fc.double({ min: 0, max: 3, noNaN: true })),
  });
  fc.assert(
    fc.property(
      fc.array(figures, { minLength: 1, maxLength: 4 }),
      fc.double({ min: 0, max: 3, noNaN: true }),
      (all, bumpsMm) => {
        const room = { ...PLAIN_ROOM, bumpsMm };
        const told = all.map((one) => breaksOf(option(one), LAMINATE, room));
        told.forEach((one, k) => expect(breaksOf(option(all[k]), LAMINATE, room)).toEqual(one));
        for (const one of told) {
          const places = one.map(({ rule }) => UNDER_RULES.indexOf(rule));
          expect([...places].sort((a, b) => a - b)).toEqual(places);
        }
      },
    ),
  );
});
