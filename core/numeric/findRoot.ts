/** Root of a continuous function inside a bracket. */

/**
 * Chandrupatla's method (Advances in Engineering Software 28, 1997): inverse quadratic interpolation where it is safe,
 * else bisection.
 * @param f continuous, of opposite sign at `a` and `b` (or zero at one of them)
 * @returns the root, to `tolerance` relative to the bracket's magnitude
 */
export function findRoot(f: (x: number) => number, a: number, b: number, tolerance = 1e-14): number {
  let x1 = b
  let x2 = a
  let f1 = f(x1)
  let f2 = f(x2)
  if (f1 === 0) return x1
  if (f2 === 0) return x2
  if (f1 > 0 === f2 > 0) throw new Error('findRoot needs a bracket')
  let x3 = x1
  let f3 = f1
  let step = 0.5
  for (let i = 0; i < 200; i++) {
    const x = x1 + step * (x2 - x1)
    const fx = f(x)
    if (fx > 0 === f1 > 0) [x3, f3] = [x1, f1]
    else [x3, f3, x2, f2] = [x2, f2, x1, f1]
    ;[x1, f1] = [x, fx]
    const best = Math.abs(f1) < Math.abs(f2) ? x1 : x2
    const width = (tolerance * Math.abs(best) + 1e-300) / Math.abs(x2 - x1)
    if (width > 0.5 || f1 === 0) return best
    step = nextStep({ x1, x2, x3, f1, f2, f3 }, width)
  }
  return x1
}

interface Bracket {
  x1: number
  x2: number
  x3: number
  f1: number
  f2: number
  f3: number
}

function nextStep({ x1, x2, x3, f1, f2, f3 }: Bracket, width: number): number {
  const xi = (x1 - x2) / (x3 - x2)
  const phi = (f1 - f2) / (f3 - f2)
  const interpolates = phi * phi < xi && (1 - phi) ** 2 < 1 - xi
  const step = interpolates
    ? (f1 / (f2 - f1)) * (f3 / (f2 - f3)) + ((x3 - x1) / (x2 - x1)) * (f1 / (f3 - f1)) * (f2 / (f3 - f2))
    : 0.5
  return Math.min(1 - width, Math.max(width, step))
}
