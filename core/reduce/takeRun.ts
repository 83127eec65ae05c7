/** First pass over a run: its readings by the conventions, and its heat balance made ready. */
import { finiteWorking, type AddWorking, type Working } from '../explain/working'
import type { ReduceOptions, RunDocument } from '../formats/document'
import type { RunInput } from '../run/runInput'
import { readDocument } from '../formats/readDocument'
import type { TraceReading } from '../formats/traceReading'
import { aimTemperature, ownConditions, type HeatRun } from '../normalise/heatRun'
import { prepareHeatRun } from './heatRunFromReadings'
import { WATER_SPECIFIC_HEAT } from '../constants/physical'
import { fitHeatingInClean, type BurnFit } from '../trace/fitHeating'
import { readRun, type Readings } from './readings'
import type { Member } from './setupSeries'

/** Kinds whose time and fuel to the boil are normalised; the others have figures of their own. */
export const NORMALISED_KINDS: readonly string[] = ['boil', 'boilBurnOut', 'fed', 'wood', 'snow']

export interface TakenRun extends Member {
  traceFit: BurnFit[] | null
  workings: Record<string, Working> | null
  addWorking: AddWorking | undefined
}

export function takeRun(document: RunDocument, options: ReduceOptions, withWorkings: boolean): TakenRun {
  const workings: Record<string, Working> | null = withWorkings ? {} : null
  const addWorking =
    workings === null
      ? undefined
      : (working: Working) => {
          workings[working.path] = finiteWorking(working)
        }
  const input = readDocument(document)
  const readings = readRun(input, options, addWorking)
  const prepared = prepareHeatRun(input, readings, options)
  const normalisable =
    NORMALISED_KINDS.includes(input.kind) &&
    prepared.missing.length === 0 &&
    prepared.run.heatS > 0 &&
    prepared.run.fuelKg > 0 &&
    !startsAboveAim(prepared.run)
  return {
    input,
    readings,
    prepared,
    normalisable,
    workings,
    addWorking,
    traceFit: input.traceReading ? input.traceReading.traceFit : traceFitOf(input, readings, prepared.run),
  }
}

export const traceReadingOf = ({ readings, traceFit }: TakenRun): TraceReading => ({
  found: readings.found,
  traceFit,
  endC: readings.endC,
  fallenAtS: readings.fallenAtS,
})

function traceFitOf({ kind }: RunInput, { times, boilingC, clean }: Readings, run: HeatRun): BurnFit[] | null {
  if (
    clean === null ||
    kind === 'coolDown' ||
    boilingC === null ||
    times.potOnS === null ||
    Number.isNaN(run.waterKg) ||
    Number.isNaN(run.startC)
  )
    return null
  const potOnS = times.potOnS
  const burns = times.burns.map(({ startS, endS }) => ({ startS: Math.max(startS, potOnS), endS: endS ?? Infinity }))
  const capacityJPerK = run.waterKg * WATER_SPECIFIC_HEAT.value + run.potJPerK
  const fit = fitHeatingInClean(clean, {
    capacityJPerK,
    airC: run.airC,
    boilingC,
    burns: burns.length === 0 ? [{ startS: potOnS, endS: Infinity }] : burns,
  })
  return fit.ok ? fit.value.burns : null
}

/** True also where either is not known. */
export const startsAboveAim = (run: HeatRun): boolean => !(run.startC < aimTemperature(run, ownConditions(run)))
