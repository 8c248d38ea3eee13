/**
 * Lower triangle L of a symmetric positive definite matrix, A = L·Lᵀ (n × n, row by row); null where it is not positive definite to rounding.
 */
export function cholesky(a: Float64Array, n: number): Float64Array | null {
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    for (let j = 0; j <= i; j += 1) {
      let sum = a[i * n + j]!;
      for (let k = 0; k < j; k += 1) sum -= l[i * n + k]! * l[j * n + k]!;
      if (i === j) {
        if (!(sum > 0)) return null;
        l[i * n + i] = Math.sqrt(sum);
      } else l[i * n + j] = sum / l[j * n + j]!;
    }
  }
  return l;
}

/** x of L·Lᵀ·x = b. */
export function solveCholesky(l: Float64Array, b: Float64Array, n: number): Float64Array {
  const x = Float64Array.from(b);
  for (let i = 0; i < n; i += 1) {
    for (let k = 0; k < i; k += 1) x[i]! -= l[i * n + k]! * x[k]!;
    x[i]! /= l[i * n + i]!;
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    for (let k = i + 1; k < n; k += 1) x[i]! -= l[k * n + i]! * x[k]!;
    x[i]! /= l[i * n + i]!;
  }
  return x;
}

/** Inverse of L·Lᵀ: the covariance that belongs to an information matrix. */
export function inverseOf(l: Float64Array, n: number): Float64Array {
  const inverse = new Float64Array(n * n);
  for (let column = 0; column < n; column += 1) {
    const unit = new Float64Array(n);
    unit[column] = 1;
    const x = solveCholesky(l, unit, n);
    for (let row = 0; row < n; row += 1) inverse[row * n + column] = x[row]!;
  }
  return inverse;
}
