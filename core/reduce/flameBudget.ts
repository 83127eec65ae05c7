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
  putFlameBack,
  shiftFlame,
  type SetupFlame,
  type SharedInput,
} from '../flame/setupFlame'
import { FIGURE } from '../normalise/figures'
import type { VolumeStep } from '../flame/otherVolume'
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
  /** What the volume rung takes for granted; null: no volume was asked for. */
  volume: VolumeStep | null
}

/** As `propagate` takes the model. */
interface Model {
  model: (x: HeatRun) => readonly number[]
  scaled: (x: HeatRun) => readonly number[]
  copy: HeatRun
}

export interface FlameBudget extends Propagation<HeatRun> {
  /** What one standard uncertainty of each cause does to the parameters, in FIGURED's order; null: nothing. */
  pulls: readonly (readonly number[] | null)[]
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
  const slopes = slopesOf(raw, acting, { from: direct.length, at })
  const pulls = [...pullsOf(causes, at), ...ownPulls(at)]
  const posterior = columnsOf(figuredCovariance(at.flame, at.row, acting)).map((column) => overAll(column, acting))
  return {
    values: raw.values,
    inputs: [...direct, ...posterior.map(() => POSTERIOR)],
    pulls: [...pulls, ...posterior],
    effects: [
      ...pulls.map((pull, c) => (pull === null ? raw.effects[c]! : added(raw.effects[c]!, pull, slopes))),
      ...effectsOf(posterior, slopes),
    ],
    flameEffects: effectsOf(at.flame.columns, slopes),
  }
}

/** What was worked out for the acting parameters, in FIGURED's order. */
function overAll(column: readonly number[], acting: readonly number[]): number[] {
  const all = FIGURED.map(() => 0)
  acting.forEach((i, c) => (all[i] = column[c]!))
  return all
}

/** Whether a parameter can move a figure at all: most of them do not in calm, or with a lid. */
function acts(i: number, run: HeatRun, { isOpen, aboveKm, lnBurnRatio }: InFlame): boolean {
  const k = FIGURED[i]!
  if (k === THETA.lnTransfer || k === THETA.vapourWind) return isOpen
  if (k === THETA.altitude) return aboveKm !== 0
  if (k === THETA.flamePower) return lnBurnRatio !== 0
  return k === THETA.lnLoss || !Number.isNaN(run.v0MS)
}

/** What a parameter does to each result. */
interface Slope {
  /** Where it stands in FIGURED. */
  i: number
  /** Change of each result for a change by one. */
  by: readonly number[]
}

function slopesOf(
  raw: Propagation<HeatRun>,
  acting: readonly number[],
  { from, at }: { from: number; at: InFlame },
): Slope[] {
  return acting.map((i, row) => {
    const sd = sdOf(i, at)
    return { i, by: raw.effects[from + row]!.map((one) => (sd === 0 ? 0 : one / sd)) }
  })
}

const sdOf = (i: number, { flame: { fit } }: InFlame): number => Math.sqrt(fit.covariance[FIGURED[i]!]![FIGURED[i]!]!)

/** A cause's own effects, and those through the parameters that it pulls. */
function added(own: readonly number[], pull: readonly number[], slopes: readonly Slope[]): number[] {
  const sums = own.slice()
  addAlong(sums, pull, slopes)
  return sums
}

/** Adds Σ pullᵢ·slopeᵢ to each result's sum. */
function addAlong(sums: number[], pull: readonly number[], slopes: readonly Slope[]): void {
  for (const { i, by } of slopes) {
    const share = pull[i]!
    if (share === 0) continue
    for (let result = 0; result < sums.length; result++) sums[result]! += share * by[result]!
  }
}

const effectsOf = (columns: readonly (readonly number[])[], slopes: readonly Slope[]): number[][] =>
  columns.map((column) => {
    const sums = NO_EFFECT.slice()
    addAlong(sums, column, slopes)
    return sums
  })
const NO_EFFECT: readonly number[] = Object.values(FIGURE).map(() => 0)

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
  return [own, null, null, null]
}

type Factor = 'flameFactor' | 'valveFactor' | 'volumeFactor'

/** What no reading shows: the flame's repeatability, the valve's, the model's own, and another volume's. */
function ownOfFlame({ flame, benchRuns, lnBurnRatio, owner, volume }: InFlame): UncertainInput<HeatRun>[] {
  return [
    { ...scaling('flameFactor'), name: 'The flame’s repeatability', u: flame.fit.sigma, sharedBy: null, repeats: true },
    {
      ...scaling('valveFactor'),
      name: benchRuns === null ? 'The valve, set anew' : 'Bench burn rate',
      u: VALVE_U / Math.sqrt(benchRuns ?? 1),
      sharedBy: benchRuns === null ? null : `bench: ${owner}`,
      repeats: true,
    },
    {
      name: 'The model itself',
      u: Math.hypot(flame.priors.modelU, MODEL_U_PER_LN * lnBurnRatio),
      sharedBy: 'model',
      move: (x, by) => (x.modelFactor += by),
      putBack: (x, from) => (x.modelFactor = from.modelFactor),
      scales: true,
    },
    {
      ...scaling('volumeFactor'),
      name: 'What another volume does to the flame',
      u: volume?.u ?? 0,
      sharedBy: `volume: ${owner}`,
    },
  ]
}

/** Moves a factor by its logarithm. */
const scaling = (key: Factor): Pick<UncertainInput<HeatRun>, 'move' | 'putBack'> => ({
  move: (x, by) => (x[key] *= Math.exp(by)),
  putBack: (x, from) => (x[key] = from[key]),
})

/** Each parameter alone, by its posterior: what the figure's slope is read from. */
const parameters = (acting: readonly number[], at: InFlame): UncertainInput<HeatRun>[] =>
  acting.map((i) => ({
    name: 'The set-up’s flame',
    u: sdOf(i, at),
    sharedBy: 'flame',
    move: (x, by) => shiftFlame(x, UNITS[i]!, by, at),
    putBack: putFlameBack,
  }))
const UNITS = FIGURED.map((_, i) => FIGURED.map((_one, j) => (i === j ? 1 : 0)))

/** The rest of the posterior, which moves nothing but the parameters. */
const POSTERIOR: UncertainInput<HeatRun> = {
  name: 'The set-up’s flame',
  u: 1,
  sharedBy: 'flame',
  move: () => undefined,
  putBack: () => undefined,
}

export const sharedInputsOf = (causes: readonly RunCause[]): SharedInput[] =>
  causes.flatMap(({ sharedBy, u, move, putBack }) => (sharedBy === null ? [] : [{ sharedBy, u, move, putBack }]))
