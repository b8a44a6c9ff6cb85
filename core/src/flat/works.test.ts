import { achievedOf, heightsOf, judgeFlat, movedAt, type LevellingWork } from './index.ts';
import { reading, rectanglePlan, setup } from './invented.ts';

const work = (part: Partial<LevellingWork> = {}): LevellingWork => ({
  id: 'w1',
  way: 'fill',
  doneAt: '2026-05-06T12:00:00.000Z',
  product: 'Patching compound',
  batch: '',
  bagsPlanned: 1,
  bagsUsed: 1,
  tempC: null,
  rhPercent: null,
  note: '',
  predicted: [
    { stationKey: 'a', xMm: 300, yMm: 300, beforeMm: -6, afterMm: -1 },
    { stationKey: 'b', xMm: 900, yMm: 300, beforeMm: 0, afterMm: 0.1 },
  ],
  ...part,
});
const morning = '2026-05-06T08:00:00.000Z';
const evening = '2026-05-06T17:00:00.000Z';
const facts = (readings: ReturnType<typeof reading>[], works = [work()]) => ({
  setups: [setup('A', 1000)],
  readings,
  stations: [],
  works,
});
const before = [reading('r1', 'A', 'a', 300, 300, 1006, morning), reading('r2', 'A', 'b', 900, 300, 1000, morning)];

test('a reading from before the work no longer counts where the work moved the floor, and stays elsewhere', () => {
  expect(heightsOf(facts(before)).heights.map((h) => h.stationKey)).toEqual(['b']);
  expect(heightsOf(facts(before, [])).heights).toHaveLength(2);
  const again = reading('r3', 'A', 'a', 300, 300, 1001.4, evening);
  expect(heightsOf(facts([...before, again])).heights.find((h) => h.stationKey === 'a')!.heightMm).toBeCloseTo(-1.4, 9);
});

test('the newest work decides from when a station counts', () => {
  const later = work({ id: 'w2', doneAt: evening });
  expect(movedAt([later, work()]).get('a')).toBe(evening);
  expect(movedAt([work()]).has('b')).toBe(false);
});

test('predicted against achieved: only what moved is weighed, the worst first, the newest work first', () => {
  const none = achievedOf([work()], heightsOf(facts(before)).heights)[0]!;
  expect([none.reread.length, none.waiting.length, none.rmsOffMm]).toEqual([0, 1, null]);
  const again = reading('r3', 'A', 'a', 300, 300, 1001.4, evening);
  const [one] = achievedOf([work()], heightsOf(facts([...before, again])).heights);
  expect(one!.waiting).toEqual([]);
  expect(one!.worst).toMatchObject({ stationKey: 'a', achievedMm: expect.closeTo(-1.4, 9) });
  expect(one!.rmsOffMm).toBeCloseTo(0.4, 9);
  const both = achievedOf([work(), work({ id: 'w2', doneAt: evening })], []);
  expect(both.map((a) => a.work.id)).toEqual(['w2', 'w1']);
});

test('a floor levelled all over and not read again has nothing to be judged by', () => {
  const predicted = before.map((r) => ({ stationKey: r.stationKey, xMm: r.xMm, yMm: r.yMm, beforeMm: 0, afterMm: 5 }));
  expect(
    judgeFlat(rectanglePlan(1200, 600), facts(before, [work({ predicted })]), [{ gapMm: 3, edgeMm: 2000 }]),
  ).toBeNull();
});
