/**
 * A figure's uncertainty with its set-up's flame in it: every independent cause moves the figure and, through the fit,
 * the parameters that it is worked out by.
 */
import { THETA } from '../flame/flameRow'
import {
  columnsOf,
  FIGURED,
  figuredCovariance,
  figuredPull,
  SHIFTED,
  shiftFlame,
  type SetupFlame,
  type SharedInput,
} from '../flame/setupFlame'
import type { HeatRun } from '../normalise/heatRun'
import { propagate, type Propagation, type UncertainInput } from '../uncertainty/propagate'
import type { RunCause } from './uncertainInputs'

/** A valve is never set twice alike: standard deviation of ln ṁ. Source: estimate. */
export const VALVE_U = 0.03
/** Of the model, for each unit of ln that the flame rung moves the burn rate by. Source: estimate. */
const MODEL_U_PER_LN = 0.02

export interface InFlame {
  flame: SetupFlame
  /** Which of its rows this run is; null: it was not fitted to. */
  row: number | null
  isOpen: boolean
  aboveKm: number
  /** What of the set-up its shared parameters are called by. */
  owner: string
  /** How many calm runs the bench burn rate is of; null: the run's own rate. */
  benchRuns: number | null
  /** How far the flame rung moves: ln(ṁ₀/ṁ). */
  lnBurnRatio: number
}

/** As `propagate` takes the model. */
interface Model {
  model: (x: HeatRun) => readonly number[]
  scaled: (x: HeatRun) => readonly number[]
  copy: HeatRun
}

export interface FlameBudget extends Propagation<HeatRun> {
  /** What each result owes to each parameter of the flame, whole posterior: for what runs of a series share. */
  flameEffects: readonly (readonly number[])[]
}

/** @param causes of the run itself. Sources: gum, flameModel. */
export function flameBudget(
  run: HeatRun,
  causes: readonly RunCause[],
  at: InFlame,
  { model, scaled, copy }: Model,
): FlameBudget {
  const direct = [...causes, ...ownOfFlame(at)]
  const acting = FIGURED.map((_, i) => i).filter((i) => acts(i, run, at))
  const raw = propagate(model, run, [...direct, ...parameters(acting, at)], { scaled, copy })
  const gradient = gradientOf(raw, acting, { from: direct.length, at })
  const pulls = [...pullsOf(causes, at), ...ownPulls(at)]
  const columns = columnsOf(figuredCovariance(at.flame, at.row))
  return {
    values: raw.values,
    inputs: [
      ...direct.map((cause, c) => withPull(cause, pulls[c]!, at)),
      ...columns.map((column) => columnInput(column, at)),
    ],
    effects: [
      ...pulls.map((pull, c) => (pull === null ? raw.effects[c]! : added(raw.effects[c]!, pull, gradient))),
      ...effectsOf(columns, gradient),
    ],
    flameEffects: effectsOf(at.flame.columns, gradient),
  }
}

/** Whether a parameter can move a figure at all: most of them do not in calm, or with a lid. */
function acts(i: number, run: HeatRun, { isOpen, aboveKm, lnBurnRatio }: InFlame): boolean {
  const k = FIGURED[i]!
  if (k === THETA.lnTransfer || k === THETA.vapourWind) return isOpen
  if (k === THETA.altitude) return aboveKm !== 0
  if (k === THETA.flamePower) return lnBurnRatio !== 0
  return k === THETA.lnLoss || !Number.isNaN(run.v0MS)
}

/** Change of each result for each parameter by one; none where it does not act. */
function gradientOf(
  raw: Propagation<HeatRun>,
  acting: readonly number[],
  { from, at }: { from: number; at: InFlame },
): number[][] {
  return FIGURED.map((k, i) => {
    const row = acting.indexOf(i)
    const sd = Math.sqrt(at.flame.fit.covariance[k]![k]!)
    if (row < 0 || sd === 0) return raw.values.map(() => 0)
    return raw.effects[from + row]!.map((one) => one / sd)
  })
}

/** A cause's own effects, and those through the parameters that it pulls. */
function added(own: readonly number[], pull: readonly number[], gradient: readonly number[][]): number[] {
  const sums = own.slice()
  addAlong(sums, pull, gradient)
  return sums
}

/** Adds Σ byₖ·gradientₖ to each result's sum. */
function addAlong(sums: number[], by: readonly number[], gradient: readonly number[][]): void {
  for (let k = 0; k < by.length; k++) {
    const share = by[k]!
    if (share === 0) continue
    const slopes = gradient[k]!
    for (let result = 0; result < sums.length; result++) sums[result]! += share * slopes[result]!
  }
}

const effectsOf = (columns: readonly (readonly number[])[], gradient: readonly number[][]): number[][] =>
  columns.map((column) => {
    const sums = new Array<number>(gradient[0]!.length).fill(0)
    addAlong(sums, column, gradient)
    return sums
  })

/** For drawing: the cause with what it does to the parameters. */
function withPull(cause: UncertainInput<HeatRun>, pull: number[] | null, at: InFlame): UncertainInput<HeatRun> {
  if (pull === null) return cause
  return {
    ...cause,
    move: (x, amount) => {
      cause.move(x, amount)
      shiftFlame(x, pull, amount / cause.u, SHIFT(at))
    },
  }
}

/**
 * How one standard uncertainty of each cause pulls the parameters: through its own row, or, where it is shared, through
 * all rows together; null: it does not.
 */
function pullsOf(causes: readonly RunCause[], { flame, row }: InFlame): (number[] | null)[] {
  let own = 0
  return causes.map(({ sharedBy, scales }) => {
    if (sharedBy !== null) {
      const shared = flame.sharedPulls[sharedBy]
      return shared === undefined ? null : figuredPull(shared)
    }
    if (scales || row === null) return null
    const { pull, moved } = flame.fit.rows[row]!
    const by = moved[own++]!
    return figuredPull(pull).map((one) => one * by)
  })
}

/** The same of what no reading shows: the flame's repeatability alone pulls. */
function ownPulls({ flame, row }: InFlame): (number[] | null)[] {
  const own = row === null ? null : figuredPull(flame.fit.rows[row]!.pull).map((one) => one * flame.fit.sigma)
  return [own, null, null]
}

const SHIFT = ({ isOpen, aboveKm }: InFlame) => ({ isOpen, aboveKm, windMS: null })

/** What no reading shows: the flame's repeatability, the valve's, and the model's own. */
function ownOfFlame(at: InFlame): UncertainInput<HeatRun>[] {
  const { flame, benchRuns, lnBurnRatio, owner } = at
  return [
    {
      name: 'The flame’s repeatability',
      u: flame.fit.sigma,
      sharedBy: null,
      repeats: true,
      move: (x, by) => {
        x.flameFactor *= Math.exp(by)
      },
      touches: ['flameFactor'],
    },
    {
      name: benchRuns === null ? 'The valve, set anew' : 'Bench burn rate',
      u: VALVE_U / Math.sqrt(benchRuns ?? 1),
      sharedBy: benchRuns === null ? null : `bench: ${owner}`,
      repeats: true,
      move: (x, by) => {
        x.valveFactor *= Math.exp(by)
      },
      touches: ['valveFactor'],
    },
    {
      name: 'The model itself',
      u: Math.hypot(flame.priors.modelU, MODEL_U_PER_LN * lnBurnRatio),
      sharedBy: 'model',
      move: (x, by) => {
        x.modelFactor += by
      },
      touches: ['modelFactor'],
      scales: true,
    },
  ]
}

/** Each parameter alone, by its posterior: what the figure's gradient is read from. */
const parameters = (acting: readonly number[], at: InFlame): UncertainInput<HeatRun>[] =>
  acting.map((i) => {
    const k = FIGURED[i]!
    const sd = Math.sqrt(at.flame.fit.covariance[k]![k]!)
    const unit = FIGURED.map((_, j) => (i === j ? 1 : 0))
    return {
      name: 'The set-up’s flame',
      u: sd,
      sharedBy: 'flame',
      move: (x, by) => shiftFlame(x, unit, by, SHIFT(at)),
      touches: SHIFTED,
    }
  })

const columnInput = (column: number[], at: InFlame): UncertainInput<HeatRun> => ({
  name: 'The set-up’s flame',
  u: 1,
  sharedBy: 'flame',
  move: (x, by) => shiftFlame(x, column, by, SHIFT(at)),
  touches: SHIFTED,
})

export const sharedInputsOf = (causes: readonly RunCause[]): SharedInput[] =>
  causes.flatMap(({ sharedBy, u, move }) => (sharedBy === null ? [] : [{ sharedBy, u, move }]))
