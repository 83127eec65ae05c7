/** One run in, its figures out: as measured, normalised, with uncertainty, what is missing, and flags. */
import type { Tell, Working } from '../explain/working'
import type { Flag, RunAnswer } from '../formats/answer'
import type { ReduceOptions, RunDocument } from '../formats/document'
import { climb, type Climb } from '../normalise/climb'
import { FIGURE, figuresOf } from '../normalise/figures'
import { ladder, type Ladder } from '../normalise/ladder'
import { aimTemperature, ownConditions, type HeatRun } from '../normalise/heatRun'
import { SMALLEST_RISE_K } from '../heating/heatingTime'
import { classGamma } from '../normalise/windClass'
import { efficiencyFlags } from '../plausibility/physicalLimit'
import { problemText, type R } from '../result'
import { propagate, type Budget } from '../uncertainty/propagate'
import { latentHeat } from '../water/liquid'
import { boilingPointFromPressure } from '../water/saturation'
import { prepareHeatRun, type Prepared } from './heatRunFromReadings'
import { readRun, type Readings } from './readings'
import { burnRateOf, firepowerOf, tellEfficiency, tellHeatFlow, tellLadder, tellPerLitre } from './told'

/** Kinds whose time and fuel to the boil are normalised so far. */
const NORMALISED_KINDS: readonly string[] = ['boil', 'boilBurnOut']

/**
 * Reads one run by the options.
 * @param document the run, checked against its schema; null is "not measured"
 * @param withWorkings true: the working of each number comes with it
 */
export function reduceRun(document: RunDocument, options: ReduceOptions, withWorkings = false): RunAnswer {
  const workings: Record<string, Working> = {}
  const tell = withWorkings ? (working: Working) => { workings[working.path] = working } : undefined
  const readings = readRun(document, options, tell)
  const prepared = prepareHeatRun(document, readings, options)
  const result = figure(document, readings, prepared, options)
  const answer = compose({ document, options, readings, prepared, result, tell })
  return withWorkings ? { ...answer, workings } : answer
}

export interface Figured {
  budgets: Budget[]
  climbed: R<Climb> | null
  rungs: Ladder
  flags: Flag[]
  missing: string[]
}

/** Climbs the ladder with uncertainty; where a reading is missing, only what does not need it. */
function figure(document: RunDocument, readings: Readings, prepared: Prepared, options: ReduceOptions): Figured {
  const { run, inputs } = prepared
  const flags: Flag[] = [...readings.flags, ...prepared.flags, ...startFlags(run, readings), ...kindFlags(document)]
  const missing = [...new Set([...readings.missing, ...prepared.missing])]
  const normalisable = NORMALISED_KINDS.includes(document.kind) && readings.times.burns === 1 && prepared.missing.length === 0 && !(run.startC >= aimTemperature(run, ownConditions(run)))
  const climbed = normalisable && run.heatS > 0 ? climb(run, options.reference, options.model) : null
  const figureOptions = { reference: options.reference, model: options.model, litreRatio: litreRatio(document, options), evaporatedJ: weighedEvaporation(document) }
  const evaluate = (moved: HeatRun) => figuresOf(moved, figureOptions, climbed === null ? UNCLIMBED : undefined)
  const budgets = propagate(evaluate, run, inputs)
  if (climbed !== null && !climbed.ok) flags.push({ code: climbed.problem.code, severity: 'error', text: problemText(climbed.problem) })
  if (climbed?.ok) flags.push(...stallFlags(run, readings, climbed.value, options))
  const eta = budgets[FIGURE.efficiency]!
  if (Number.isFinite(eta.value)) flags.push(...efficiencyFlags(eta.value, eta.u, { burner: document.burner.kind, finned: document.pot.finned, calm: readings.windMS === 0 }))
  else if (Number.isNaN(run.lhvJPerKg)) flags.push({ code: 'heating-value-unknown', severity: 'note', text: 'Heating value of the fuel not known: no efficiency.' })
  const rungs = ladder(ladderInputs(document, { readings, budgets, options, run }))
  flags.push(...rungFlags(rungs, readings))
  return { budgets, climbed, rungs, flags, missing: [...new Set([...missing, ...rungs.missing])] }
}

const UNCLIMBED: R<Climb> = { ok: false, problem: { code: 'unclimbed', what: 'Not climbed' } }

function ladderInputs(document: RunDocument, { readings, budgets, options, run }: { readings: Readings, budgets: Budget[], options: ReduceOptions, run: HeatRun }) {
  const value = (i: number) => budgets[i]!.value
  const u = (i: number) => budgets[i]!.u
  const referenceBoilingC = run.targetC ?? boilingPointFromPressure(options.reference.pressureHPa * 100)
  return {
    model: options.model, reference: options.reference, supply: options.supply, windGamma: classGamma({ head: document.burner.head, screen: document.screen }),
    gPerL: [value(0), value(1), value(2), value(3)] as const, u: [u(0), u(1), u(2), u(3)] as const, factorU: [u(4), u(5), u(6)] as const,
    own: { startC: document.water.startC, boilingC: run.targetC ?? readings.boilingC, referenceBoilingC, airC: document.place.airC, windMS: readings.windMS },
    basis: {
      start: 'measured', boilingPoint: 'measured',
      surroundings: document.lossWPerK === null || document.place.airC === null ? 'assumed' : 'measured',
    } as const,
  }
}

/** Litres put in over litres left, where the figure is per litre left. */
function litreRatio({ water }: RunDocument, { litre }: ReduceOptions): number {
  if (litre === 'putIn') return 1
  return water.massG === null || water.endMassG === null ? NaN : water.massG / water.endMassG
}

/** A weighed loss of water beats the model's and the lid's [J]. */
function weighedEvaporation({ water }: RunDocument): number | null {
  if (water.massG === null || water.endMassG === null) return null
  return ((water.massG - water.endMassG) / 1000) * latentHeat(100) * 1000
}

function startFlags(run: HeatRun, { boilingC }: Readings): Flag[] {
  if (boilingC === null || !(run.startC >= aimTemperature(run, ownConditions(run)))) return []
  return [{ code: 'start-above-boiling', severity: 'error', text: `The start (${run.startC.toFixed(1)} °C) is not below where the boil is (${boilingC.toFixed(1)} °C here). °C or °F?` }]
}

const kindFlags = ({ kind }: RunDocument): Flag[] => (NORMALISED_KINDS.includes(kind)
? []
  : [{ code: 'kind-not-normalised', severity: 'note', text: `A "${kind}" test is not normalised; its figures stand as measured.` }])

function stallFlags(run: HeatRun, { times, windMS }: Readings, { stallsAtC, ownS }: Climb, options: ReduceOptions): Flag[] {
  const flags: Flag[] = []
  const referenceAim = run.targetC ?? boilingPointFromPressure(options.reference.pressureHPa * 100)
  if (times.boilS === null && ownS === Infinity) flags.push({ code: 'stalls', severity: 'warning', text: `Would not boil: stalls near ${Math.round(stallsAtC.own)} °C${windMS ? ' in this wind' : ''}.` })
  else if (times.boilS === null) flags.push({ code: 'extrapolated', severity: 'warning', text: 'It did not boil: time and fuel to the boil are extrapolated by the heating model.' })
  if (stallsAtC.reference <= referenceAim) flags.push({ code: 'stalls-at-reference', severity: 'warning', text: `At the reference it would stall near ${Math.round(stallsAtC.reference)} °C.` })
  return flags
}

function rungFlags({ missing, normalisedGPerL, normalisedU }: Ladder, { windMS }: Readings): Flag[] {
  const flags: Flag[] = []
  if (normalisedGPerL !== null && normalisedU === null) flags.push({ code: 'uncertainty-unbounded', severity: 'warning', text: 'So near a stall at the reference that within its uncertainty it may not boil at all: do not compare this figure.' })
  if (missing.includes('place.windMS')) flags.push({ code: 'wind-not-measured', severity: 'warning', text: 'Wind not measured: partly normalised. Type the wind at the pot, or "calm".' })
  if (missing.includes('series.wind')) flags.push({ code: 'wind-series-missing', severity: 'warning', text: `Wind ${windMS} m/s at the pot: this set-up has no wind series of its own yet, so wind is not corrected.` })
  if (missing.includes('series.burnRate')) flags.push({ code: 'supply-series-missing', severity: 'warning', text: 'No burn-rate series of this set-up: supply is not corrected.' })
  return flags
}

const finite = (value: number | undefined): number | null => (value !== undefined && Number.isFinite(value) ? value : null)

export interface Composition {
  document: RunDocument
  options: ReduceOptions
  readings: Readings
  prepared: Prepared
  result: Figured
  tell: Tell | undefined
}

function compose(parts: Composition): RunAnswer {
  const { document, readings, prepared, result: { budgets, rungs, flags, missing } } = parts
  const { times, boilingC, litres, heatS, leadS, toEnd } = readings
  const boiled = times.boilS !== null
  const fuelG = toEnd?.grams ?? null
  const flameS = heatS === null ? null : heatS + leadS
  const own = budgets[FIGURE.own]!
  const eta = budgets[FIGURE.efficiency]!
  const gPerL = boiled ? finite(own.value) : null
  const normal = rungs.normalisedGPerL === null ? null : budgets[FIGURE.afterSurroundings]!
  const stall = stallOf(parts)
  tellPerLitre(parts)
  tellHeatFlow(parts)
  tellEfficiency(parts)
  tellLadder(parts)
  return {
    id: document.id, setup: document.setup, origin: document.origin, kind: document.kind, boilingPointC: boilingC, ended: times.ended,
    stallsAtC: stall.atC, litres,
    timeToBoilS: boiled && times.clockZeroS !== null ? times.boilS! - times.clockZeroS : null,
    timeToBoilU: boiled && times.boilFrom === 'call' ? document.uncertainty.boilCallS : null,
    boilFrom: boiled ? times.boilFrom : stall.foretold ? 'extrapolated' : null,
    fuelToBoilG: boiled ? fuelG : null, efficiency: finite(eta.value), efficiencyU: finite(eta.value) === null ? null : finite(eta.u),
    firepowerW: firepowerOf(fuelG, flameS, parts), burnRateGPerMin: burnRateOf(fuelG, flameS, parts.tell), q0W: finite(budgets[FIGURE.q0]!.value),
    gPerL, gPerLU: gPerL === null ? null : finite(own.u), gPerLPerK: perKelvin(document, readings, prepared.run, fuelG),
    normalisedGPerL: rungs.normalisedGPerL, normalisedU: rungs.normalisedU,
    normalisedTimeS: normal === null ? null : finite(budgets[FIGURE.normalisedTime]!.value), status: rungs.status, missing, ladder: rungs.rungs, flags,
    normalisedURandom: finite(normal?.uRandom), normalisedUShared: finite(normal?.uShared),
  }
}

/** Where it stalls, in its own conditions or else in the reference's; and whether a boil that never came can be foretold. */
function stallOf({ result: { climbed }, readings }: Composition): { atC: number | null, foretold: boolean } {
  if (!climbed?.ok) return { atC: null, foretold: false }
  const { ownS, rungS, stallsAtC } = climbed.value
  const own = ownS === Infinity
  const atC = own ? stallsAtC.own : Number.isFinite(rungS[2]) ? null : stallsAtC.reference
  return { atC, foretold: readings.times.boilS === null && !own }
}

/** Fuel per litre and degree; of a run without a boil a lower bound, since waiting at a stall adds fuel and no heat. */
function perKelvin({ water }: RunDocument, { times, litres }: Readings, run: HeatRun, fuelG: number | null): number | null {
  const endC = times.boilS === null ? water.endC : finite(aimTemperature(run, ownConditions(run)))
  if (fuelG === null || litres === null || endC === null || water.startC === null || endC - water.startC < SMALLEST_RISE_K) return null
  return fuelG / litres / (endC - water.startC)
}
