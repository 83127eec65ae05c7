/** Small symmetric matrices, as rows: their Cholesky factor and inverse. A series' fit needs thousands of them a second. */

/**
 * Lower factor L of M = L·Lᵀ. Where a pivot is not positive by more than rounding, its column is nought: a semidefinite
 * matrix has such.
 */
export function choleskyFactor(matrix: readonly (readonly number[])[]): number[][] {
  const n = matrix.length
  const lower = Array.from({ length: n }, () => new Array<number>(n).fill(0))
  for (let j = 0; j < n; j++) {
    let pivot = matrix[j]![j]!
    for (let k = 0; k < j; k++) pivot -= lower[j]![k]! ** 2
    if (!(pivot > 1e-14 * Math.abs(matrix[j]![j]!))) continue
    const diagonal = Math.sqrt(pivot)
    lower[j]![j] = diagonal
    for (let i = j + 1; i < n; i++) {
      let sum = matrix[i]![j]!
      for (let k = 0; k < j; k++) sum -= lower[i]![k]! * lower[j]![k]!
      lower[i]![j] = sum / diagonal
    }
  }
  return lower
}

/** Inverse of a positive definite matrix, from its factor. */
export function inverseFromFactor(lower: readonly (readonly number[])[]): number[][] {
  const n = lower.length
  const columns = Array.from({ length: n }, (_, c) => solveWith(lower, unit(n, c)))
  // Symmetric: its columns are its rows.
  return columns
}

const unit = (n: number, at: number): number[] => Array.from({ length: n }, (_, i) => (i === at ? 1 : 0))

/** x of L·Lᵀ·x = b. */
export function solveWith(lower: readonly (readonly number[])[], b: readonly number[]): number[] {
  const n = lower.length
  const x = b.slice()
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) x[i]! -= lower[i]![k]! * x[k]!
    x[i]! /= lower[i]![i]!
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) x[i]! -= lower[k]![i]! * x[k]!
    x[i]! /= lower[i]![i]!
  }
  return x
}

/** vᵀ·M·v. */
export function quadraticForm(matrix: readonly (readonly number[])[], v: readonly number[]): number {
  let sum = 0
  for (let i = 0; i < v.length; i++) for (let k = 0; k < v.length; k++) sum += v[i]! * matrix[i]![k]! * v[k]!
  return sum
}

/** M·v. */
export const times = (matrix: readonly (readonly number[])[], v: readonly number[]): number[] =>
  matrix.map((row) => row.reduce((sum, one, k) => sum + one * v[k]!, 0))
