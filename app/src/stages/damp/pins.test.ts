import type { DampContext, DampResult, DampState } from '@maquette/core/damp';
import { pinsOf } from './pins.ts';

const place = (id: string, method = 'probe') => ({ id, method, name: id.toUpperCase(), xMm: 1, yMm: 2 });
const read = (testId: string, value: number, part: Partial<DampResult> = {}) =>
  ({
    test: { id: testId },
    reading: { id: `${testId}-${value}` },
    value,
    valueText: `${value} words`,
    valid: true,
    ...part,
  }) as DampResult;
const damp = (tests: object[], results: DampResult[], limit: number | null, outliers: DampResult[] = []) => ({
  ctx: { room: { units: 'metric' }, facts: { dampTests: tests } } as unknown as DampContext,
  state: {
    results,
    outliers,
    methods: [
      { method: 'probe', limit: limit === null ? null : { value: limit } },
      { method: 'survey', limit: null },
      { method: 'carbide', limit: { value: 2 } },
      { method: 'film', limit: null },
    ],
  } as unknown as DampState,
});

test('a place shows its newest reading, and how it stands against the limit', () => {
  const results = [read('p1', 90), read('p1', 74), read('p2', 75), read('p3', 75.1), read('p4', 60, { valid: false })];
  const pins = pinsOf(damp([place('p1'), place('p2'), place('p3'), place('p4'), place('p5')], results, 75), 'probe');
  expect(pins.map((p) => [p.id, p.text, p.state])).toEqual([
    ['p1', '74.0', 'under'],
    ['p2', '75.0', 'under'],
    ['p3', '75.1', 'over'],
    ['p4', '60.0', 'void'],
    ['p5', 'P5', 'waits'],
  ]);
});

test('other methods stay off the sheet; what stands out on the survey meter is marked though it has no limit', () => {
  const out = read('s1', 6);
  const pins = pinsOf(
    damp([place('p1'), place('s1', 'survey'), place('s2', 'survey')], [out, read('s2', 3)], 75, [out]),
    'survey',
  );
  expect(pins.map((p) => [p.id, p.state])).toEqual([
    ['s1', 'over'],
    ['s2', 'under'],
  ]);
});

test('carbide is told to a hundredth, a film in words', () => {
  const facts = damp([place('c', 'carbide'), place('f', 'film')], [read('c', 1.9), read('f', 0)], 75);
  expect(pinsOf(facts, 'carbide')[0]!.text).toBe('1.90');
  expect(pinsOf(facts, 'film')[0]!.text).toBe('0 words');
});
