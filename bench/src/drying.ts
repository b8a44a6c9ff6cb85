import { forecastSeries, humidityOn } from '@maquette/core/drying';
import { inventSlabs } from '../../core/src/drying/invented-slabs.ts';

/** Share of true dates inside the 80 % band over 200 invented slabs, and what a forecast costs beside one year simulated. */
const COUNT = 200;
const slabs = inventSlabs(COUNT, 11);
let [inside, early, late] = [0, 0, 0];
const began = performance.now();
let slowestMs = 0;
for (const slab of slabs) {
  const at = performance.now();
  const plan = { roomRhPercent: slab.planRhPercent, roomC: 20, faces: 1 as const };
  const found = forecastSeries(slab.series, slab.limitPercent, plan, 20);
  slowestMs = Math.max(slowestMs, performance.now() - at);
  const day = slab.trueDay ?? Infinity;
  if (day < (found.earlyDay ?? Infinity)) early++;
  else if (day > (found.lateDay ?? Infinity)) late++;
  else inside++;
}
const eachMs = (performance.now() - began) / COUNT;
const year = slabs[0]!.series;
const model = {
  thicknessMm: 100,
  diffusivityM2S: 3e-10,
  startRh: 0.96,
  climates: year.climates,
  law: 'concrete' as const,
};
const yearBegan = performance.now();
for (let i = 0; i < 50; i++) humidityOn(model, 40, [365]);
const yearMs = (performance.now() - yearBegan) / 50;
console.log(
  `Drying: ${inside} of ${COUNT} true dates inside the 80 % band (${early} sooner, ${late} later); fit and forecast ${eachMs.toFixed(0)} ms on average, slowest ${slowestMs.toFixed(0)} ms, ${(eachMs / yearMs).toFixed(0)} times one simulated year`,
);
