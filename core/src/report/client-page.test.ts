import { inWords } from '@maquette/words';
import '@maquette/words/report';
import { jobFiguresOf, type AnyFigureName } from '../figures/job-figures.ts';
import { askedAgainWords, standingWords, toleranceOf } from './index.ts';
import { inventedApproval } from './invented-report.ts';

const DAYS = { same: '2027-01-20', later: '2027-01-21', earlier: '2027-01-18', gone: '' };
const ANSWER = { cents: 100_000, promisedDay: DAYS.same };
const decision = (cents: number, promisedDay: string) => ({
  ...{ about: 'plan', what: 'The job', cents, promisedDay, isBegun: false },
  leaves: [],
});
const NOTHING = { cents: 0, days: 0 };

test.each([
  [100_001, DAYS.same, 'the price has gone up by £0.01, and the day stayed.'],
  [100_000, DAYS.later, 'the price has stayed, and the day moved back by 1 day.'],
  [99_000, DAYS.later, 'the price has come down by £10.00, and the day moved back by 1 day.'],
  [101_000, DAYS.earlier, 'the price has gone up by £10.00, and the day come forward by 2 days.'],
  [100_000, DAYS.gone, 'the price has stayed, and no day is promised any more.'],
])('asked again for %s on "%s": %s', (cents, day, words) => {
  const answers = [inventedApproval(ANSWER)];
  expect(inWords(standingWords(answers, decision(cents, day), '£'), 'metric')).toContain(words);
});

test('a day that is promised where none was agreed to is told', () => {
  const answers = [inventedApproval({ ...ANSWER, promisedDay: '' })];
  const words = inWords(standingWords(answers, decision(100_001, DAYS.same), '£'), 'metric');
  expect(words).toContain('gone up by £0.01, and a day is promised now.');
});

test('as far as was agreed with an answer it stands and says so; once it is stale, what is offered now is said', () => {
  const answers = [inventedApproval({ ...ANSWER, unaskedCents: 20_000, unaskedDays: 5 })];
  const standing = (cents: number, day: string) =>
    [
      standingWords(answers, decision(cents, day), '£'),
      askedAgainWords(answers, decision(cents, day), NOTHING, '£'),
    ].map((words) => inWords(words, 'metric'));
  const [stands, agreed] = standing(120_000, '2027-01-25');
  expect(stands).toMatch(/^Approved by A\. Client/);
  expect(agreed).toBe(
    'You are asked again if the price goes up by more than £200.00, or the day moves back by more than 5 days.',
  );
  const [asked, offered] = standing(120_001, '2027-01-25');
  expect(asked).toContain('It is asked again.');
  expect(offered).toBe('You are asked again if the price goes up, or the day moves back.');
});

test('what the job offers to let go up is in whole cents and days, and never asks anybody less who has answered', () => {
  const of = (name: AnyFigureName, value: number) => ({ id: name, jobId: 'j', name, value, source: 'agreed' });
  const offered = toleranceOf(jobFiguresOf([of('asked-again-money', 200.29), of('asked-again-days', 5.5)]));
  expect(offered).toEqual({ cents: 20_029, days: 5 });
  expect(toleranceOf(jobFiguresOf([]))).toEqual(NOTHING);
  const before = [inventedApproval(ANSWER)];
  expect(inWords(askedAgainWords(before, decision(100_000, DAYS.same), offered, '£'), 'metric')).toBe(
    'You are asked again if the price goes up, or the day moves back.',
  );
});
