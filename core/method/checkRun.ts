/**
 * A run held against the method it was done by: what it lacks, and where it left the method's windows. Said, never
 * refused.
 */
import type { Flag } from '../formats/answer'
import { formatClock, formatNumber } from '../quantity/format'
import type { EventKind } from '../run/events'
import type { Setting } from '../formats/document'
import type { MethodBody, Window } from './method'

export interface CheckedRun {
  /** Current readings in SI, by name. */
  measured: Partial<Record<string, number>>
  marks: readonly { kind: EventKind; s: number }[]
  /** Samples of the water's trace. */
  samples: number
  /** Water by volume, turned to mass [kg]; null: not measured. */
  waterKg: number | null
  lid: boolean
  setting: Setting | null
  /** Pot-on to the boil or the end [s]. */
  heatS: number | null
}

interface Lacking {
  what: 'reading' | 'mark' | 'trace'
  name: string
}
export interface MethodFindings {
  lacking: Lacking[]
  outside: Flag[]
}

/** Readings that may stand in for one that is missing, each way on its own. */
const INSTEAD: Record<string, readonly (readonly string[])[]> = {
  fuelBefore: [['fuelUsed']],
  fuelAfter: [['fuelUsed']],
  fuelLoad: [['fuelUsed'], ['fuelBefore', 'fuelAfter']],
}
/** Marks that end a heating: a run without a boil lacks none. */
const UNBOILED: readonly EventKind[] = ['gaveUp', 'stopped', 'flameOut', 'snuffed', 'shutOff']
const BOILS: readonly EventKind[] = ['rollingBoil', 'targetReached', 'firstBubbles']
/** A flame's end by any of its names. */
const FLAME_ENDS: readonly EventKind[] = ['flameOut', 'snuffed', 'shutOff']

/** @param run current values. Source of the windows: the method. */
export function checkRun(method: MethodBody, run: CheckedRun): MethodFindings {
  return {
    lacking: [...lackingReadings(method, run), ...lackingMarks(method, run)],
    outside: outsideWindows(method, run),
  }
}

function lackingReadings({ must, test }: MethodBody, { measured, samples }: CheckedRun): Lacking[] {
  const has = (name: string) => measured[name] !== undefined
  const readings = must
    .filter((name) => !has(name) && !(INSTEAD[name] ?? []).some((way) => way.every(has)))
    .map((name) => ({ what: 'reading' as const, name }))
  return test === 'coolDown' && samples < 12 ? [...readings, { what: 'trace', name: 'water' }] : readings
}

function lackingMarks({ mustMark, boil }: MethodBody, { marks, samples }: CheckedRun): Lacking[] {
  const has = (...kinds: readonly EventKind[]) => marks.some((mark) => kinds.includes(mark.kind))
  return mustMark
    .filter((kind) => {
      if (has(kind)) return false
      if (BOILS.includes(kind))
        return (
          !has(...UNBOILED) &&
          !(samples >= 12 && (typeof boil === 'object' || boil === 'plateau' || boil === 'probeAtBoil'))
        )
      return !(FLAME_ENDS.includes(kind) && has(...FLAME_ENDS, 'gaveUp', 'stopped'))
    })
    .map((name) => ({ what: 'mark', name }))
}

const flag = (code: string, text: string): Flag => ({ code, severity: 'warning', text })

function outsideWindows(method: MethodBody, run: CheckedRun): Flag[] {
  const { measured, waterKg } = run
  const waterG = waterKg === null ? undefined : waterKg * 1000
  return [
    windowFlag('outside-start', 'Start', measured.waterStart, method.startC, '°C'),
    windowFlag('outside-wind', 'Wind at the pot', measured.wind, method.windMS, 'm/s'),
    windowFlag('outside-water', 'Water', waterG, waterWindow(method), 'g'),
    hardwareFlag(method, run),
    lidFlag(method, run),
    settingFlag(method, run),
    giveUpFlag(method, run),
  ].filter((one) => one !== null)
}

function hardwareFlag({ hardwareAboveAirK }: MethodBody, { measured: { air, hardware } }: CheckedRun): Flag | null {
  if (hardwareAboveAirK === null || hardware === undefined || air === undefined) return null
  if (hardware - air <= hardwareAboveAirK) return null
  return flag(
    'hot-hardware',
    `The hardware was ${formatNumber(hardware - air, 1)} K warmer than the air when lit; the method allows ${formatNumber(hardwareAboveAirK, 1)} K. A warm burner lights faster.`,
  )
}

const lidFlag = ({ lid: asked }: MethodBody, { lid }: CheckedRun): Flag | null =>
  (asked === 'on' && !lid) || (asked === 'off' && lid)
    ? flag('outside-lid', `The method has the lid ${asked}; this set-up has ${lid ? 'one' : 'none'}.`)
    : null

const settingFlag = ({ setting: asked }: MethodBody, { setting }: CheckedRun): Flag | null =>
  asked !== 'any' && setting !== null && setting !== asked
    ? flag('outside-setting', `The method is for a ${asked} flame; this was ${setting}.`)
    : null

/** A call comes some seconds late. */
const GIVE_UP_LATE_S = 5
const giveUpFlag = ({ giveUpS }: MethodBody, { heatS }: CheckedRun): Flag | null =>
  giveUpS !== null && heatS !== null && heatS > giveUpS + GIVE_UP_LATE_S
    ? flag(
        'outside-give-up',
        `It was kept on for ${formatClock(heatS)}; the method gives up at ${formatClock(giveUpS)}.`,
      )
    : null

/** Two parts in a hundred either way. Source: estimate. */
const WATER_SHARE = 0.02
const waterWindow = ({ waterKg, test }: MethodBody): Window =>
  waterKg === null || test === 'claim' || test === 'snow'
    ? { low: null, high: null }
    : { low: waterKg * 1000 * (1 - WATER_SHARE), high: waterKg * 1000 * (1 + WATER_SHARE) }

function windowFlag(
  code: string,
  name: string,
  value: number | undefined,
  { low, high }: Window,
  unit: string,
): Flag | null {
  if (value === undefined || ((low === null || value >= low) && (high === null || value <= high))) return null
  const digits = unit === 'g' ? 0 : 1
  const range =
    low === null
      ? `at most ${formatNumber(high!, digits)}`
      : high === null
        ? `at least ${formatNumber(low, digits)}`
        : `${formatNumber(low, digits)} to ${formatNumber(high, digits)}`
  return flag(code, `${name} ${formatNumber(value, digits)} ${unit} is outside the method’s ${range} ${unit}.`)
}
