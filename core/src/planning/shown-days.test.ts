import { courseOf } from './course-of-job.ts';
import { AT, FACTS, house } from './invented-job.ts';
import { whatIfs } from './what-ifs.ts';

const NOTHING_UNDER = { panels: [], rolls: [] };
const ROOMS = house();

test('what is wet asks for the dew point on its day, by the job’s own margin; nothing else does', () => {
  const facts = {
    ...FACTS,
    figures: [{ id: 'f', jobId: 'j', name: 'dew-margin-c' as const, value: 4, source: 'Sheet of the compound' }],
  };
  const { tasks } = courseOf(ROOMS, facts, NOTHING_UNDER, AT).days;
  const asked = tasks.filter(({ readFirst }) => readFirst !== null);
  expect(new Set(asked.map(({ key }) => key.split('/').slice(1).join('/')))).toEqual(
    new Set(['level/prime', 'level/pour']),
  );
  expect(asked[0]!.readFirst).toMatchObject({ values: { least: { value: 4 } } });
});

test('the job as it is has the same dates among its cases as on its own page', () => {
  const { days } = courseOf(ROOMS, FACTS, NOTHING_UNDER, AT);
  const asItIs = whatIfs(ROOMS, FACTS, NOTHING_UNDER, AT)[0]!;
  const { at: _, ...laying } = days.laying!;
  expect(asItIs.laying).toEqual(laying);
  expect(asItIs.promised).toEqual(days.chances.p80);
});
