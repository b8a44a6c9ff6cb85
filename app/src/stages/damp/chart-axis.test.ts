import { chartScale } from './chart-axis.tsx';

test('the first moment stands left, the last right, the highest value on top and the lowest on the floor', () => {
  const { x, y, box, line } = chartScale({ width: 340, height: 120 }, [1000, 3000], [40, 60]);
  expect([x(1000), x(2000), x(3000)]).toEqual([box.left, (box.left + box.right) / 2, box.right]);
  expect([y(60), y(50), y(40)]).toEqual([box.top, (box.top + box.floor) / 2, box.floor]);
  expect(
    line([
      [1000, 60],
      [3000, 40],
    ]),
  ).toBe(`M${box.left.toFixed(1)} ${box.top.toFixed(1)}L${box.right.toFixed(1)} ${box.floor.toFixed(1)}`);
});

test('one moment alone stands left and is no number gone wrong; without days the floor is lower', () => {
  const { x, box } = chartScale({ width: 340, height: 120 }, [1000, 1000], [40, 60]);
  expect(x(1000)).toBe(box.left);
  expect(chartScale({ width: 340, height: 120, days: false }, [0, 1], [0, 1]).box.floor).toBeGreaterThan(box.floor);
});
