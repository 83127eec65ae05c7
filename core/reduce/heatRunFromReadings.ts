/** From a run's readings to the numbers of its heat balance. */
import { altitudeFromStationPressure } from '../air/pressure'
import { ASSUMED_HUMIDITY, WIND_GROWTH_PER_MS } from '../heating/evaporation'
import { LOSS_ESTIMATE } from '../heating/loss'
import { potAreas, potHeatCapacity } from '../heating/pot'
import type { Flag } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import { defaultEnthalpy, type HeatRun } from '../normalise/heatRun'
import { BELOW_LEVEL_K } from '../trace/plateau'
import { asOneBurn, type OneBurn } from './oneBurn'
import type { Readings } from './readings'
import { meltingOf } from './melting'

export interface Prepared extends OneBurn {
  capacityU: number
  belowBoilU: number
  /** Readings without which the ladder cannot be worked out. */
  missing: string[]
  flags: Flag[]
}

/** Below the boiling point by the convention, where no probe says [K]. Source: estimate. */
const FIRST_BUBBLES_BELOW_K = { value: 6, u: 4 }

export function prepareHeatRun(input: RunInput, readings: Readings, options: ReduceOptions): Prepared {
  const { pot } = input
  const melting = meltingOf(input)
  const capacity = potHeatCapacity(pot.massKg, pot.material)
  const areas = potAreas(pot.diameterM, melting.waterKg)
  const aim = aimOf(input, readings, options)
  const run = balanceOf(input, readings, options, { melting, capacity, areas, aim })
  const flags = [...melting.flags, ...assumptionFlags(input, { capacity, areas, open: isOpen(input), readings })]
  const whole = asOneBurn(run, readings, flags, isOpen(input))
  return { ...whole, capacityU: capacity.u, belowBoilU: aim.u, missing: missingFor(input, readings), flags }
}

const isOpen = ({ lid }: RunInput): boolean => lid === false

interface Balanced {
  melting: ReturnType<typeof meltingOf>
  capacity: ReturnType<typeof potHeatCapacity>
  areas: ReturnType<typeof potAreas>
  aim: ReturnType<typeof aimOf>
}

/** Unknown numbers are NaN inside; they come out as null with a missing reading. */
const orUnknown = (value: number | null | undefined): number => value ?? NaN

/** Before the set-up's flame is known. */
const NO_FLAME = {
  lossScale: 1,
  v0MS: NaN,
  windPower: 1,
  flamePower: 1,
  benchKgPerS: NaN,
  valveFactor: 1,
  flameFactor: 1,
  modelFactor: 1,
  vapourWindPerMS: WIND_GROWTH_PER_MS,
  altitudeFactor: 1,
  otherKg: NaN,
  otherSideM2: NaN,
  volumeFactor: 1,
}

function balanceOf(
  input: RunInput,
  readings: Readings,
  { reference, theta }: ReduceOptions,
  { melting, capacity, areas, aim }: Balanced,
): HeatRun {
  return {
    waterKg: melting.waterKg,
    startC: melting.startC,
    airC: input.place.airC ?? reference.airC,
    pressurePa: orUnknown(readings.pressure?.pressurePa),
    windMS: readings.windMS ?? 0,
    humidity: input.place.humidity ?? ASSUMED_HUMIDITY,
    belowBoilK: aim.belowBoilK,
    targetC: aim.targetC,
    reachedC: readings.times.boilS === null ? orUnknown(readings.endC) : null,
    heatS: orUnknown(readings.heatS),
    leadS: readings.leadS,
    fuelKg: orUnknown(readings.toEnd?.massKg),
    potJPerK: capacity.jPerK,
    lidM2: areas.lidM2,
    sideM2: areas.sideM2,
    closeCone: input.screen === 'cone',
    filmWPerM2K: LOSS_ESTIMATE.filmWPerM2K.value,
    sideShare: LOSS_ESTIMATE.sideShare.value,
    windSlopePerMS: LOSS_ESTIMATE.windSlopePerMS.value,
    lossWPerK: input.lossWPerK?.value ?? null,
    thetaK: theta.value,
    meltJ: melting.meltJ,
    evaporationScale: isOpen(input) ? 1 : 0,
    lidVapourW: null,
    ...NO_FLAME,
    lhvJPerKg: heatingValue(input, readings),
    enthalpy: defaultEnthalpy,
  }
}

/**
 * Gas drawn as a liquid brings the heat of its own evaporation along, which the burner pays [J/kg]. Source: formation.
 */
const LIQUID_FED_GAS = -0.36e6

function heatingValue({ fuel, burner }: RunInput, readings: Readings): number {
  const liquidFed = burner.kind === 'liquid-pressure' && readings.fuel?.form === 'gas'
  const builtIn = (readings.fuel?.lowerHeatingValue.value ?? NaN) * 1e6
  return fuel.lhvJPerKg ?? builtIn + (liquidFed ? LIQUID_FED_GAS : 0)
}

function missingFor({ water }: RunInput, readings: Readings): string[] {
  const missing: string[] = []
  const snow = water.snowKg !== null
  if (water.massKg === null && !snow) missing.push('water.massG')
  if (water.startC === null && !snow) missing.push('water.startC')
  if (readings.pressure === null) missing.push('place.altitudeM')
  if (readings.times.potOnS === null) missing.push('events.potOn')
  if (readings.times.boilS === null && readings.times.endedS === null) missing.push('events.rollingBoil')
  if (readings.times.boilS === null && readings.times.endedS !== null && readings.endC === null)
    missing.push('water.endC')
  return missing
}

/**
 * The temperature aimed at, by the boil convention. Sources: commonPractice; the 6 ± 4 K of first bubbles: estimate.
 */
function aimOf(
  input: RunInput,
  { boilingC, times }: Readings,
  { boil }: ReduceOptions,
): { belowBoilK: number; targetC: number | null; u: number } {
  if (typeof boil === 'object') return { belowBoilK: 0, targetC: boil.targetC, u: 0 }
  if (boil === 'plateau') return { belowBoilK: BELOW_LEVEL_K, targetC: null, u: 0 }
  if (boil !== 'firstBubbles') return { belowBoilK: 0, targetC: null, u: 0 }
  const probe = times.boilS === null ? null : probeReading(input, times.boilS)
  if (probe === null || boilingC === null)
    return { belowBoilK: FIRST_BUBBLES_BELOW_K.value, targetC: null, u: FIRST_BUBBLES_BELOW_K.u }
  return { belowBoilK: Math.max(0, boilingC - probe), targetC: null, u: input.uncertainty.startC }
}

const PROBE_WINDOW_S = 5

/** The sample or reading nearest to a moment, within 5 s of it [°C]. */
function probeReading({ events, trace }: RunInput, atS: number): number | null {
  const readings = events
    .filter((e) => e.kind === 'reading' && typeof e.waterC === 'number')
    .map((e) => [e.s, e.waterC!] as const)
  let best: readonly [number, number] | null = null
  for (const one of [...trace, ...readings])
    if (best === null || Math.abs(one[0] - atS) < Math.abs(best[0] - atS)) best = one
  return best !== null && Math.abs(best[0] - atS) <= PROBE_WINDOW_S ? best[1] : null
}

interface Assumed {
  capacity: ReturnType<typeof potHeatCapacity>
  areas: ReturnType<typeof potAreas>
  open: boolean
  readings: Readings
}

function assumptionFlags(input: RunInput, { capacity, areas, open, readings }: Assumed): Flag[] {
  const note = (code: string, text: string): Flag => ({ code, severity: 'note', text })
  const flags: Flag[] = []
  if (input.lossWPerK === null) {
    const shape = areas.assumed ? ' No pot diameter: a cylinder as high as wide is assumed.' : ''
    flags.push(
      note('loss-estimated', `Heat loss estimated from the pot’s geometry; a cool-down test would measure it.${shape}`),
    )
  }
  if (capacity.assumed === 'all')
    flags.push(
      note('pot-mass-assumed', `Pot mass not given: heat capacity assumed ${capacity.jPerK} ± ${capacity.u} J/K.`),
    )
  if (capacity.assumed === 'material')
    flags.push(
      note('pot-material-assumed', 'Pot material not given: a specific heat of 700 ± 150 J/(kg·K) is assumed.'),
    )
  if (input.place.airC === null)
    flags.push(
      note('air-not-measured', 'Air temperature not measured: taken as the reference’s, and the rung left open.'),
    )
  if (input.lid === null) flags.push(note('lid-not-stated', 'Lid not stated: taken as on (assumed).'))
  if (open && input.place.humidity === null) flags.push(note('humidity-assumed', 'Open pot: humidity assumed 50 %.'))
  const altitudeM = readings.pressure === null ? 0 : altitudeFromStationPressure(readings.pressure.pressurePa)
  if (Math.abs(altitudeM) >= 300)
    flags.push(
      note(
        'altitude-effect',
        'What thin air does to the burner beyond the boiling point is not corrected; the uncertainty allows for it.',
      ),
    )
  return flags
}
