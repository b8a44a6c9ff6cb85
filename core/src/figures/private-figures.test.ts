import { ALL_FIGURES, isPrivateFigure } from './index.ts';

test('what is money, or money for something, is private, whichever stage it belongs to', () => {
  const money = Object.entries(ALL_FIGURES).filter(
    ([name, { unit }]) => unit.startsWith('/') || /(?<!weight-)cost|price|-buy|wage|charge/.test(name),
  );
  expect(money.length).toBeGreaterThan(25);
  expect(money.filter(([name]) => !isPrivateFigure(name)).map(([name]) => name)).toEqual([]);
});

test('how a price is made is private, and so is what is not known here; what a floor is judged by is not', () => {
  expect(['margin-pct', 'round-to', 'grinder-resale-pct', 'unheard-of', 'toString'].map(isPrivateFigure)).toEqual(
    Array.from({ length: 5 }, () => true),
  );
  expect(['damp-age-days', 'hood-rh', 'screw-mm', 'asked-again-money', 'tax-pct'].map(isPrivateFigure)).toEqual(
    Array.from({ length: 5 }, () => false),
  );
});
