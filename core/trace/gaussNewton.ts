/** Least squares for a few parameters with known derivatives. */
import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix'

export interface CurveFit {
  parameters: number[]
  /** Covariance of the parameters, from the scatter about the curve; neighbours that go together are allowed for. */
  covariance: number[][]
  residuals: Float64Array
  rms: number
  /** Lag-one correlation of the residuals. */
  correlation: number
}

/** Fills `gradient` with the derivatives at a point and returns the value there. */
export type Curve = (x: number, parameters: readonly number[], gradient: number[]) => number

const MOST_STEPS = 40
const CLOSE_ENOUGH = 1e-6

/**
 * Gauss–Newton with Levenberg's damping: the step of the normal equations, damped only when it does not lessen the sum
 * of squares.
 * Chosen over a general optimiser because the derivatives are known and the models are nearly linear: it settles in a
 * handful of steps
 * and gives the covariance. It is checked against scipy's curve_fit.
 * @param steps natural size of each parameter, for scaling and for knowing when to stop
 * @returns null where it does not settle or the parameters cannot be told apart. Source: leastSquares.
 */
export function fitCurve(
  curve: Curve,
  x: Float64Array,
  y: Float64Array,
  start: readonly number[],
  steps: readonly number[],
): CurveFit | null {
  const p = start.length
  let parameters = [...start]
  let damping = 0
  let now = sums(curve, x, y, parameters, steps)
  for (let i = 0; i < MOST_STEPS; i++) {
    const matrix = Matrix.add(now.normal, Matrix.eye(p).mul((damping * trace(now.normal)) / p))
    if (!Number.isFinite(now.squares) || !matrix.to1DArray().every(Number.isFinite)) return null
    const cholesky = new CholeskyDecomposition(matrix)
    if (!cholesky.isPositiveDefinite()) return null
    const step = cholesky.solve(Matrix.columnVector(now.right)).to1DArray()
    const tried = parameters.map((value, j) => value + step[j]! * steps[j]!)
    const next = sums(curve, x, y, tried, steps)
    if (!(next.squares <= now.squares * (1 + 1e-12))) {
      if (damping > 1e6) break
      damping = Math.max(1e-4, damping * 10)
      continue
    }
    const settled =
      step.every((one) => Math.abs(one) < CLOSE_ENOUGH) || now.squares - next.squares < 1e-10 * now.squares
    parameters = tried
    now = next
    damping /= 10
    if (damping < 1e-6) damping = 0
    if (settled) return finish(curve, x, y, { parameters, steps, normal: now.normal })
  }
  return null
}

interface Sums {
  normal: Matrix
  right: number[]
  squares: number
}

function sums(
  curve: Curve,
  x: Float64Array,
  y: Float64Array,
  parameters: readonly number[],
  steps: readonly number[],
): Sums {
  const p = parameters.length
  const normal = new Float64Array(p * p)
  const right = new Array<number>(p).fill(0)
  const gradient = new Array<number>(p).fill(0)
  let squares = 0
  for (let i = 0; i < x.length; i++) {
    const residual = y[i]! - curve(x[i]!, parameters, gradient)
    squares += residual * residual
    for (let a = 0; a < p; a++) {
      const ga = gradient[a]! * steps[a]!
      right[a]! += ga * residual
      for (let b = a; b < p; b++) normal[a * p + b]! += ga * gradient[b]! * steps[b]!
    }
  }
  const matrix = new Matrix(p, p)
  for (let a = 0; a < p; a++) {
    for (let b = a; b < p; b++) {
      matrix.set(a, b, normal[a * p + b]!)
      matrix.set(b, a, normal[a * p + b]!)
    }
  }
  return { normal: matrix, right, squares }
}

const trace = (matrix: Matrix): number => matrix.diagonal().reduce((sum, value) => sum + value, 0)

function finish(
  curve: Curve,
  x: Float64Array,
  y: Float64Array,
  { parameters, steps, normal }: { parameters: number[]; steps: readonly number[]; normal: Matrix },
): CurveFit {
  const gradient = parameters.map(() => 0)
  const residuals = y.map((value, i) => value - curve(x[i]!, parameters, gradient))
  let [squares, together] = [0, 0]
  for (let i = 0; i < residuals.length; i++) {
    squares += residuals[i]! ** 2
    if (i > 0) together += residuals[i]! * residuals[i - 1]!
  }
  const freedom = Math.max(1, x.length - parameters.length)
  const correlation = squares > 0 ? Math.min(0.98, Math.max(0, together / squares)) : 0
  const variance = (squares / freedom) * ((1 + correlation) / (1 - correlation))
  const covariance = inverse(normal)
    .to2DArray()
    .map((row, a) => row.map((value, b) => value * variance * steps[a]! * steps[b]!))
  return { parameters, covariance, residuals, rms: Math.sqrt(squares / freedom), correlation }
}
