/**
 * What a run's document says, read by the conventions asked for: boiling point, times, fuel. Each number's working is
 * told here.
 */
import { stationPressureFromReadings, type StationPressure } from '../air/pressure'
import { windAtPot } from '../air/wind'
import { fuelOfKind, type Fuel } from '../constants/fuels'
import type { Tell } from '../explain/working'
import type { Flag } from '../formats/answer'
import type { ReduceOptions, RunDocument } from '../formats/document'
import { burnsAndGaps, flameTimeBetween } from '../run/burns'
import { deriveTimes, type DerivedTimes } from '../run/deriveTimes'
import { fuelToBoil, type FuelToBoil } from '../run/fuelToBoil'
import { burnedByScale, type BurnedByScale } from '../run/scaleFuel'
import { equivalentDryWood, type DryWood } from '../run/dryWood'
import { fuelUsed, type FuelUsed } from '../run/fuelUsed'
import { cleanTrace, type CleanTrace } from '../trace/cleanTrace'
import { findBoilInClean, type BoilEstimate } from '../trace/findBoil'
import { fitCoolDown, type LossEstimate } from '../trace/fitCoolDown'
import { potHeatCapacity } from '../heating/pot'
import { WATER_SPECIFIC_HEAT } from '../constants/physical'
import { boilingPointFromPressure, BOILING_VALIDITY_PA } from '../water/saturation'
import { litresFromMass, DENSITY_20C } from '../water/liquid'
import { formatClock } from '../quantity/format'

/** Less between two marks is one moment. */
const SHORTEST_HEATING_S = 1

export interface Readings {
  pressure: StationPressure | null
  boilingC: number | null
  /** Wind at the pot [m/s]; null: not measured. */
  windMS: number | null
  times: DerivedTimes
  fuel: Fuel | null
  used: FuelUsed | null
  /** Fuel to the boil, or to where a run without one ended; null where it cannot be known. */
  toEnd: FuelToBoil | null
  /** Pot-on to the boil, or to where a run without one ended [s]. */
  heatS: number | null
  /** The same as burns and gaps in turn [s]; one burn where the flame never went out. */
  spansS: number[]
  /** Of it, flame [s]. */
  burnS: number
  /** The trace without spikes, for the boil finder and the fit; null: too short. */
  clean: CleanTrace | null
  /** What the trace says of the boil; null without one that is long enough. */
  found: BoilEstimate | null
  /** Standard uncertainty of a boil that was taken from the trace [s]; null: none was. */
  foundU: number | null
  /** Last temperature of a run without a boil: read, else the trace's [°C]. */
  endC: number | null
  /** Wood as dry wood; null: other fuel. */
  dryWood: DryWood | null
  /** Heat loss by this run's own cool-down. */
  coolDown: LossEstimate | null
  /** Lighting to pot-on [s]. */
  leadS: number
  litres: number | null
  flags: Flag[]
  missing: string[]
}

export function readRun(document: RunDocument, options: ReduceOptions, tell?: Tell): Readings {
  const flags: Flag[] = []
  const missing: string[] = []
  const { place } = document
  const pressure = readPressure(document, flags, missing)
  const boilingC = pressure === null ? null : boilingPointFromPressure(pressure.pressurePa)
  if (pressure !== null && boilingC !== null) tellBoilingPoint(pressure, boilingC, place, tell)
  const windMS = place.windMS === null ? null : windAtPot(place.windMS, place.windHeightM)
  const clean =
    boilingC === null || document.trace.length < FEWEST_SAMPLES ? null : cleanTrace(document.trace, boilingC)
  const found = clean === null ? null : boilIn(clean, boilingC!)
  const times = deriveTimes(document.events, document.trace, {
    clock: options.clock,
    boil: options.boil,
    boilingC,
    plateauS: found?.atS ?? null,
    boilBy: document.boilBy,
  })
  flags.push(...timeFlags(times, options, document.kind), ...boilFlags(document, found))
  const fuel = document.fuel.kind === null ? null : fuelOfKind(document.fuel.kind)
  const weighed = fuelUsed(document, fuel, place.airC) ?? usedByScale(document, times)
  const dryWood =
    weighed === null || fuel?.form !== 'wood'
      ? null
      : equivalentDryWood(weighed.grams, { ...document.fuel, boilingC, airC: place.airC })
  const used = weighed === null || dryWood === null ? weighed : asDryWood(weighed, dryWood, document)
  if (used === null) missing.push('fuel.usedG')
  else {
    flags.push(...used.flags)
    tellFuelUsed(used, tell)
  }
  const { heatS, leadS } = heatingSpan(times, flags)
  const toEnd = used === null || used.grams <= 0 ? null : fuelToEnd(used.grams, times, document)
  if (toEnd) flags.push(...toEnd.flags)
  if (used !== null && toEnd !== null) tellFuelToBoil(used, toEnd, times, tell)
  const litres = litresOf(document, options, missing, tell)
  const spansS = heatS === null ? [] : burnsAndGaps(times.burns, times.potOnS!, times.potOnS! + heatS)
  return {
    pressure,
    boilingC,
    windMS,
    times,
    fuel,
    used,
    toEnd,
    heatS,
    spansS,
    burnS: spansS.reduce((sum, span, i) => (i % 2 === 0 ? sum + span : sum), 0),
    clean,
    found,
    foundU: traceBoilU(document, times, found, options),
    endC: lastTemperature(document, times),
    dryWood,
    coolDown: coolDownOf(document, boilingC),
    leadS,
    litres,
    flags,
    missing,
  }
}

/** Fewer samples are readings, not a trace. */
const FEWEST_SAMPLES = 12

function boilIn(clean: CleanTrace, boilingC: number): BoilEstimate | null {
  const result = findBoilInClean(clean, { boilingC })
  return result.ok ? result.value : null
}

/** A call and a trace further apart are shown both, and asked about [s]. */
const DISAGREE_S = 10

function boilFlags({ events, kind, boilBy }: RunDocument, found: BoilEstimate | null): Flag[] {
  if (found === null || kind === 'coolDown') return []
  const call = events.find((event) => event.kind === 'rollingBoil')?.s ?? null
  if (found.atS !== null && call !== null && Math.abs(call - found.atS) > DISAGREE_S) {
    const both = `You called ${formatClock(call)}; the trace says ${formatClock(found.atS)}.`
    return [
      boilBy === null
        ? { code: 'boil-calls-disagree', severity: 'warning', text: `${both} Which?` }
        : { code: 'boil-decided', severity: 'note', text: `${both} Decided: the ${boilBy}.` },
    ]
  }
  if (found.status === 'near' && call === null)
    return [
      {
        code: 'boil-near',
        severity: 'note',
        text: `The trace comes within 4 K of the boiling point (${found.levelC.toFixed(1)} °C) and shows no plateau. Did it boil?`,
      },
    ]
  if (found.atS !== null && Math.abs(found.offsetK) > 2 * Math.max(found.offsetU, 0.3)) {
    return [
      {
        code: 'probe-offset',
        severity: 'note',
        text: `The probe reads ${Math.abs(found.offsetK).toFixed(1)} K ${found.offsetK < 0 ? 'low' : 'high'} at the boil.`,
      },
    ]
  }
  return []
}

/** By the finder for a plateau; for a crossing, the thermometer's uncertainty over the slope there [s]. */
function traceBoilU(
  { trace, uncertainty }: RunDocument,
  { boilS, boilFrom }: DerivedTimes,
  found: BoilEstimate | null,
  { boil }: ReduceOptions,
): number | null {
  if (boilS === null || boilFrom !== 'trace') return null
  if (boil === 'plateau' || boil === 'rollingBoil') return found?.u ?? null
  const before = trace.filter(([s]) => s >= boilS - CROSSING_S && s <= boilS)
  const slope = before.length < 2 ? 0 : (before.at(-1)![1] - before[0]![1]) / (before.at(-1)![0] - before[0]![0])
  return slope > 0 ? uncertainty.startC / slope : null
}
const CROSSING_S = 30

/** Read, else the trace's last sample within five seconds of the end. */
function lastTemperature({ water, trace }: RunDocument, { endedS }: DerivedTimes): number | null {
  if (water.endC !== null || endedS === null) return water.endC
  const near = trace.filter(([s]) => Math.abs(s - endedS) <= NEAR_END_S)
  return near.length === 0 ? null : near.at(-1)![1]
}
const NEAR_END_S = 5

/** Fuel, by dry wood of the same heat: its uncertainty shrinks alike. */
function asDryWood(
  weighed: FuelUsed,
  { grams, perGram, charAsWoodG, flags }: DryWood,
  { fuel }: RunDocument,
): FuelUsed {
  return {
    ...weighed,
    grams,
    uRandomG: weighed.uRandomG * perGram,
    uScaleG: weighed.uScaleG * perGram,
    flags: [...weighed.flags, ...flags],
    formula: `(${weighed.formula}) · {dry} − {char}`,
    source: 'wbt',
    inputs: [
      ...weighed.inputs,
      ['dry', `Dry wood per gram at ${fuel.moisturePct ?? 0} % moisture`, perGram, ''],
      ['char', 'Char, as dry wood', charAsWoodG, 'g'],
    ],
  }
}

function coolDownOf(document: RunDocument, boilingC: number | null): LossEstimate | null {
  if (document.kind !== 'coolDown' || document.water.massG === null || document.place.airC === null) return null
  const capacity = potHeatCapacity(
    document.pot.massG === null ? null : document.pot.massG / 1000,
    document.pot.material,
  )
  const waterKg = document.water.massG / 1000
  const out = document.events
    .filter((event) => ['flameOut', 'shutOff', 'snuffed'].includes(event.kind))
    .map((event) => event.s)
  const fit = fitCoolDown(document.trace, {
    capacityJPerK: waterKg * WATER_SPECIFIC_HEAT.value + capacity.jPerK,
    capacityU: Math.hypot(capacity.u, (document.uncertainty.waterG / 1000) * WATER_SPECIFIC_HEAT.value),
    airC: document.place.airC,
    airU: document.uncertainty.airC,
    boilingC: boilingC ?? 100,
    fromS: out.length === 0 ? -Infinity : Math.max(...out),
  })
  return fit.ok ? fit.value : null
}

function readPressure({ place, uncertainty }: RunDocument, flags: Flag[], missing: string[]): StationPressure | null {
  const hPa = (value: number | null) => (value === null ? null : value * 100)
  const pressure = stationPressureFromReadings({
    stationPressurePa: hPa(place.stationPressureHPa),
    seaLevelPressurePa: hPa(place.seaLevelPressureHPa),
    altitudeM: place.altitudeM,
    airC: place.airC,
    readingUPa: uncertainty.pressureHPa * 100,
  })
  if (pressure === null) missing.push('place.altitudeM')
  if (
    pressure !== null &&
    (pressure.pressurePa < BOILING_VALIDITY_PA.min || pressure.pressurePa > BOILING_VALIDITY_PA.max)
  ) {
    flags.push({
      code: 'pressure-out-of-range',
      severity: 'error',
      text: `Station pressure ${(pressure.pressurePa / 100).toFixed(1)} hPa is outside 250 to 1200 hPa.`,
    })
    return null
  }
  return pressure
}

function tellBoilingPoint(pressure: StationPressure, boilingC: number, place: RunDocument['place'], tell?: Tell): void {
  tell?.({
    path: 'pressureHPa',
    title: 'Station pressure',
    value: pressure.pressurePa / 100,
    unit: 'hPa',
    formula: pressure.formula,
    source: pressure.source,
    inputs: [
      {
        symbol: 'reading',
        name: 'Pressure, measured',
        value: place.stationPressureHPa,
        unit: 'hPa',
        from: 'measured',
        u: pressure.uPa / 100,
      } as const,
      {
        symbol: 'p_sl',
        name: 'Pressure reduced to sea level',
        value: place.seaLevelPressureHPa,
        unit: 'hPa',
        from: 'measured',
      } as const,
      { symbol: 'h', name: 'Altitude', value: place.altitudeM, unit: 'm', from: 'measured' } as const,
    ].filter((input) => pressure.formula.includes(`{${input.symbol}}`)),
    note: pressure.basis === 'altitude' ? 'Weather moves the pressure: ± 8 hPa (standard) is assumed.' : undefined,
  })
  tell?.({
    path: 'boilingPointC',
    title: 'Boiling point here',
    value: boilingC,
    unit: '°C',
    formula: 'T_b({p})',
    source: 'iapwsIf97',
    inputs: [
      {
        symbol: 'p',
        name: 'Station pressure',
        value: pressure.pressurePa / 100,
        u: pressure.uPa / 100,
        unit: 'hPa',
        from: 'computed',
        path: 'pressureHPa',
      },
    ],
  })
}

function tellFuelUsed(used: FuelUsed, tell?: Tell): void {
  tell?.({
    path: 'usedG',
    title: 'Fuel used',
    value: used.grams,
    unit: 'g',
    formula: used.formula,
    source: used.source,
    inputs: used.inputs.map(([symbol, name, value, unit]) => ({
      symbol,
      name,
      value,
      unit,
      from: symbol === 'dry' || symbol === 'char' ? ('computed' as const) : ('measured' as const),
    })),
    note: `Standard uncertainty of the weighings ${used.uRandomG.toFixed(3)} g.`,
  })
}

/** From pot-on to the boil, or to where a run without one ended. */
function heatingSpan(times: DerivedTimes, flags: Flag[]): { heatS: number | null; leadS: number } {
  const { potOnS, litS, boilS, endedS } = times
  const endS = boilS ?? endedS
  const leadS = litS !== null && potOnS !== null && potOnS > litS ? potOnS - litS : 0
  if (potOnS === null || endS === null) return { heatS: null, leadS }
  if (endS - potOnS >= SHORTEST_HEATING_S) return { heatS: endS - potOnS, leadS }
  const what = boilS === null ? 'The end' : 'Boil'
  const order = endS < potOnS ? 'before' : 'not after'
  flags.push({
    code: 'boil-before-pot-on',
    severity: 'error',
    text: `${what} (${formatClock(endS)}) is ${order} pot-on (${formatClock(potOnS)}). Swapped?`,
  })
  return { heatS: null, leadS }
}

function fuelToEnd(usedG: number, times: DerivedTimes, document: RunDocument): FuelToBoil | null {
  const flameStartS = times.litS ?? times.potOnS
  const endS = times.boilS ?? times.endedS
  if (flameStartS === null || endS === null || flameTimeBetween(times.burns, flameStartS, endS) < SHORTEST_HEATING_S)
    return null
  const flameEndS = times.boilS === null ? null : times.flameEndS
  return fuelToBoil(usedG, {
    flameEndS,
    boilS: endS,
    takeShare: document.fuel.burnOutShare,
    byScale: byScale(document, flameStartS, endS, flameEndS),
    flameToBoilS: flameTimeBetween(times.burns, flameStartS, endS),
    flameS: flameTimeBetween(times.burns, flameStartS, flameEndS ?? endS),
  })
}

/** Where no weighing was typed, the scale that followed it has weighed. */
function usedByScale(document: RunDocument, times: DerivedTimes): FuelUsed | null {
  const [fromS, toS] = [times.litS ?? times.potOnS, times.flameEndS ?? times.boilS ?? times.endedS]
  const burned =
    fromS === null || toS === null || document.scaleTrace.length === 0
      ? null
      : burnedByScale(document.scaleTrace, fromS, toS, scaleStepG(document))
  if (burned === null) return null
  return {
    grams: burned.grams,
    uRandomG: burned.u,
    uScaleG: document.fuel.scaleAccuracyG ?? 0,
    formula: '{m}',
    inputs: [['m', 'Lost on the scale while it burned', burned.grams, 'g']],
    source: 'estimate',
    flags: [
      {
        code: 'fuel-used-by-scale',
        severity: 'note',
        text: 'No weighing was typed: the fuel is what the scale under the stove lost while it burned. Vapour from a pot on that scale counts as fuel.',
      },
    ],
  }
}
/** Where it is not known. Source: estimate. */
const USUAL_STEP_G = 0.1
const scaleStepG = ({ fuel }: RunDocument): number => fuel.scaleResolutionG ?? USUAL_STEP_G

function byScale(
  document: RunDocument,
  fromS: number,
  boilS: number,
  flameEndS: number | null,
): { toBoil: BurnedByScale; inAll: BurnedByScale } | null {
  if (document.scaleTrace.length === 0 || flameEndS === null) return null
  const [toBoil, inAll] = [boilS, flameEndS].map((toS) =>
    burnedByScale(document.scaleTrace, fromS, toS, scaleStepG(document)),
  )
  return toBoil && inAll ? { toBoil, inAll } : null
}

function tellFuelToBoil(used: FuelUsed, toEnd: FuelToBoil, times: DerivedTimes, tell?: Tell): void {
  if (toEnd.grams === null) return
  const shared = toEnd.share !== 1
  tell?.({
    path: 'fuelToBoilG',
    title: times.boilS === null ? 'Fuel until it ended' : 'Fuel to the boil',
    value: toEnd.grams,
    unit: 'g',
    formula: shared ? '{m} · {share}' : '{m}',
    source: 'commonPractice',
    inputs: [
      {
        symbol: 'm',
        name: 'Fuel used',
        value: used.grams,
        unit: 'g',
        u: used.uRandomG,
        from: 'computed',
        path: 'usedG',
      },
      ...(shared
        ? [
            {
              symbol: 'share',
              name: toEnd.by === 'scale' ? 'Share lost on the scale by the boil' : 'Share of burn time',
              value: toEnd.share,
              unit: '',
              ...(toEnd.by === 'scale'
                ? { from: 'measured' as const, u: toEnd.share * toEnd.shareU }
                : { from: 'assumed' as const }),
            },
          ]
        : []),
    ],
  })
}

function litresOf(document: RunDocument, options: ReduceOptions, missing: string[], tell?: Tell): number | null {
  const remaining = options.litre === 'remaining'
  const { massG, snowG, endMassG } = document.water
  const putInG = massG === null && snowG === null ? null : (massG ?? 0) + (snowG ?? 0)
  const grams = remaining ? endMassG : putInG
  if (grams === null) {
    missing.push(remaining ? 'water.endMassG' : 'water.massG')
    return null
  }
  const litres = litresFromMass(grams / 1000)
  tell?.({
    path: 'litres',
    title: remaining ? 'Litres of hot water left' : 'Litres put in',
    value: litres,
    unit: 'L',
    formula: '{m_w} / {ρ}',
    source: 'if97Fit',
    inputs: [
      {
        symbol: 'm_w',
        name: remaining ? 'Water left' : 'Water put in',
        value: grams,
        unit: 'g',
        u: document.uncertainty.waterG,
        from: 'measured',
      },
      { symbol: 'ρ', name: 'Density at 20 °C', value: DENSITY_20C, unit: 'kg/m³', from: 'constant' },
    ],
    note: 'A litre is a mass of water at 20 °C, so it does not change with the thermometer.',
  })
  return litres
}

/** Kinds in which no pot is brought to anything: neither pot-on nor a boil is missed. */
const WITHOUT_HEATING: readonly string[] = ['coolDown', 'burnOff', 'warmUp']

function timeFlags(times: DerivedTimes, { boil, clock }: ReduceOptions, kind: string): Flag[] {
  if (WITHOUT_HEATING.includes(kind)) return []
  const flags: Flag[] = []
  if (times.potOnAssumed)
    flags.push({
      code: 'pot-on-assumed',
      severity: 'note',
      text: 'Pot-on was not marked: taken as the lighting (assumed).',
    })
  if (times.clockZeroS === null)
    flags.push({
      code: 'clock-not-marked',
      severity: 'warning',
      text: `The clock starts at "${clock}", which was not marked.`,
    })
  if (times.burns.length > 1)
    flags.push({
      code: 'several-burns',
      severity: 'note',
      text: `${times.burns.length} burns: the flame is taken as one, and what the gaps cost stays in the figure.`,
    })
  if (times.boilS === null && times.boilsMarked.length > 0) {
    const wanted = typeof boil === 'object' ? `the target ${boil.targetC} °C` : `"${boil}"`
    flags.push({
      code: 'boil-not-by-convention',
      severity: 'warning',
      text: `Marked: ${times.boilsMarked.join(', ')}. The convention asks for ${wanted}.`,
    })
  } else if (times.boilS === null && times.ended === null) {
    flags.push({ code: 'no-end-marked', severity: 'warning', text: 'Neither a boil nor an end is marked.' })
  }
  if (times.ended === 'stopped') {
    const reason = times.stoppedReason ? ` (${times.stoppedReason})` : ''
    flags.push({ code: 'stopped', severity: 'note', text: `Stopped from outside${reason}. Not a failure to boil.` })
  }
  return flags
}
