import { readOut } from '@maquette/words';
import type { AnswerValue } from '../fields/index.ts';
import fc from 'fast-check';
import { judgeDamp, waysOut, type DampFacts } from '../damp/index.ts';
import { daysAgo, dampOf, readingOf, testOf } from '../damp/invented-damp.ts';
import { UNKNOWN_BASE } from '../room/index.ts';
import { newMark, type Mark } from '../soundness/index.ts';
import { dampCriteria } from './index.ts';

const probes = (values: number[], wait = 20) => {
  const places: [number, number][] = [
    [600, 600],
    [3000, 2500],
    [5400, 4400],
  ];
  const tests = values.map((_, i) => testOf('probe', `P${i + 1}`, places[i]!, { startedAt: daysAgo(wait) }));
  return { dampTests: tests, dampReadings: tests.map((t, i) => readingOf(t, 1, values[i]!)) };
};
const air = (rhPercent: number) =>
  Array.from({ length: 9 }, (_, i) => ({
    id: `a${i}`,
    takenAt: daysAgo(4 - i * 0.5),
    tempC: 19,
    rhPercent,
    surfaceC: null,
    instrument: '',
    who: '',
    note: '',
  }));
const judge = (facts: Partial<DampFacts>, answers: Record<string, AnswerValue> = {}) => {
  const ctx = dampOf(facts, answers);
  return Object.fromEntries(dampCriteria(ctx, judgeDamp(ctx)).map((c) => [c.id, c.verdict]));
};
const DRY = { 'damp/source': 'no', 'damp/outer-walls': [] };

test('nothing read asks for tests and air', () => {
  expect(judge({})).toEqual({ 'damp-walls': 'measure', 'damp-tests': 'measure', 'damp-air': 'measure' });
});

test('enough valid probes under the limit and air in band: lay', () => {
  expect(judge({ ...probes([70, 72, 71]), airReadings: air(50) }, DRY)).toEqual({
    'damp-probe': 'lay',
    'damp-air': 'lay',
  });
});

test('under the limit with too few tests is still to be measured', () => {
  expect(judge({ ...probes([70, 72]), airReadings: air(50) }, DRY)['damp-probe']).toBe('measure');
});

test('an outer wall without a test within a metre is still to be measured', () => {
  expect(judge(probes([70, 72, 71]), { ...DRY, 'damp/outer-walls': [3] })['damp-probe']).toBe('lay');
  expect(judge({ ...probes([70, 72, 71]) }, { ...DRY, 'damp/outer-walls': [0, 1, 2, 3] })['damp-probe']).toBe(
    'measure',
  );
});

test.each([
  ['suspected', 'stop'],
  ['no', 'work'],
] as const)('over the limit, source %s: %s', (source, verdict) => {
  expect(judge(probes([80, 72, 71]), { ...DRY, 'damp/source': source })['damp-probe']).toBe(verdict);
});

test.each(['leak', 'pressure', 'efflorescence'])('%s stops, dry readings or not', (source) => {
  expect(judge(probes([60, 60, 60]), { ...DRY, 'damp/source': source })['damp-source']).toBe('stop');
});

test('over the limit, but dry by forecast before the wanted day: wait; after it: work', () => {
  const test1 = testOf('probe', 'P1', [3000, 2500], { startedAt: daysAgo(60) });
  const falling = [40, 33, 26, 19, 12, 5, 1].map((d, i) => readingOf(test1, d, 82 - i * 1.1));
  const facts = { dampTests: [test1], dampReadings: falling };
  const base = { ...DRY, 'damp/weathertight': daysAgo(90) };
  expect(judge(facts, { ...base, 'lay/date': '2028-06-01' })['damp-probe']).toBe('wait');
  expect(judge(facts, { ...base, 'lay/date': '2026-07-01' })['damp-probe']).toBe('work');
});

test('air out of band waits', () => {
  expect(judge({ airReadings: air(90) })['damp-air']).toBe('wait');
});

test('boards that differ from their base wait', () => {
  const pin = (name: string, of: 'base' | 'boards', value: number) => {
    const test = testOf('pin', name, [3000, 2500], { startedAt: null, of });
    return { test, reading: readingOf(test, 1, value) };
  };
  const verdictOf = (boards: number) => {
    const pins = [pin('M1', 'base', 10), pin('M2', 'base', 11), pin('M3', 'boards', boards)];
    const facts = { dampTests: pins.map((p) => p.test), dampReadings: pins.map((p) => p.reading) };
    const ctx = dampOf(facts, {}, { baseKind: 'panels-on-joists' });
    return dampCriteria(ctx, judgeDamp(ctx)).find((c) => c.id === 'damp-boards');
  };
  expect(readOut(verdictOf(12))).toMatchObject({
    verdict: 'lay',
    margin: expect.stringContaining('1.5 apart, 2 allowed'),
  });
  expect(verdictOf(13)).toMatchObject({ verdict: 'wait' });
});

const criteria = (
  facts: Partial<DampFacts>,
  answers: Record<string, AnswerValue> = {},
  room: Parameters<typeof dampOf>[2] = {},
  cardId?: string,
) => {
  const ctx = dampOf(facts, answers, room, cardId);
  return new Map(dampCriteria(ctx, judgeDamp(ctx)).map((c) => [c.id, c]));
};

test('on the ground nothing passes before it is answered which walls are outer walls; upstairs nobody asks', () => {
  const { 'damp/outer-walls': _, ...unanswered } = DRY;
  expect(criteria(probes([70, 72, 71]), unanswered).get('damp-walls')?.verdict).toBe('measure');
  expect(criteria(probes([70, 72, 71]), DRY).has('damp-walls')).toBe(false);
  const upstairs = {
    baseKind: 'suspended-concrete' as const,
    base: {
      ...UNKNOWN_BASE,
      slabMm: 100,
      beneath: 'heated-room' as const,
      grade: 'above' as const,
      heating: 'none' as const,
    },
  };
  expect(criteria(probes([70, 72, 71]), unanswered, upstairs).has('damp-walls')).toBe(false);
  const below = { ...upstairs, base: { ...upstairs.base, beneath: 'unknown' as const, grade: 'below' as const } };
  expect(criteria({}, unanswered, below).get('damp-walls')?.verdict).toBe('measure');
});

test('three probes within 1.5 m of each other are one', () => {
  const near: [number, number][] = [
    [3000, 2500],
    [3900, 2500],
    [3400, 3400],
  ];
  const at = (places: [number, number][]) => {
    const tests = places.map((place, i) => testOf('probe', `P${i + 1}`, place, { startedAt: daysAgo(20) }));
    return { dampTests: tests, dampReadings: tests.map((t) => readingOf(t, 1, 70)) };
  };
  const probe = (places: [number, number][]) => {
    const ctx = dampOf(at(places), DRY);
    return judgeDamp(ctx).methods.find((m) => m.method === 'probe')!;
  };
  expect(probe(near)).toMatchObject({ counting: 1, missing: 2, complete: false });
  expect(probe(near).places).toHaveLength(2);
  // The one between two others is left out, not both of them.
  expect(
    probe([
      [1000, 1000],
      [2200, 1000],
      [3400, 1000],
    ]),
  ).toMatchObject({ counting: 2, missing: 1 });
  expect(
    probe([
      [600, 600],
      [3000, 2500],
      [5400, 4400],
    ]),
  ).toMatchObject({ counting: 3, complete: true });
});

test('whatever places are proposed count by themselves once they are read', () => {
  const corner = fc.record({ x: fc.integer({ min: 300, max: 5700 }), y: fc.integer({ min: 300, max: 4700 }) });
  fc.assert(
    fc.property(fc.array(corner, { maxLength: 4 }), (made) => {
      const tests = made.map(({ x, y }, i) => testOf('probe', `P${i}`, [x, y], { startedAt: daysAgo(20) }));
      const first = judgeDamp(dampOf({ dampTests: tests, dampReadings: tests.map((t) => readingOf(t, 1, 70)) }, DRY));
      const { places, missing } = first.methods.find((m) => m.method === 'probe')!;
      const added = places.map((p, i) => testOf('probe', `N${i}`, [p.xMm, p.yMm], { startedAt: daysAgo(20) }));
      const all = [...tests, ...added];
      const then = judgeDamp(dampOf({ dampTests: all, dampReadings: all.map((t) => readingOf(t, 1, 70)) }, DRY));
      expect(then.methods.find((m) => m.method === 'probe')!.missing).toBe(0);
      expect(places.length).toBeGreaterThanOrEqual(missing);
    }),
    { numRuns: 40 },
  );
});

test('a hood over its limit is not answered by a probe that will have dried', () => {
  const series = testOf('probe', 'P1', [3000, 2500], { startedAt: daysAgo(60) });
  const hood = testOf('hood', 'H1', [1000, 1000], { startedAt: daysAgo(20) });
  const facts = {
    dampTests: [series, hood],
    dampReadings: [
      ...[40, 30, 20, 1].map((days, i) => readingOf(series, days, 84 - 4 * i)),
      readingOf(hood, 2, 90),
      readingOf(hood, 1, 90.5),
    ],
  };
  const wanted = { ...DRY, 'lay/date': '2028-01-01', 'damp/membrane': 'recorded' };
  expect(criteria(facts, wanted).get('damp-hood')?.verdict).toBe('work');
});

test('wood over timber asks for its boards; vinyl does not', () => {
  const timber = { baseKind: 'panels-on-joists' as const, base: { ...UNKNOWN_BASE, heating: 'none' as const } };
  expect(criteria({}, DRY, timber, 'shipped-engineered').get('damp-boards')?.verdict).toBe('measure');
  expect(criteria({}, DRY, timber).has('damp-boards')).toBe(false);
});

test.each([
  [undefined, 'measure'],
  ['unknown', 'measure'],
  ['not-done', 'measure'],
  ['recorded', undefined],
] as const)('a heated screed whose first heating is %s: %s', (answered, verdict) => {
  const heated = {
    baseKind: 'cement-screed' as const,
    base: {
      ...UNKNOWN_BASE,
      slabMm: 65,
      beneath: 'heated-room' as const,
      grade: 'above' as const,
      heating: 'water' as const,
    },
  };
  const answers = { ...DRY, ...(answered ? { 'damp/heat-up': answered } : {}) };
  expect(criteria({}, answers, heated).get('damp-heat-up')?.verdict).toBe(verdict);
  expect(criteria({}, answers).has('damp-heat-up')).toBe(false);
});

test('what the card speaks of is proposed first, until something else has been begun or settled on', () => {
  const screed = { baseKind: 'cement-screed' as const };
  const chosen = (facts: Partial<DampFacts>, answers = {}) => judgeDamp(dampOf(facts, answers, screed)).chosen;
  expect(chosen({})).toBe('probe');
  expect(chosen({ dampTests: [testOf('carbide', 'C1', [1000, 1000])] })).toBe('carbide');
  expect(chosen({}, { 'damp/method': 'hood' })).toBe('hood');
});

test.each([
  ['on', 'unknown', true],
  ['on', 'none', false],
  ['on', 'bridged', false],
  ['below', 'unknown', false],
  ['below', 'recorded', true],
] as const)('waiting, %s grade with its membrane %s: may be a way out %s', (grade, membrane, allowed) => {
  const ctx = dampOf(
    probes([80, 72, 71]),
    { ...DRY, 'damp/membrane': membrane },
    { base: { ...UNKNOWN_BASE, slabMm: 100, beneath: 'ground', grade, heating: 'none' } },
  );
  const [wait] = waysOut(ctx, judgeDamp(ctx), null);
  expect(wait!.allowed).toBe(allowed);
  if (!allowed) expect(readOut(wait!.why)).toMatch(/ground feeds/);
});

test('a probe that was read when it was due is not asked for again: why it does not count is said', () => {
  const shallow = testOf('probe', 'P1', [3000, 2500], { startedAt: daysAgo(20), depthMm: 10 });
  const found = criteria({ dampTests: [shallow], dampReadings: [readingOf(shallow, 1, 70)] }, DRY).get('damp-tests')!;
  expect(readOut(found.next)).toMatch(
    /P1 was read and does not count: .*depth|P1 was read and does not count: .*10 mm/,
  );
});

test('open rot beside an answer that no water comes is asked back; answered or made good it is not', () => {
  const rot = newMark('m', 'rot', { xMm: 1000, yMm: 1000 });
  const signs = (answers: Record<string, AnswerValue>, marks: Mark[]) => {
    const ctx = dampOf({}, answers);
    return dampCriteria(ctx, judgeDamp(ctx), new Map(), marks).find((c) => c.id === 'damp-signs');
  };
  expect(readOut(signs(DRY, [rot])!.margin)).toMatch(/nothing points to water.*rot/i);
  expect(signs({ 'damp/outer-walls': [] }, [rot])?.verdict).toBe('measure');
  expect(signs({ ...DRY, 'damp/source': 'suspected' }, [rot])).toBeUndefined();
  expect(signs(DRY, [])).toBeUndefined();
});
