/** First-order propagation of uncertainty, with each input's share, for several results at once. */

export interface UncertainInput<X> {
  name: string
  /** Standard uncertainty, in the input's own unit (for words). */
  u: number
  /** The inputs with this one moved by so many standard uncertainties. */
  moved: (x: X, standardUncertainties: number) => X
  /** Common to all runs of the bench or the set-up (scale accuracy, Θ, K_loss): not shrunk by repeating. */
  shared: boolean
}

export interface Share {
  name: string
  /** Change of the result for +1 standard uncertainty, signed: input's u × sensitivity. */
  effect: number
  /** Share of the variance, 0…1. */
  share: number
  shared: boolean
}

export interface Budget {
  value: number
  /** Combined standard uncertainty; NaN where the result is not finite. */
  u: number
  /** Its part that repeating shrinks, and the part it does not. */
  uRandom: number
  uShared: number
  shares: Share[]
}

/**
 * Combines independent inputs to first order, by central differences over ± 1 u: u² = Σ (Δᵢ)².
 * @param model results, as a list, from the inputs
 * @param x the inputs as they stand
 * @param inputs what is uncertain in them
 * @returns a budget per result. Source: gum §5.1.2 and its note 2 (numerical evaluation).
 */
export function propagate<X>(model: (x: X) => readonly number[], x: X, inputs: readonly UncertainInput<X>[]): Budget[] {
  const values = model(x)
  const effects = inputs.map((input) => {
    const up = model(input.moved(x, 1))
    const down = model(input.moved(x, -1))
    return values.map((_, i) => (up[i]! - down[i]!) / 2)
  })
  return values.map((value, i) => budget(value, inputs, effects.map(row => row[i]!)))
}

function budget<X>(value: number, inputs: readonly UncertainInput<X>[], effects: number[]): Budget {
  const variance = (keep: (shared: boolean) => boolean) =>
    effects.reduce((sum, effect, i) => (keep(inputs[i]!.shared) ? sum + effect * effect : sum), 0)
  const random = variance(shared => !shared)
  const common = variance(shared => shared)
  const total = random + common
  return {
    value, u: Math.sqrt(total), uRandom: Math.sqrt(random), uShared: Math.sqrt(common),
    shares: inputs.map(({ name, shared }, i) => ({ name, shared, effect: effects[i]!, share: total > 0 ? effects[i]! ** 2 / total : 0 })),
  }
}
