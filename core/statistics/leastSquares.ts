/** Ordinary least squares, with what is needed to judge it. */
import { inverse, Matrix, QrDecomposition } from 'ml-matrix'

export interface LeastSquares {
  coefficients: number[]
  /** (XᵀX)⁻¹: times a variance, the covariance of the coefficients. */
  unscaledCovariance: number[][]
  residualSumOfSquares: number
  /** Observations less coefficients. */
  freedom: number
  /** Akaike's criterion for small samples, σ counted; null where the sample is too small for it. */
  aicc: number | null
}

/**
 * Fits y = X·b. The linear algebra is ml-matrix's (QR).
 * @param rows one row of predictors per observation, the constant 1 included
 * @returns null where the predictors cannot be told apart (rank) or there are fewer observations than coefficients
 * Source: leastSquares.
 */
export function leastSquares(rows: readonly (readonly number[])[], y: readonly number[]): LeastSquares | null {
  const n = rows.length
  const p = rows[0]?.length ?? 0
  if (n < p || p === 0) return null
  const x = new Matrix(rows as number[][])
  const qr = new QrDecomposition(x)
  if (!qr.isFullRank() || isNearlySingular(qr)) return null
  const coefficients = qr.solve(Matrix.columnVector(y as number[])).to1DArray()
  const residualSumOfSquares = rows.reduce(
    (sum, row, i) => sum + (y[i]! - row.reduce((fit, value, j) => fit + value * coefficients[j]!, 0)) ** 2,
    0,
  )
  return {
    coefficients,
    unscaledCovariance: inverse(x.transpose().mmul(x)).to2DArray(),
    residualSumOfSquares,
    freedom: n - p,
    aicc: akaikeSmallSample(n, p + 1, residualSumOfSquares),
  }
}

/** A diagonal of R that vanishes beside the others is a predictor that says nothing new. */
function isNearlySingular(qr: QrDecomposition): boolean {
  const diagonal = qr.upperTriangularMatrix.diagonal().map(Math.abs)
  return Math.min(...diagonal) < 1e-10 * Math.max(...diagonal)
}

/**
 * AICc = n·ln(RSS/n) + 2k + 2k(k + 1)/(n − k − 1), k counting σ; null where n − k − 1 < 1.
 * Source: aicc.
 */
export function akaikeSmallSample(n: number, k: number, residualSumOfSquares: number): number | null {
  if (n - k - 1 < 1) return null
  return n * Math.log(Math.max(residualSumOfSquares, 1e-300) / n) + 2 * k + (2 * k * (k + 1)) / (n - k - 1)
}

export interface StraightLine {
  /** At the mean of x. */
  meanX: number
  meanY: number
  slope: number
  /** Σ(x − mean)²: the slope's variance is the scatter's over it. */
  spread: number
  residualSumOfSquares: number
}

/**
 * y = mean + slope·(x − mean), by least squares; null where all x are one. The closed form of the above for two
 * coefficients. Source: leastSquares.
 */
export function straightLine(x: readonly number[], y: readonly number[]): StraightLine | null {
  const n = x.length
  let [meanX, meanY] = [0, 0]
  for (let i = 0; i < n; i++) {
    meanX += x[i]! / n
    meanY += y[i]! / n
  }
  let [spread, together] = [0, 0]
  for (let i = 0; i < n; i++) {
    spread += (x[i]! - meanX) ** 2
    together += (x[i]! - meanX) * (y[i]! - meanY)
  }
  if (!(spread > 0)) return null
  const slope = together / spread
  let residualSumOfSquares = 0
  for (let i = 0; i < n; i++) residualSumOfSquares += (y[i]! - meanY - slope * (x[i]! - meanX)) ** 2
  return { meanX, meanY, slope, spread, residualSumOfSquares }
}
