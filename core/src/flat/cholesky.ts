/**
 * Lower Cholesky factor of a growing symmetric positive definite matrix, packed row by row.
 * Row i depends on rows 0..i only, so adding a reading appends a row and a repeated prefix need not be factored again.
 */
export interface Factor {
  size: number;
  /** Row i starts at i(i+1)/2. */
  packed: Float64Array;
}

/** Appends rows `factor.size` to `size - 1`; `entry(i, j)` gives the matrix for j <= i. Returns false when not positive definite. */
export function extendFactor(factor: Factor, size: number, entry: (i: number, j: number) => number): boolean {
  const need = (size * (size + 1)) / 2;
  if (factor.packed.length < need) {
    const grown = new Float64Array(Math.max(need, factor.packed.length * 2));
    grown.set(factor.packed);
    factor.packed = grown;
  }
  const L = factor.packed;
  for (let i = factor.size; i < size; i++) {
    const row = (i * (i + 1)) / 2;
    for (let j = 0; j <= i; j++) {
      const other = (j * (j + 1)) / 2;
      let sum = entry(i, j);
      for (let k = 0; k < j; k++) sum -= L[row + k]! * L[other + k]!;
      if (j < i) L[row + j] = sum / L[other + j]!;
      else if (sum > 0) L[row + i] = Math.sqrt(sum);
      else return false;
    }
    factor.size = i + 1;
  }
  return true;
}

/** Solves L y = b. */
export function forwardSolve(factor: Factor, b: ArrayLike<number>): Float64Array {
  const n = factor.size;
  const y = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const row = (i * (i + 1)) / 2;
    let sum = b[i]!;
    for (let k = 0; k < i; k++) sum -= factor.packed[row + k]! * y[k]!;
    y[i] = sum / factor.packed[row + i]!;
  }
  return y;
}

/** Solves L' x = y. */
export function backSolve(factor: Factor, y: ArrayLike<number>): Float64Array {
  const n = factor.size;
  const x = Float64Array.from(y);
  for (let i = n - 1; i >= 0; i--) {
    const row = (i * (i + 1)) / 2;
    x[i] = x[i]! / factor.packed[row + i]!;
    for (let k = 0; k < i; k++) x[k] = x[k]! - factor.packed[row + k]! * x[i]!;
  }
  return x;
}

/** Twice the sum of the logarithms of the diagonal: the log determinant. */
export function logDeterminant(factor: Factor): number {
  let sum = 0;
  for (let i = 0; i < factor.size; i++) sum += Math.log(factor.packed[(i * (i + 1)) / 2 + i]!);
  return 2 * sum;
}
