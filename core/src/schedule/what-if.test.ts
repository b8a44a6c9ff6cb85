import { checkPlan } from './check-plan.ts';
import { inventedJob } from './invented-jobs.ts';
import { isWork, type Job } from './task.ts';
import { planCases } from './what-if.ts';

const foundOf = (cases: ReturnType<typeof planCases>, id: string) => {
  const { found } = cases.find((one) => one.id === id)!;
  if ('why' in found) throw new Error(found.why);
  return found;
};
const cured = (job: Job, share: number): Job => ({
  ...job,
  tasks: job.tasks.map((task) =>
    isWork(task) || !task.key.endsWith('/cure') ? task : { ...task, quarters: Math.round(task.quarters * share) },
  ),
});

/** The easier of two cases first. */
const HARDER = [
  ['quick', 'plain'],
  ['plain', 'slow'],
  ['quick', 'slow'],
  ['more', 'plain'],
] as const;

test.each(Array.from({ length: 14 }, (_, k) => k + 1))(
  'property: of invented job %i a longer cure, or a person fewer, is never shown earlier',
  (seed) => {
    const job = inventedJob(seed, 2 + (seed % 4));
    const cases = [
      { id: 'quick', job: cured(job, 0.25) },
      { id: 'plain', job },
      { id: 'slow', job: cured(job, 2) },
      { id: 'more', job: { ...job, people: 3 } },
    ];
    const planned = planCases(cases, 14, 60);
    for (const { id, job: of } of cases) expect(checkPlan(of, foundOf(planned, id).plan)).toEqual([]);
    for (const [easy, hard] of HARDER) {
      expect(foundOf(planned, easy).reached.layingHalf).toBeLessThanOrEqual(foundOf(planned, hard).reached.layingHalf);
      expect(foundOf(planned, easy).promised.layingHalf).toBeLessThanOrEqual(
        foundOf(planned, hard).promised.layingHalf,
      );
    }
  },
);

test('a case that cannot be planned says why, and the others are planned all the same', () => {
  const job = inventedJob(3, 2);
  const none = { ...job, tasks: job.tasks.map((task) => (isWork(task) ? { ...task, people: 9 } : task)) };
  const planned = planCases(
    [
      { id: 'none', job: none },
      { id: 'some', job },
    ],
    6,
  );
  expect(planned[0]!.found).toMatchObject({ why: 'never' });
  expect(checkPlan(job, foundOf(planned, 'some').plan)).toEqual([]);
});
