import { easterOf, holidaysOf } from './holidays.ts';

test('Easter Sunday as almanacs have it', () => {
  // Published tables of the Gregorian Easter.
  const known: Record<number, string> = {
    1961: '1961-04-02',
    2000: '2000-04-23',
    2008: '2008-03-23',
    2024: '2024-03-31',
    2026: '2026-04-05',
    2038: '2038-04-25',
  };
  for (const [year, date] of Object.entries(known)) expect(easterOf(Number(year))).toBe(date);
});

test('bank holidays of England as they were published, with the days that moved off a weekend', () => {
  expect(holidaysOf('GB-ENG', 2026)).toEqual([
    '2026-01-01',
    '2026-04-03',
    '2026-04-06',
    '2026-05-04',
    '2026-05-25',
    '2026-08-31',
    '2026-12-25',
    '2026-12-28',
  ]);
  // Christmas Day a Saturday: Monday for it and Tuesday for the day after.
  expect(holidaysOf('GB-ENG', 2021).slice(-2)).toEqual(['2021-12-27', '2021-12-28']);
  // Christmas Day a Sunday: the Monday is its neighbour's already.
  expect(holidaysOf('GB-ENG', 2022).slice(-2)).toEqual(['2022-12-26', '2022-12-27']);
});

test('federal holidays of the United States, and the fourth Thursday of November', () => {
  expect(holidaysOf('US', 2026)).toEqual([
    '2026-01-01',
    '2026-01-19',
    '2026-02-16',
    '2026-05-25',
    '2026-06-19',
    '2026-07-03',
    '2026-09-07',
    '2026-11-26',
    '2026-12-25',
  ]);
});

test('feasts that go by Easter', () => {
  expect(holidaysOf('DE', 2026)).toEqual(
    expect.arrayContaining(['2026-04-03', '2026-04-06', '2026-05-14', '2026-05-25', '2026-10-03']),
  );
  expect(holidaysOf('NL', 2026)).toContain('2026-05-14');
});
