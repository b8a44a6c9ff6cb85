import fc from 'fast-check';
import { approvalStanding, type Approval } from './index.ts';

const answer = (part: Partial<Approval> = {}): Approval => ({
  id: 'a',
  jobId: 'j',
  about: 'plan',
  what: 'The job',
  isApproved: true,
  cents: 100_000,
  promisedDay: '2027-01-20',
  by: 'A. Client',
  givenAt: '2026-12-01T10:00:00.000Z',
  pageSha256: '',
  note: '',
  unaskedCents: 0,
  unaskedDays: 0,
  ...part,
});
const NOW = { cents: 100_000, promisedDay: '2027-01-20', isBegun: false };
const standing = (cents: number, promisedDay: string, agreed: Partial<Approval> = {}) =>
  approvalStanding([answer(agreed)], 'plan', { cents, promisedDay, isBegun: false })!;

test.each([
  [100_000, '2027-01-20', false, 0, 0],
  [99_000, '2027-01-18', false, -1000, -2],
  [100_001, '2027-01-20', true, 1, 0],
  [100_000, '2027-01-21', true, 0, 1],
  // A month and a year between them, counted in days.
  [100_000, '2027-02-20', true, 0, 31],
])('asked for %s and %s it is stale: %s', (cents, day, isStale, moreCents, laterDays) => {
  expect(standing(cents, day)).toMatchObject({ isStale, moreCents, laterDays });
});

test('as far up as was agreed with it an answer stands; a day that is gone is none that was agreed to', () => {
  const agreed = { unaskedCents: 1000, unaskedDays: 2 };
  expect(standing(101_000, '2027-01-22', agreed).isStale).toBe(false);
  expect(standing(101_001, '2027-01-20', agreed).isStale).toBe(true);
  expect(standing(100_000, '', agreed).isStale).toBe(true);
  expect(standing(100_000, '')).toMatchObject({ isStale: true, laterDays: null });
});

test('the newest answer about a thing counts, and none about another', () => {
  const answers = [answer({ id: 'a' }), answer({ id: 'b', isApproved: false }), answer({ id: 'c', about: 'other' })];
  expect(approvalStanding(answers, 'plan', NOW)!.approval.id).toBe('b');
  expect(approvalStanding(answers, 'elsewhere', NOW)).toBeNull();
});

test('whatever price and day: an answer is stale if and only if one of them went up by more than the tolerance', () => {
  const day = (n: number) => new Date(Date.UTC(2027, 0, 1 + n)).toISOString().slice(0, 10);
  fc.assert(
    fc.property(
      fc.integer({ min: -500, max: 500 }),
      fc.integer({ min: -60, max: 60 }),
      fc.record({ cents: fc.nat(300), days: fc.nat(20) }),
      (more, later, tolerance) => {
        const one = approvalStanding(
          [answer({ promisedDay: day(100), unaskedCents: tolerance.cents, unaskedDays: tolerance.days })],
          'plan',
          { cents: 100_000 + more, promisedDay: day(100 + later), isBegun: false },
        )!;
        expect(one.isStale).toBe(more > tolerance.cents || later > tolerance.days);
      },
    ),
  );
});

test('once planks are begun in every room no day asks again; a price that went up still does', () => {
  const laid = (cents: number, promisedDay: string) =>
    approvalStanding([answer()], 'plan', { cents, promisedDay, isBegun: true })!.isStale;
  expect(laid(100_000, '')).toBe(false);
  expect(laid(100_000, '2027-03-01')).toBe(false);
  expect(laid(100_001, '')).toBe(true);
});
