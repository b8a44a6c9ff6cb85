import loadHighs from 'highs';
import { highsModels } from '@maquette/core/levelling';
import { planFloor, planHerringbone, plainWay, priceBound, staggerBound } from '@maquette/core/setout';
import { regionAreaM2, regionOf } from '@maquette/core/room';
import { boxAt, CLICK_1290, inventedRows } from '../../core/src/setout/invented-floors.ts';

/*
 * Setting out: nineteen invented rooms, planned live and longer, held against the plain way of the trade and against what no layout of these rows goes
 * under. Seconds of one thread's own time.
 */
const ROOMS = 19;
const LIVE = { firsts: 2, rounds: [6000] };
const LONG = { firsts: 12, rounds: [10_000, 20_000, 40_000, 80_000] };
const open = highsModels(await loadHighs());

const seconds = <T>(what: () => T): [T, number] => {
  const began = process.cpuUsage();
  const made = what();
  const { user, system } = process.cpuUsage(began);
  return [made, (user + system) / 1e6];
};

const sum = {
  live: 0,
  long: 0,
  least: 0,
  all: 0,
  plain: 0,
  both: 0,
  proved: 0,
  more: 0,
  broken: 0,
  liveS: 0,
  longS: 0,
  worstS: 0,
};
let areaM2 = 0;
for (let seed = 1; seed <= ROOMS; seed++) {
  if (process.env.ONLY && !process.env.ONLY.split(',').includes(String(seed))) continue;
  const region = inventedRows(seed);
  areaM2 += regionAreaM2(region);
  const ask = { region, plank: CLICK_1290 };
  const [quick, quickS] = seconds(() => planFloor({ ...ask, ...LIVE })!);
  const [found, foundS] = seconds(() =>
    planFloor({
      ...ask,
      ...LONG,
      boundOf: {
        longest: (strips, held) => priceBound(strips, CLICK_1290, open, { over: 'longest', held }),
        all: (strips, held) => priceBound(strips, CLICK_1290, open, { held }),
      },
      proveOf: (strips, held, enough) => staggerBound(strips, CLICK_1290, open, { over: 'longest', held, enough }),
    })!,
  );
  const bound = found.bound.longest;
  sum.all += found.bound.rows;
  const [one, two] = [false, true].map((isBoth) => plainWay(found.strips, CLICK_1290, isBoth));
  sum.live += quick.rows.planks;
  sum.long += found.rows.planks;
  sum.least += bound;
  sum.plain += one!.planks;
  sum.both += two!.planks;
  if (found.rows.planks === bound) sum.proved++;
  if (found.rows.planks > Math.min(one!.planks, two!.planks)) sum.more++;
  if (found.rows.breaches.length > 0) sum.broken++;
  sum.liveS += quickS;
  sum.longS += foundS;
  sum.worstS = Math.max(sum.worstS, quickS);
  if (process.env.DBG) console.log(seed, quick.rows.planks, found.rows.planks, found.bound, quickS, foundS);
}
const { live, long, least, plain, both, proved, more, broken, liveS, longS, worstS } = sum;
console.log(
  `${ROOMS} rooms, ${areaM2.toFixed(0)} m²: live ${live} planks, longer ${long}, at least ${least} (${((100 * long) / least - 100).toFixed(1)} % over; ${proved} proved least); plain way ${plain}, second row looked at ${both} (${(100 - (100 * long) / plain).toFixed(1)} % fewer), more than either on ${more}; rooms that break a rule ${broken}; live ${(liveS / ROOMS).toFixed(2)} s, worst ${worstS.toFixed(2)}, longer ${(longS / ROOMS).toFixed(1)}`,
);
const [herringbone, herringboneS] = seconds(() =>
  planHerringbone(regionOf(boxAt(0, 0, 5000, 4000)), { lengthMm: 600, widthMm: 120, kerfMm: 3 }, 2000)!,
);
console.log(
  `herringbone 20 m², 600 x 120: waste ${(100 * herringbone.waste).toFixed(1)} %, ${((1000 * herringboneS) / 6).toFixed(0)} ms an offset`,
);
