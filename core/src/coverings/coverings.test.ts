import { readOut } from '@maquette/words';
import {
  CARD_RANGES,
  COMMON_RULES,
  defaultSpacingMm,
  findCard,
  isShipped,
  ruleWords,
  sameRule,
  SHIPPED_CARDS,
  strictness,
  type CardFigure,
} from './index.ts';

// 4T/L2 of the usual rules, worked by hand.
test.each([
  [3, 1000, 12],
  [3.2, 1830, 3.8],
  [3, 2000, 3],
  [5, 3000, 2.2],
  [4.8, 3050, 2.1],
  [2, 2000, 2],
  [3, 3000, 1.3],
])('%d mm under %d mm admits a curve of %d mm/m²', (gapMm, edgeMm, expected) => {
  expect(strictness({ gapMm, edgeMm })).toBeCloseTo(expected, 1);
});

test('the common rules stand from strict to lax', () => {
  const order = COMMON_RULES.map(strictness);
  expect([...order].sort((a, b) => a - b)).toEqual(order);
});

test('stations stand a third of the shortest long edge apart, and never over 0.6 m', () => {
  expect(defaultSpacingMm([{ gapMm: 3, edgeMm: 2000 }])).toBe(600);
  expect(defaultSpacingMm([{ gapMm: 3, edgeMm: 1000 }])).toBeCloseTo(333.3, 1);
  // A short-span rule is judged by short edges, not by closer stations.
  expect(
    defaultSpacingMm([
      { gapMm: 3, edgeMm: 2000 },
      { gapMm: 1, edgeMm: 200 },
    ]),
  ).toBe(600);
});

test('rules are spoken in both unit systems', () => {
  expect(readOut(ruleWords({ gapMm: 3, edgeMm: 2000 }))).toBe('3 mm under 2 m');
  expect(readOut(ruleWords({ gapMm: 3.175, edgeMm: 1828.8 }), 'imperial')).toBe('1/8 in under 6 ft');
  expect(sameRule({ gapMm: 3.2, edgeMm: 1830 }, { gapMm: 3.175, edgeMm: 1828.8 })).toBe(true);
});

test.each(SHIPPED_CARDS.map((card) => [card.name, card] as const))('%s lies inside its own ranges', (_, card) => {
  for (const field of Object.keys(CARD_RANGES) as CardFigure[]) {
    expect(card[field]).toBeGreaterThanOrEqual(CARD_RANGES[field].min);
    expect(card[field]).toBeLessThanOrEqual(CARD_RANGES[field].max);
  }
  expect(card.airMinC).toBeLessThan(card.airMaxC);
  expect(card.airMinRh).toBeLessThan(card.airMaxRh);
  expect(isShipped(card.id)).toBe(true);
});

test('a card of one’s own is found before a shipped one; an unknown one is null', () => {
  const own = { ...SHIPPED_CARDS[1]!, id: 'mine', name: 'Mine' };
  expect(findCard([own], 'mine')!.name).toBe('Mine');
  expect(findCard([own], 'shipped-laminate')!.name).toBe('Laminate, floating');
  expect(findCard([own], 'gone')).toBeNull();
});
