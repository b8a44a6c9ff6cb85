import { backSolve, extendFactor, forwardSolve, logDeterminant, type Factor } from './cholesky.ts';

const empty = (): Factor => ({ size: 0, packed: new Float64Array(1) });
/** The textbook matrix whose factor is whole: rows 2 | 6 1 | -8 5 3. */
const MATRIX = [
  [4, 12, -16],
  [12, 37, -43],
  [-16, -43, 98],
];
const entry = (i: number, j: number) => MATRIX[i]![j]!;

test('a matrix with a whole factor is factored to it, and its determinant is the square of the diagonal product', () => {
  const factor = empty();
  expect(extendFactor(factor, 3, entry)).toBe(true);
  expect([...factor.packed.slice(0, 6)]).toEqual([2, 6, 1, -8, 5, 3]);
  // (2 · 1 · 3)² = 36, which is also the determinant worked out by its first row.
  expect(logDeterminant(factor)).toBeCloseTo(Math.log(36), 12);
});

test('solving forward and back gives what the matrix was multiplied by', () => {
  const factor = empty();
  extendFactor(factor, 3, entry);
  const x = [1, -2, 0.5];
  const b = MATRIX.map((row) => row.reduce((sum, a, j) => sum + a * x[j]!, 0));
  backSolve(factor, forwardSolve(factor, b)).forEach((value, i) => expect(value).toBeCloseTo(x[i]!, 10));
});

test('rows added one at a time give the factor of the whole, and none is worked out twice', () => {
  const factor = empty();
  const asked: [number, number][] = [];
  for (let size = 1; size <= 3; size++)
    extendFactor(factor, size, (i, j) => {
      asked.push([i, j]);
      return entry(i, j);
    });
  expect([...factor.packed.slice(0, 6)]).toEqual([2, 6, 1, -8, 5, 3]);
  expect(asked).toHaveLength(6);
});

test('a matrix that is not positive definite is refused at the row that shows it, and the rows before stand', () => {
  const factor = empty();
  // The second row repeats the first: nothing is left over for its diagonal.
  expect(extendFactor(factor, 2, () => 4)).toBe(false);
  expect(factor.size).toBe(1);
  expect(extendFactor(factor, 2, (i, j) => (i === j ? 5 : 4))).toBe(true);
  expect(factor.packed[2]).toBeCloseTo(1, 12);
});
