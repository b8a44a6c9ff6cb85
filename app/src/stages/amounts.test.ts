import { costWords, hoursWords, moneyWords } from './amounts.ts';
import { counted } from '../ui/counted.ts';

test('a sum is named as a cost only where no currency says what it is', () => {
  expect([costWords(81.4, ''), costWords(81.4, '£'), costWords(1234.4, 'EUR')]).toEqual([
    'cost 81',
    '£81',
    'EUR\u20091\u2009234',
  ]);
  expect([moneyWords(7, ''), moneyWords(80, 'EUR'), moneyWords(1234.4, '£')]).toEqual([
    '7',
    'EUR\u200980',
    '£1\u2009234',
  ]);
});

test('one bag is not two', () => {
  expect([0, 1, 6].map((n) => counted(n, 'bag'))).toEqual(['0 bags', '1 bag', '6 bags']);
});

test('under an hour is told in steps of five minutes, and never as nothing', () => {
  expect([0, 0.01, 0.66, 0.99, 1, 2.46].map(hoursWords)).toEqual(['none', '5 min', '40 min', '60 min', '1 h', '2.5 h']);
});
