import { inWords } from '@maquette/words';
import '@maquette/words/report';
import type { Quotation } from '../bill/facts.ts';
import { courseOf } from '../planning/course-of-job.ts';
import { AT, FACTS, house, surprise } from '../planning/invented-job.ts';
import type { JobFacts } from '../planning/job-facts.ts';
import { approvalStanding, type Approval } from '../record/index.ts';
import { say } from '../said/index.ts';
import { decisionsOf } from './index.ts';
import { inventedApproval } from './invented-report.ts';

const ROOMS = house();
const course = (facts: Partial<JobFacts> = {}) =>
  courseOf(ROOMS, { ...FACTS, ...facts }, { panels: [], rolls: [] }, AT);
const PLAIN = course();
/** Any reason for which there is no plan. */
const NO_PLAN = say('report.noDay');
const words = (what: Parameters<typeof inWords>[0]) => inWords(what, 'metric');

/** Given on the day before the job is looked at, for less than it is priced now, with a day the plan does not keep. */
const QUOTED: Quotation = {
  ...{ id: 'q', jobId: 'j', number: 3, givenAt: '2026-05-03T10:00:00.000Z', validDays: 30, lines: [] },
  ...{
    netCents: 100_000,
    taxCents: 20_000,
    grossCents: 120_000,
    contingencyCents: 0,
    promisedDay: '2026-05-06',
    note: '',
  },
};
const answered = (decision: ReturnType<typeof decisionsOf>[number], part: Partial<Approval> = {}) =>
  inventedApproval({ about: decision.about, cents: decision.cents, promisedDay: decision.promisedDay, ...part });

test('a job without a quotation is put as it is priced, with the day of its plan and what it leaves open', () => {
  const [job, ...more] = decisionsOf(PLAIN, []);
  expect(more).toEqual([]);
  expect(words(job!.what)).toBe('The job as it is priced');
  expect(job!.cents).toBe(PLAIN.price.gross);
  expect(job!.promisedDay).toBe(PLAIN.days.chances.p80.laying!.day);
  expect(job!.leaves).toHaveLength(PLAIN.days.caveats.length);
  expect(job!.isBegun).toBe(false);
});

test('a quotation holds for its days, and after them where it was answered; the day is the one of the plan as it is', () => {
  const given = (part: Partial<Quotation>, answers: readonly Approval[] = []) =>
    decisionsOf(course({ quotations: [{ ...QUOTED, ...part }] }), answers)[0]!;
  const held = given({});
  expect([words(held.what), held.cents]).toEqual(['The job as quoted, number 3', 120_000]);
  expect(held.promisedDay).toBe(PLAIN.days.chances.p80.laying!.day);
  expect(held.promisedDay > QUOTED.promisedDay).toBe(true);
  // The first of 30 days was the 3rd of April: it holds to the 3rd of May.
  const late = { givenAt: '2026-04-03T10:00:00.000Z' };
  expect(given({ givenAt: '2026-04-04T10:00:00.000Z' }).cents).toBe(120_000);
  expect(given(late).cents).toBe(PLAIN.price.gross);
  // Whoever holds it in their hand is told why another price is asked.
  expect(words(given(late).what)).toBe('The job as it is priced now: quotation 3 no longer holds');
  const answer = inventedApproval({ cents: 120_000, givenAt: '2026-04-20T10:00:00.000Z' });
  expect(given(late, [answer]).cents).toBe(120_000);
  // Given late in the evening by UTC it was given the day after where clocks are ahead, and holds a day longer.
  const evening = course({ zone: 'Asia/Tokyo', quotations: [{ ...QUOTED, givenAt: '2026-04-03T22:00:00.000Z' }] });
  expect(decisionsOf(evening, [])[0]!.cents).toBe(120_000);
  // An answer to what was asked before the quotation is none to it.
  expect(given(late, [{ ...answer, givenAt: '2026-04-01T10:00:00.000Z' }]).cents).toBe(PLAIN.price.gross);
});

test('a plan that moved back asks again, however firm the price', () => {
  const quoted = decisionsOf(course({ quotations: [QUOTED] }), [])[0]!;
  const when = answered(quoted, { promisedDay: QUOTED.promisedDay });
  expect(approvalStanding([when], quoted.about, quoted)).toMatchObject({ isStale: true, moreCents: 0 });
  expect(approvalStanding([answered(quoted)], quoted.about, quoted)!.isStale).toBe(false);
});

test('what may come is not put to anybody; what was found is, by its own price with tax', () => {
  expect(decisionsOf(course({ surprises: [surprise()] }), [])).toHaveLength(1);
  const found = course({ surprises: [surprise({ state: 'found', foundAt: AT })] });
  const [, change] = decisionsOf(found, []);
  expect(change!.about).toBe('s1');
  expect(words(change!.what)).toBe('Rot');
  const { price, changes } = found;
  expect(change!.cents).toBe(Math.round((changes[0]!.netCents * price.gross) / price.net));
  expect(change!.cents).toBeGreaterThan(changes[0]!.netCents);
});

test('with planks begun in every room no day is waited for; without a plan none is promised, and whoever was promised one is asked again', () => {
  const { days } = PLAIN;
  const none = { laying: null, handOver: null };
  const chances = { p50: none, p80: none, p95: none };
  const [before] = decisionsOf(PLAIN, []);
  const laidIn = (...rooms: string[]) =>
    days.tasks.map((task) => (task.isLaying && rooms.includes(task.roomId ?? '') ? { ...task, doneAt: AT } : task));
  const done = (tasks: typeof days.tasks) =>
    decisionsOf({ ...PLAIN, days: { ...days, tasks, laying: null, chances } }, [])[0]!;
  const laid = done(laidIn('hall', 'parlour'));
  expect(laid).toMatchObject({ isBegun: true, promisedDay: '' });
  expect(approvalStanding([answered(before!)], 'plan', laid)!.isStale).toBe(false);
  // One room is not every room, and a room nobody can lay yet is none that is laid.
  expect(done(laidIn('hall')).isBegun).toBe(false);
  expect(done(days.tasks.filter(({ isLaying }) => !isLaying)).isBegun).toBe(false);
  const [open] = decisionsOf({ ...PLAIN, days: { ...days, none: NO_PLAN, laying: null, chances } }, []);
  expect(open).toMatchObject({ isBegun: false, promisedDay: '' });
  expect(approvalStanding([answered(before!)], 'plan', open!)!.isStale).toBe(true);
});
