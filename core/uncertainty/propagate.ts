/** First-order propagation of uncertainty, with each input's share, for several results at once. */

export interface UncertainInput<X> {
  name: string
  /** Standard uncertainty, in the input's own unit (for words). */
  u: number
  /** Moves this input by so much, in its own unit, in place: on a working copy that is put back afterwards. */
  move: (x: X, by: number) => void
  /** Undoes what `move` changed, from how it was. */
  putBack: (x: X, from: X) => void
  /**
   * What else it is common to (all runs of the bench or the set-up: scale accuracy, Θ, K_loss), so that repeating does
   * not shrink it; null: this run's own.
   */
  sharedBy: string | null
  /** It is of how a burn repeats, not of how it was read. */
  repeats?: boolean
  /** It scales results whose costly part stays as it is; see `propagate`. */
  scales?: boolean
}

export interface Share {
  name: string
  /** Change of the result for +1 standard uncertainty, signed: input's u × sensitivity. */
  effect: number
  /** Share of the variance, 0…1. */
  share: number
  shared: boolean
}

/** Values of several results, and what each input does to each of them. */
export interface Propagation<X> {
  values: readonly number[]
  inputs: readonly UncertainInput<X>[]
  /** Per input and result: change for +1 standard uncertainty. */
  effects: readonly (readonly number[])[]
}

/**
 * Moves each input by ± 1 standard uncertainty: central differences, one-sided where the effect is small.
 * @param model results, as a list, from the inputs
 * @param x the inputs as they stand
 * @param inputs what is uncertain in them, independent of one another
 * `scaled`: the same results by the shorter way, for inputs that only scale them; `copy`: of x, to work on. Source: gum
 * §5.1.2 and its note 2 (numerical evaluation).
 */
export function propagate<X extends object>(
  model: (x: X) => readonly number[],
  x: X,
  inputs: readonly UncertainInput<X>[],
  { scaled = model, copy = { ...x } }: { scaled?: (x: X) => readonly number[]; copy?: X } = {},
): Propagation<X> {
  const values = scaled(x)
  const effects = inputs.map((input) => {
    const evaluate = input.scales === true ? scaled : model
    input.move(copy, input.u)
    const high = evaluate(copy)
    input.putBack(copy, x)
    if (isSmall(values, high)) return differences(high, values, 1)
    input.move(copy, -input.u)
    const low = evaluate(copy)
    input.putBack(copy, x)
    return differences(high, low, 2)
  })
  return { values, inputs, effects }
}

/** An effect of relative size ε bends by about ε: below this, one side tells it to within half a percent of itself. */
const SMALL_EFFECT = 0.005

function isSmall(values: readonly number[], moved: readonly number[]): boolean {
  for (let i = 0; i < values.length; i++)
    if (Math.abs(moved[i]! - values[i]!) > SMALL_EFFECT * Math.abs(values[i]!)) return false
  return true
}

function differences(above: readonly number[], below: readonly number[], steps: 1 | 2): number[] {
  const effect = new Array<number>(above.length)
  for (let i = 0; i < above.length; i++) effect[i] = (above[i]! - below[i]!) / steps
  return effect
}

export interface Combined {
  value: number
  /** Combined standard uncertainty, u² = Σ (Δᵢ)²; NaN where the result is not finite. */
  u: number
  /** Its part that repeating shrinks, and the part it does not. */
  uRandom: number
  uShared: number
}

/** One result with its combined uncertainty. Source: gum. */
export function combined<X>({ values, inputs, effects }: Propagation<X>, result: number): Combined {
  let random = 0
  let common = 0
  for (let i = 0; i < inputs.length; i++) {
    const squared = effects[i]![result]! ** 2
    if (inputs[i]!.sharedBy === null) random += squared
    else common += squared
  }
  return {
    value: values[result]!,
    u: Math.sqrt(random + common),
    uRandom: Math.sqrt(random),
    uShared: Math.sqrt(common),
  }
}

/**
 * Of one burn as it was read: without how the flame and the valve repeat; and the part of it that repeating shrinks.
 * Source: gum.
 */
export function readingUncertainty<X>(
  { inputs, effects }: Propagation<X>,
  result: number,
): { u: number; uRandom: number } {
  let [all, random] = [0, 0]
  for (const [i, { repeats, sharedBy }] of inputs.entries()) {
    if (repeats === true) continue
    const squared = effects[i]![result]! ** 2
    all += squared
    if (sharedBy === null) random += squared
  }
  return { u: Math.sqrt(all), uRandom: Math.sqrt(random) }
}

/** Relative standard uncertainty of the ratio of two results: what moves both alike cancels. Source: gum. */
export function ratioUncertainty<X>({ values, effects }: Propagation<X>, above: number, below: number): number {
  let variance = 0
  for (const effect of effects) variance += (effect[above]! / values[above]! - effect[below]! / values[below]!) ** 2
  return Math.sqrt(variance)
}

/** Each input's share of one result's variance, largest first; what has one name is one. */
export function sharesOf<X>(propagation: Propagation<X>, result: number): Share[] {
  const variance = combined(propagation, result).u ** 2
  const byName = new Map<string, Share>()
  propagation.inputs.forEach(({ name, sharedBy }, i) => {
    const effect = propagation.effects[i]![result]!
    const share = variance > 0 ? effect ** 2 / variance : 0
    const before = byName.get(name)
    byName.set(name, {
      name,
      shared: sharedBy !== null,
      effect: before === undefined ? effect : Math.hypot(before.effect, effect),
      share: share + (before?.share ?? 0),
    })
  })
  return [...byName.values()].filter((one) => one.share > 0).sort((a, b) => b.share - a.share)
}

/**
 * What one result owes to everything that is shared, by what shares it: signed, for means and differences of runs on
 * one bench.
 */
export function sharedEffects<X>({ inputs, effects }: Propagation<X>, result: number): Record<string, number> {
  const shared: Record<string, number> = {}
  inputs.forEach(({ sharedBy }, i) => {
    if (sharedBy !== null && effects[i]![result] !== 0)
      shared[sharedBy] = (shared[sharedBy] ?? 0) + effects[i]![result]!
  })
  return shared
}
