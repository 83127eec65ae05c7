/** Small symmetric matrices, as flat rows: their Cholesky factor and inverse. A series' fit needs thousands of them a second. */

/** Rows of numbers, all of one length. */
export type Rows = readonly Float64Array[]

export const zeroRows = (n: number): Float64Array[] => Array.from({ length: n }, () => new Float64Array(n))

/** The same numbers as rows of their own. */
export const rowsOf = (matrix: readonly ArrayLike<number>[]): Float64Array[] =>
  matrix.map((row) => Float64Array.from(row))

/**
 * Lower factor L of M = L·Lᵀ. Where a pivot is not positive by more than rounding, its column is nought: a semidefinite
 * matrix has such.
 */
export function choleskyFactor(matrix: Rows, into: Rows = zeroRows(matrix.length)): Rows {
  const n = matrix.length
  for (let j = 0; j < n; j++) {
    const row = into[j]!
    let pivot = matrix[j]![j]!
    for (let k = 0; k < j; k++) pivot -= row[k]! * row[k]!
    const positive = pivot > 1e-14 * Math.abs(matrix[j]![j]!)
    const diagonal = positive ? Math.sqrt(pivot) : 0
    row[j] = diagonal
    for (let i = j + 1; i < n; i++) into[i]![j] = positive ? below(matrix[i]![j]!, into[i]!, row, j) / diagonal : 0
  }
  return into
}

/** A cell less what the columns before it account for. */
function below(cell: number, own: Float64Array, row: Float64Array, j: number): number {
  let sum = cell
  for (let k = 0; k < j; k++) sum -= own[k]! * row[k]!
  return sum
}

/** Inverse of a positive definite matrix, from its factor. */
export function inverseFromFactor(lower: Rows, into: Rows = zeroRows(lower.length)): Rows {
  // Symmetric: its columns are its rows.
  into.forEach((column, c) => {
    column.fill(0)
    column[c] = 1
    solveInPlace(lower, column)
  })
  return into
}

/** x of L·Lᵀ·x = b, in place of b. */
export function solveInPlace(lower: Rows, b: Float64Array): Float64Array {
  const n = lower.length
  for (let i = 0; i < n; i++) b[i] = below(b[i]!, lower[i]!, b, i) / lower[i]![i]!
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i]!
    for (let k = i + 1; k < n; k++) sum -= lower[k]![i]! * b[k]!
    b[i] = sum / lower[i]![i]!
  }
  return b
}

/** vᵀ·M·v. */
export function quadraticForm(matrix: Rows, v: Float64Array): number {
  let sum = 0
  for (let i = 0; i < v.length; i++) sum += v[i]! * dot(matrix[i]!, v)
  return sum
}

/** M·v. */
export const times = (matrix: Rows, v: Float64Array): Float64Array => Float64Array.from(matrix, (row) => dot(row, v))

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0
  for (let k = 0; k < b.length; k++) sum += a[k]! * b[k]!
  return sum
}
