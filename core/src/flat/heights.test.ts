import { heightsOf } from './index.ts';
import { reading, setup } from './invented.ts';

test('height is the line of sight less the rod; a larger reading is a lower floor', () => {
  const { heights } = heightsOf({
    setups: [setup('A', 1330)],
    readings: [reading('1', 'A', 's1', 0, 0, 1340), reading('2', 'A', 's2', 0, 0, 1325)],
  });
  expect(heights.map((h) => h.heightMm)).toEqual([-10, 5]);
});

test('two set-ups on one benchmark share one datum', () => {
  const { heights } = heightsOf({
    setups: [setup('A', 1330), setup('B', 1400)],
    readings: [reading('1', 'A', 's1', 0, 0, 1340), reading('2', 'B', 's2', 0, 0, 1410)],
  });
  expect(heights.map((h) => h.heightMm)).toEqual([-10, -10]);
});

test.each([
  [0.9, false],
  [1, false],
  [1.1, true],
  [-1.8, true],
])('a closing error of %d mm is suspect: %s', (error, suspect) => {
  const { setups, heights } = heightsOf({
    setups: [setup('A', 1330, 1330 + error)],
    readings: [reading('1', 'A', 's1', 0, 0, 1340)],
  });
  expect(setups[0]).toMatchObject({ suspect });
  expect(setups[0]!.closingMm).toBeCloseTo(error, 9);
  expect(heights[0]!.suspect).toBe(suspect);
});

test('a moved instrument without a benchmark is tied by the stations it shares', () => {
  const { heights, setups } = heightsOf({
    setups: [setup('A', 1300), setup('B', null)],
    readings: [
      reading('1', 'A', 's1', 0, 0, 1310),
      reading('2', 'A', 's2', 0, 0, 1312),
      reading('3', 'B', 's1', 0, 0, 1510),
      reading('4', 'B', 's2', 0, 0, 1512.4),
      reading('5', 'B', 's3', 0, 0, 1520),
    ],
  });
  expect(setups[1]).toMatchObject({ tiedBy: 'stations', suspect: false });
  // Offsets 200 and 200.4: the mean, 200.2, puts 1520 at 1300 + 200.2 - 1520.
  expect(heights.find((h) => h.stationKey === 's3')!.heightMm).toBeCloseTo(-19.8, 9);
  expect(setups[1]!.tieSpreadMm).toBeCloseTo(0.4, 9);
});

test('a set-up nothing ties is left out and counted', () => {
  const { heights, untied, setups } = heightsOf({
    setups: [setup('A', 1300), setup('B', null)],
    readings: [reading('1', 'A', 's1', 0, 0, 1310), reading('2', 'B', 's9', 0, 0, 900)],
  });
  expect([heights.length, untied, setups[1]!.tiedBy]).toEqual([1, 1, 'untied']);
});

test('the later reading of a station counts, the earlier stays on record', () => {
  const { heights } = heightsOf({
    setups: [setup('A', 1300)],
    readings: [
      reading('1', 'A', 's1', 0, 0, 1310, '2026-05-04T08:00'),
      reading('2', 'A', 's1', 0, 0, 1305, '2026-05-04T09:00'),
    ],
  });
  expect(heights.map((h) => h.heightMm)).toEqual([-5]);
});
