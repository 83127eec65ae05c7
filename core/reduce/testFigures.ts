/** What each kind of test measures in its own terms, besides fuel per litre. */
import type { TestFigures } from '../formats/answer'
import type { RunInput } from '../run/runInput'
import { densityAt } from '../constants/fuels'
import { evaporationFrom, evaporationPower } from '../heating/evaporation'
import { surplus } from '../heating/heatingTime'
import { heatFlowFromTime } from '../heating/heatFlow'
import { aimTemperature, lossCoefficient, ownConditions, sensibleHeat, type HeatRun } from '../normalise/heatRun'
import { heatingIn } from '../normalise/runHeating'
import { inGrams } from '../quantity/shown'
import { flameTimeBetween } from '../run/burns'
import type { Readings } from './readings'
import type { SetupSeries } from './setupSeries'

export interface TestParts {
  input: RunInput
  readings: Readings
  run: HeatRun
  series: SetupSeries
  firepowerW: number | null
}

const finite = (value: number | null | undefined): number | null =>
  value !== null && value !== undefined && Number.isFinite(value) ? value : null

/**
 * Null where a figure is not this test's, or a reading for it is missing. Sources: wbt (firepower, turn-down), newton,
 * commonPractice.
 */
export function testFigures(parts: TestParts): TestFigures {
  const { input, readings, run } = parts
  const endC = input.water.endC ?? readings.endC
  const figures: TestFigures = {
    warmUpS: between(readings.times.litS, readings.times.bloomedS),
    ...burnFigures(parts),
    usefulAfterBoilS: usefulAfterBoil(parts),
    boilsPerLoad: boilsPerLoad(readings),
    riseK: readings.times.boilS === null ? between(input.water.startC, endC) : null,
    powerIntoWaterW: powerIntoWater(parts, endC),
    ...simmerFigures(parts),
    meltEnergyKJ: run.meltJ > 0 ? run.meltJ / 1000 : null,
    toWaterS: run.meltJ > 0 ? timeToWater(run) : null,
    pieces: input.kind === 'fed' ? piecesOf(input) : null,
    gapsS: gapsOf(readings),
    dryFuelG: readings.dryWood === null ? null : inGrams(readings.dryWood.massKg),
    lossWPerK: readings.coolDown?.lossWPerK ?? null,
    lossWPerKU: readings.coolDown?.u ?? null,
  }
  for (const key of Object.keys(figures) as (keyof TestFigures)[]) figures[key] = finite(figures[key])
  return figures
}

const between = (from: number | null, to: number | null): number | null =>
  from === null || to === null ? null : to - from

function burnFigures({
  input,
  readings: { times, used, fuel },
}: TestParts): Pick<TestFigures, 'burnTimeS' | 'burnRateGPerMin' | 'burnRateMlPerMin'> {
  const startS = times.litS ?? times.potOnS
  const burnTimeS =
    startS === null || times.flameEndS === null ? null : flameTimeBetween(times.burns, startS, times.flameEndS)
  if (burnTimeS === null || used === null || burnTimeS <= 0)
    return { burnTimeS, burnRateGPerMin: null, burnRateMlPerMin: null }
  const kgPerS = used.massKg / burnTimeS
  const densityKgPerM3 = fuel === null ? null : densityAt(fuel, input.place.airC ?? 20)
  return {
    burnTimeS,
    burnRateGPerMin: kgPerS * 60_000,
    burnRateMlPerMin: densityKgPerM3 === null ? null : (kgPerS * 60e6) / densityKgPerM3,
  }
}

/** Null too where the load was burned for one boil alone. */
function boilsPerLoad({ used, toEnd, times }: Readings): number | null {
  if (used === null || times.boilS === null || toEnd === null || toEnd.massKg === null || toEnd.share === 1) return null
  return used.massKg / toEnd.massKg
}

function simmerFigures({
  input,
  run,
  series,
  firepowerW,
}: TestParts): Pick<TestFigures, 'turnDownRatio' | 'holdingPowerW'> {
  if (input.kind !== 'simmer') return { turnDownRatio: null, holdingPowerW: null }
  const { highFirepowerW } = series
  return {
    turnDownRatio: firepowerW === null || highFirepowerW === null ? null : highFirepowerW / firepowerW,
    holdingPowerW: holdingPower(run),
  }
}

/** Every second span is one without a flame [s]. */
const gapsOf = ({ spansS }: Readings): number | null =>
  spansS.length > 1 ? spansS.reduce((sum, span, i) => (i % 2 === 1 ? sum + span : sum), 0) : null

/** From the boil until the flame left the pot, went out, or the water fell half a degree, whichever came first. */
function usefulAfterBoil({ readings: { times, fallenAtS }, input: { events } }: TestParts): number | null {
  if (times.boilS === null) return null
  const boilS = times.boilS
  const left = events.find((event) => event.kind === 'flameLeftPot' && event.s > boilS)?.s
  const ends = [
    left,
    times.flameEndS !== null && times.flameEndS > boilS ? times.flameEndS : undefined,
    fallenAtS ?? undefined,
  ].filter((s) => s !== undefined)
  return ends.length === 0 ? null : Math.min(...ends) - boilS
}

/** (m_w·Δh + C_p·ΔT)/t of a test that did not end with a boil. */
function powerIntoWater({ readings: { heatS, times }, run }: TestParts, endC: number | null): number | null {
  if (times.boilS !== null || endC === null || heatS === null) return null
  return finite((run.meltJ + sensibleHeat(run, run.startC, endC)) / heatS)
}

/** Heat that holds the water at the boil: K_loss·(T_b − T_a) + P_ev. */
function holdingPower(run: HeatRun): number {
  const own = ownConditions(run)
  const boilingC = aimTemperature(run, own)
  const openW =
    run.evaporationScale === 0 || run.lidVapourW !== null
      ? 0
      : evaporationPower(
          evaporationFrom(
            {
              areaM2: run.lidM2,
              pressurePa: run.pressurePa,
              airC: run.airC,
              humidity: run.humidity,
              windMS: run.windMS,
              windGrowthPerMS: run.vapourWindPerMS,
            },
            1,
          ),
          boilingC,
        )
  return lossCoefficient(run, run.windMS) * (boilingC - run.airC) + openW
}

/** When all the snow was water, by the heating model [s]. */
function timeToWater(run: HeatRun): number {
  const heating = heatingIn(run, ownConditions(run), aimTemperature(run, ownConditions(run)))
  const flow = heatFlowFromTime(run.heatS, heating)
  return flow.ok ? run.meltJ / surplus(flow.value.q0W, heating.startC, heating) : NaN
}

const piecesOf = ({ events, fuel }: RunInput): number =>
  events.filter((event) => event.kind === 'fuelAdded').length + (fuel.loadKg === null ? 0 : 1)
