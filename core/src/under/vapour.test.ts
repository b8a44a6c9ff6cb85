import fc from 'fast-check';
import { outsideYear, unheatedAir, usualMonths } from './climate.ts';
import { saturationPa, vapourPa } from './saturation.ts';
import { INSIDE_R, passing, placesIn, sdOf, sdWithOpen, type MonthAir, type VapourLayer } from './vapour-layers.ts';
import { vapourVerdict } from './vapour-verdict.ts';
import { vapourYear } from './vapour-year.ts';

const layer = (id: string, rM2KW: number, sdM: number, isWood = false): VapourLayer => ({ id, rM2KW, sdM, isWood });
const CRAWL = { belowM2KW: 0.17, aboveM2KW: INSIDE_R };
const GROUND = { belowM2KW: 0, aboveM2KW: INSIDE_R };
const allYear = (month: MonthAir): MonthAir[] => Array.from({ length: 12 }, () => month);

test('pressure of saturated vapour, by the tables of EN ISO 13788', () => {
  expect(saturationPa(20)).toBeCloseTo(2337, -1);
  expect(saturationPa(0)).toBeCloseTo(610.5, 6);
  expect(saturationPa(-10)).toBeCloseTo(259.3, 0);
});

test('a film with a thousandth of it open is as tight as half of it', () => {
  expect(sdOf(300_000, 0.2)).toBeCloseTo(60, 9);
  expect(sdWithOpen(100, 0.001, 0.1)).toBeCloseTo(50, 0);
});

test('a slab at 12 °C under a room of 20 °C and 50 %: what a film does to the air beneath the planks and on the slab', () => {
  // A slab of sd 14 m; laminate of sd 8 m over it, then a film of 75 m between.
  const air = { below: { c: 12, rh: 100 }, above: { c: 20, rh: 50 } };
  const rh = (layers: VapourLayer[], at: number) => {
    const places = placesIn(layers, air, GROUND);
    return (100 * passing(places, air, () => false).pa[at]!) / places[at]!.saturationPa;
  };
  const [slab, film, planks] = [layer('slab', 0.08, 14), layer('film', 0, 75), layer('planks', 0.06, 8)];
  expect(rh([slab, planks], 1)).toBeCloseTo(78, 0);
  expect(rh([slab, film, planks], 2)).toBeCloseTo(74.2, 0);
  expect(rh([slab, film, planks], 1)).toBeCloseTo(85.3, 0);
});

describe('boards over a crawl space', () => {
  const months = (coveredBy = 0): MonthAir[] =>
    Array.from({ length: 12 }, (_, m) => {
      const swing = -Math.cos((2 * Math.PI * (m - 0.5)) / 12);
      return {
        below: { c: 9.5 + 6.5 * swing, rh: 89 + 5 * swing - coveredBy },
        above: { c: 20, rh: 50 + 8 * swing },
      };
    });
  const floor = (filmSdM: number | null) => [
    layer('boards', 0.16, 1.4, true),
    layer('foam', 0.03, 0.5),
    ...(filmSdM === null ? [] : [layer('film', 0, filmSdM)]),
    layer('laminate', 0.05, 8),
  ];

  test('open ground keeps the boards too damp in summer; a film from above changes nothing and takes the way back', () => {
    const bare = vapourVerdict(floor(null), months(), CRAWL);
    expect([bare.word, bare.why]).toEqual(['work', 'wood-damp']);
    expect(bare.wood!.rh).toBeGreaterThan(80);
    const film = vapourVerdict(floor(100), months(), CRAWL);
    expect(film.wood!.rh).toBeCloseTo(bare.wood!.rh, 1);
    expect(film.reserve!.aboveG / bare.reserve!.aboveG).toBeCloseTo(9.2 / 109.2, 3);
  });

  test('covered ground cures it', () => {
    const covered = vapourVerdict(floor(null), months(20), CRAWL);
    expect(covered.word).toBe('open');
    const bare = vapourVerdict(floor(null), months(), CRAWL);
    // Twenty points less in the crawl space are some eighteen on the warmer underside of the boards.
    expect(bare.wood!.rh - covered.wood!.rh).toBeGreaterThan(15);
  });
});

test('a foil under insulated boards collects water through the winter and gives it off in summer', () => {
  const air = usualMonths(outsideYear(8, 10), 'crawl');
  const floor = [
    layer('boards', 0.16, 1.4, true),
    layer('wool', 1.5, 0.1),
    layer('foil', 0, 20),
    layer('planks', 0.1, 4, true),
  ];
  // Turned round: the foil lies on the cold side, where vapour from the room comes to it.
  const cold = [layer('foil', 0, 20), ...floor.filter(({ id }) => id !== 'foil')];
  const { peak, dries, months } = vapourYear(
    cold,
    air.map(({ below, above }) => ({ below: { ...below, c: below.c - 12 }, above })),
    CRAWL,
  );
  expect(peak!.heldG).toBeGreaterThan(10);
  expect(dries || months.every(({ heldG }) => heldG.every((g) => g >= 0))).toBe(true);
  expect(vapourYear(floor, allYear({ below: { c: 18, rh: 50 }, above: { c: 20, rh: 50 } }), CRAWL).peak).toBeNull();
});

test('property: what is held is never less than nothing, air never over saturated, and a year without water stays without', () => {
  const rh = fc.integer({ min: 20, max: 99 });
  const c = fc.integer({ min: -15, max: 24 });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.double({ min: 0, max: 2, noNaN: true }), fc.double({ min: 0, max: 60, noNaN: true })), {
        minLength: 1,
        maxLength: 5,
      }),
      fc.array(fc.tuple(c, rh, rh), { minLength: 12, maxLength: 12 }),
      (parts, year) => {
        const layers = parts.map(([r, sd], k) => layer(`l${k}`, r, sd, k === 0));
        const air = year.map(([below, rhBelow, rhAbove]) => ({
          below: { c: below, rh: rhBelow },
          above: { c: 20, rh: rhAbove },
        }));
        const { months, peak } = vapourYear(layers, air, CRAWL);
        for (const { heldG, rh: at } of months) {
          for (const g of heldG) expect(g).toBeGreaterThanOrEqual(0);
          // Between the faces nothing is over saturated.
          for (const one of at.slice(1, -1)) expect(one).toBeLessThanOrEqual(100 + 1e-6);
        }
        const dry = air.every((month) => {
          const places = placesIn(layers, month, CRAWL);
          return passing(places, month, () => false).rate.every((rate) => rate <= 0);
        });
        if (dry) expect(peak).toBeNull();
      },
    ),
    { numRuns: 60 },
  );
});

test('what comes together is the difference of what arrives and what goes on', () => {
  const air = { below: { c: -5, rh: 80 }, above: { c: 20, rh: 60 } };
  const layers = [layer('tight', 0.1, 10), layer('open', 2, 0.5)];
  const places = placesIn(layers, air, CRAWL);
  const { pa, rate } = passing(places, air, () => false);
  expect(pa[1]).toBeCloseTo(places[1]!.saturationPa, 9);
  const arrives = (vapourPa(air.above) - pa[1]!) / 0.5;
  const goesOn = (pa[1]! - vapourPa(air.below)) / 10;
  expect(rate[1]! / 2e-10).toBeCloseTo(arrives - goesOn, 6);
});

test('an unheated room beneath is halfway to outside, holding the water of the room and no more than it can', () => {
  // 20 °C and 50 %RH above, 0 outside: 10 °C, 1168 Pa over 1228.
  expect(unheatedAir(0, { c: 20, rh: 50 })).toEqual({ c: 10, rh: expect.closeTo(95.2, 0) as number });
  expect(unheatedAir(-10, { c: 20, rh: 60 }).rh).toBe(100);
  expect(unheatedAir(5, { c: 20, rh: 40 }, 1)).toEqual({ c: 20, rh: expect.closeTo(40, 9) as number });
});
