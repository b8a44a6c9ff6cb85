import { layingBound, prepare, schedule } from '@maquette/core/schedule';
import { inventedJob } from '../../core/src/schedule/invented-jobs.ts';

/*
 * Days: twelve invented jobs of two to fourteen rooms, each planned with a count of tries that takes about a quarter of a second here, held against the half day that
 * no order goes under.
 */
let [met, worst] = [0, 0];
for (let seed = 1; seed <= 12; seed++) {
  const job = inventedJob(seed, 1 + seed);
  const prepared = prepare(job);
  if ('why' in prepared) throw new Error(prepared.why);
  const boundBegan = performance.now();
  const bound = layingBound(prepared)!;
  const boundMs = performance.now() - boundBegan;
  const began = process.cpuUsage();
  const until = performance.now() + 250;
  const found = schedule({ prepared, tries: 100_000, boundHalf: bound, shouldStop: () => performance.now() > until });
  const { user, system } = process.cpuUsage(began);
  if ('why' in found) throw new Error(found.why);
  const over = found.reached.layingHalf - bound;
  if (over === 0) met++;
  worst = Math.max(worst, over);
  console.log(
    `${job.tasks.length} tasks: half day ${found.reached.layingHalf}, not before ${bound}; ${found.tries} plans, ${((user + system) / 1000).toFixed(0)} ms (bound ${boundMs.toFixed(0)})`,
  );
}
console.log(`bound met in ${met} of 12, at worst ${worst} half days over`);
