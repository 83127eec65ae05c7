/** Seeded standard normal numbers, by the hundred thousand. */
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

const STRIPS = 128
const TAIL_FROM = 3.442619855899
const STRIP_AREA = 9.91256303526217e-3
const HALF_RANGE = 2147483648

/** Bounds below which a strip is wholly inside the curve, its width, and the curve's height at its edge. */
const { inside, width, height } = strips()

function strips(): { inside: Int32Array; width: Float64Array; height: Float64Array } {
  const inside = new Int32Array(STRIPS)
  const width = new Float64Array(STRIPS)
  const height = new Float64Array(STRIPS)
  let edge = TAIL_FROM
  let next = TAIL_FROM
  const base = STRIP_AREA / Math.exp(-0.5 * edge * edge)
  inside[0] = (edge / base) * HALF_RANGE
  inside[1] = 0
  width[0] = base / HALF_RANGE
  width[STRIPS - 1] = edge / HALF_RANGE
  height[0] = 1
  height[STRIPS - 1] = Math.exp(-0.5 * edge * edge)
  for (let i = STRIPS - 2; i >= 1; i--) {
    edge = Math.sqrt(-2 * Math.log(STRIP_AREA / edge + Math.exp(-0.5 * edge * edge)))
    inside[i + 1] = (edge / next) * HALF_RANGE
    next = edge
    height[i] = Math.exp(-0.5 * edge * edge)
    width[i] = edge / HALF_RANGE
  }
  return { inside, width, height }
}

/**
 * The ziggurat: the normal curve in 128 strips of one area; 98 draws in 100 fall inside a strip and cost one
 * multiplication.
 * @returns a generator of mean 0 and standard deviation 1; the same seed, the same numbers. Source: ziggurat.
 */
export function normalNumbers(seed: number): () => number {
  const generator = xoroshiro128plus(seed)
  const uniform = () => (generator.next() + HALF_RANGE + 0.5) / (2 * HALF_RANGE)
  const beyond = (sign: number) => {
    for (;;) {
      const x = -Math.log(uniform()) / TAIL_FROM
      if (-2 * Math.log(uniform()) >= x * x) return sign * (TAIL_FROM + x)
    }
  }
  return () => {
    for (;;) {
      const drawn = generator.next()
      // The lowest bits of this generator are its weakest: the strip is chosen by others.
      const strip = (drawn >>> 9) & (STRIPS - 1)
      const value = drawn * width[strip]!
      if ((drawn < 0 ? -drawn : drawn) < inside[strip]!) return value
      if (strip === 0) return beyond(drawn < 0 ? -1 : 1)
      if (height[strip]! + uniform() * (height[strip - 1]! - height[strip]!) < Math.exp(-0.5 * value * value))
        return value
    }
  }
}
