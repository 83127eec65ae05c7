/** The ladder: rung by rung from the figure as measured to the figure at the reference, with what is missing named. */
import type { Basis, Rung } from '../formats/answer'
import type { Model, Reference, RungName } from './reference'
import { windGhost } from './windClass'

export interface LadderInputs {
  model: Model
  reference: Reference
  /** Fuel per litre as measured or foretold, then after start, boilingPoint and surroundings [g/L]; not finite where it stalls. */
  gPerL: readonly [number, number, number, number]
  /** Cumulative standard uncertainty of each [g/L], and of each rung's factor, relative. */
  u: readonly [number, number, number, number]
  factorU: readonly [number, number, number]
  own: { startC: number | null, boilingC: number | null, referenceBoilingC: number, airC: number | null, windMS: number | null }
  basis: { start: Basis, boilingPoint: Basis, surroundings: Basis }
  supply: boolean
  /** Of the burner's class, for the ghost of an open wind rung; null where the class is not known. */
  windGamma: number | null
}

export interface Ladder {
  rungs: Rung[]
  normalisedGPerL: number | null
  normalisedU: number | null
  status: 'normalised' | 'partly' | 'not'
  missing: string[]
}

/**
 * Builds the rungs. Factors multiply to the total exactly; a rung that lacks a reading has a null factor and carries the figure on.
 * The wind rung is 1 between two calms; without the set-up's own series any other wind leaves it open.
 */
export function ladder(inputs: LadderInputs): Ladder {
  const { reference, own, model } = inputs
  const missing: string[] = []
  const heat: [RungName, Basis, Rung['moved']][] = [
    ['start', inputs.basis.start, { from: own.startC, to: reference.startC, unit: '°C' }],
    ['boilingPoint', inputs.basis.boilingPoint, { from: own.boilingC, to: own.referenceBoilingC, unit: '°C' }],
    ['surroundings', model === 'loss' ? inputs.basis.surroundings : 'notInModel', { from: own.airC, to: reference.airC, unit: '°C' }],
  ]
  const rungs = heat.map(([rung, basis, moved], i) => heatRung(inputs, { rung, basis, moved, i }))
  if (model === 'loss' && own.airC === null) leaveOpen(rungs[2]!, missing, 'place.airC')
  const carried = rungs[2]!
  const windRung = carryOn(carried, 'wind', { from: own.windMS, to: reference.windMS, unit: 'm/s' })
  const open = own.windMS === null || own.windMS !== 0 || reference.windMS !== 0
  if (open && carried.gPerL !== null) windRung.ghost = windGhost(carried.gPerL, own.windMS, inputs.windGamma)
  if (own.windMS === null) leaveOpen(windRung, missing, 'place.windMS')
  else if (own.windMS !== 0 || reference.windMS !== 0) leaveOpen(windRung, missing, 'series.wind')
  const supply = { ...carryOn({ ...windRung, ghost: null }, 'supply', { from: null, to: reference.burnRateGPerMin, unit: 'g/min' }), factor: 1, basis: 'notInModel' as const }
  if (inputs.supply) leaveOpen(supply, missing, 'series.burnRate')
  const all = [...rungs, windRung, supply]
  const status = carried.gPerL === null ? 'not' : missing.length > 0 ? 'partly' : 'normalised'
  return { rungs: all, normalisedGPerL: carried.gPerL, normalisedU: carried.gPerL === null ? null : carried.u, status, missing }
}

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null)

function heatRung({ gPerL, u, factorU }: LadderInputs, { rung, basis, moved, i }: Pick<Rung, 'rung' | 'basis' | 'moved'> & { i: number }): Rung {
  const before = gPerL[i]!
  const after = gPerL[i + 1]!
  // Out of a stall there is no factor: the figure begins here.
  const factor = Number.isFinite(before) ? finite(after / before) : null
  return {
    rung, basis, moved, reach: null, ghost: null, gPerL: finite(after), u: finite(u[i + 1]!), factor,
    ownU: factor === null ? null : finite(factorU[i]! * after),
  }
}

/** A rung that moves nothing: factor 1, the figure carried on. */
const carryOn = (from: Rung, rung: RungName, moved: Rung['moved']): Rung =>
  ({ ...from, rung, moved, factor: from.gPerL === null ? null : 1, basis: 'measured', ownU: 0 })

function leaveOpen(rung: Rung, missing: string[], what: string): void {
  rung.factor = null
  rung.ownU = null
  missing.push(what)
}
