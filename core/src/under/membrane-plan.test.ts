import '@maquette/words/rest';
import '@maquette/words/membranes';
import { readOut } from '@maquette/words';
import { SHIPPED_UNDER } from './cards.ts';
import { membranePlan } from './membrane-plan.ts';
import { PLAIN_ROOM } from './invented-under-room.ts';

const [epoxy, polyurethane, dispersion] = SHIPPED_UNDER.membranes;
const ROOM = { ...PLAIN_ROOM, damp: 'work' as const };
const floor = { areaM2: 20, perimeterMm: 18_000, upturnMm: 50, isGlued: false };

test('coats, tubs and hours by hand: 20 m² and 0.9 m² up the walls', () => {
  const plan = membranePlan(dispersion!, floor, ROOM, 84);
  expect(plan.refused).toBeNull();
  expect(plan.primerKg).toBeCloseTo(20.9 * 0.12, 9);
  expect(plan.kg).toBeCloseTo(20.9 * 0.25 * 2, 9);
  expect(plan.tubs).toBe(2);
  // Primer 2 h, 2 h to the second coat, 24 h until it is hard.
  expect(plan.hours).toBe(28);
  expect(plan.steps.map(({ id }) => id)).toEqual(['ground', 'primer', 'mix', 'coat-1', 'coat-2', 'pin-holes', 'over']);
});

test.each([
  ['over its limit', dispersion!, ROOM, 88, 'work', /88.*85/],
  ['unread', epoxy!, ROOM, null, 'measure', /not read/],
  ['timber', epoxy!, { ...ROOM, base: 'timber' as const }, 80, 'work', /sealed in/],
  ['calcium sulfate without a membrane beneath', epoxy!, { ...ROOM, isSulfate: true }, 80, 'stop', /dried/],
  ['water coming in', epoxy!, { ...ROOM, damp: 'stop' as const }, 80, 'stop', /source/],
])('refused where it cannot hold: %s', (_, card, room, rh, word, why) => {
  const { refused } = membranePlan(card, floor, room, rh);
  expect(refused?.word).toBe(word);
  expect(readOut(refused!.why)).toMatch(why);
});

test('a glued covering asks for a membrane that adhesive holds on, and each binder has its cautions', () => {
  const bare = { ...polyurethane!, takesAdhesive: false };
  expect(membranePlan(bare, { ...floor, isGlued: true }, ROOM, 80).refused?.word).toBe('work');
  const said = (card: typeof epoxy) =>
    membranePlan(card!, floor, ROOM, 80)
      .cautions.map((one) => readOut(one))
      .join(' ');
  expect(said(epoxy)).toMatch(/skin may make it allergic/);
  expect(said(polyurethane)).toMatch(/Isocyanates/);
});
