/** Gauss–Legendre quadrature: where to look at a smooth function, and what each look weighs. */

export interface Quadrature {
  /** In 0…1, from 0 on. */
  at: Float64Array
  /** Their sum is 1. */
  weights: Float64Array
}

const NEWTON_STEPS = 8

/** Roots of the Legendre polynomial of degree `n`, by Newton's method, brought to 0…1. Source: gaussLegendre. */
export function gaussLegendre(n: number): Quadrature {
  const at = new Float64Array(n)
  const weights = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    let x = -Math.cos((Math.PI * (i + 0.75)) / (n + 0.5))
    let slope = 1
    for (let step = 0; step < NEWTON_STEPS; step++) {
      const [value, before] = legendre(n, x)
      slope = (n * (before - x * value)) / (1 - x * x)
      x -= value / slope
    }
    at[i] = (1 + x) / 2
    weights[i] = 1 / ((1 - x * x) * slope * slope)
  }
  return { at, weights }
}

/** Those of degree n and n − 1 at x. */
function legendre(n: number, x: number): [number, number] {
  let [value, before] = [1, 0]
  for (let k = 1; k <= n; k++) [value, before] = [((2 * k - 1) * x * value - (k - 1) * before) / k, value]
  return [value, before]
}
