/** What is to be said of a run's figures. */
import type { Flag } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import type { Normalisation } from '../normalise/normalise'
import { aimTemperature, ownConditions, type HeatRun } from '../normalise/heatRun'
import type { Ladder } from '../normalise/ladder'
import { problemText, type R } from '../result'
import { boilingPointFromPressure } from '../water/saturation'
import { NORMALISED_KINDS, startsAboveAim, type TakenRun } from './takeRun'

export function startFlags(run: HeatRun, boilingC: number | null): Flag[] {
  if (boilingC === null || Number.isNaN(run.startC) || !startsAboveAim(run)) return []
  return [
    {
      code: 'start-above-boiling',
      severity: 'error',
      text: `The start (${run.startC.toFixed(1)} °C) is not below where the boil is (${aimTemperature(run, ownConditions(run)).toFixed(1)} °C here). °C or °F?`,
    },
  ]
}

export const kindFlags = ({ kind }: RunInput): Flag[] =>
  NORMALISED_KINDS.includes(kind)
    ? []
    : [
        {
          code: 'kind-not-normalised',
          severity: 'note',
          text: `A "${kind}" test is not corrected to a reference; its figures stand as measured.`,
        },
      ]

export const balanceFlags = (normalisation: R<Normalisation> | null): Flag[] =>
  normalisation === null || normalisation.ok
    ? []
    : [{ code: normalisation.problem.code, severity: 'error', text: problemText(normalisation.problem) }]

interface Stall {
  boiled: boolean
  windMS: number | null
  normalisation: Normalisation
  stalls: { own: number; reference: number }
  options: ReduceOptions
}

export function stallFlags(run: HeatRun, { boiled, windMS, normalisation, stalls, options }: Stall): Flag[] {
  const flags: Flag[] = []
  const referenceAim = run.targetC ?? boilingPointFromPressure(options.reference.pressureHPa * 100)
  if (!boiled && normalisation.ownS === Infinity) {
    flags.push({
      code: 'stalls',
      severity: 'warning',
      text: `Would not boil: stalls near ${Math.round(stalls.own)} °C${windMS ? ' in this wind' : ''}.`,
    })
    if (Number.isFinite(normalisation.rungS[3]) && !Number.isFinite(normalisation.rungS[2]))
      flags.push({
        code: 'wind-carries-all',
        severity: 'note',
        text: 'It would not boil in its own wind: the wind rung carries the whole change.',
      })
  } else if (!boiled)
    flags.push({
      code: 'extrapolated',
      severity: 'warning',
      text: 'It did not boil: time and fuel to the boil are extrapolated by the heating model.',
    })
  if (stalls.reference <= referenceAim)
    flags.push({
      code: 'stalls-at-reference',
      severity: 'warning',
      text: `At the reference it would stall near ${Math.round(stalls.reference)} °C.`,
    })
  return flags
}

export const flameFlags = (traceFit: TakenRun['traceFit']): Flag[] =>
  traceFit?.some((burn) => burn.flameChanged)
    ? [
        {
          code: 'flame-changed',
          severity: 'note',
          text: 'The trace bends away from one even flame: the flame changed, or the pot was disturbed.',
        },
      ]
    : []

export const simmerFlags = (isNear: boolean): Flag[] =>
  isNear
    ? [
        {
          code: 'near-simmer',
          severity: 'warning',
          text: 'At the reference it is too near its simmering power for a figure: within its uncertainty the open pot may not boil at all. Turn it up, or put a lid on.',
        },
      ]
    : []

export function rungFlags({ missing, normalisedGPerL, normalisedU, rungs }: Ladder, run: HeatRun): Flag[] {
  const flags: Flag[] = []
  if (normalisedGPerL !== null && normalisedU === null)
    flags.push({
      code: 'uncertainty-unbounded',
      severity: 'warning',
      text: 'So near a stall at the reference that within its uncertainty it may not boil at all: do not compare this figure.',
    })
  if (missing.includes('place.windMS'))
    flags.push({
      code: 'wind-not-measured',
      severity: 'warning',
      text: 'Wind not measured: partly normalised. Type the wind at the pot, or "calm".',
    })
  if (missing.includes('series.burnRate'))
    flags.push({
      code: 'weak-flame',
      severity: 'warning',
      text: `Weak flame, ${gramsPerMinute(run).toFixed(1)} g/min: a low setting or a cold can? Say which, or burn three calm runs at 10 °C or more.`,
    })
  if (rungs.some((rung) => rung.rung === 'wind' && rung.basis === 'classDefault'))
    flags.push({
      code: 'wind-class-default',
      severity: 'note',
      text: 'Wind is corrected by the class of the burner, typical and untested here: do not rank by this figure, nor break ties with it.',
    })
  return flags
}

const gramsPerMinute = ({ fuelKg, heatS, leadS }: HeatRun): number => (fuelKg * 60_000) / (heatS + leadS)

/** From here on the flame rung says so in words. */
const MUCH = 0.15
const POOR_FIT = 0.08

/** How far the flame was from its setting's, and whether the model fits the set-up at all. */
export function settingFlags(run: HeatRun, ratio: number, sigma: number): Flag[] {
  const flags: Flag[] = []
  if (Math.abs(ratio - 1) > MUCH)
    flags.push({
      code: ratio > 1 ? 'weak-flame-corrected' : 'forced-flame-corrected',
      severity: 'note',
      text: `The flame burned ${gramsPerMinute(run).toFixed(1)} g/min, ${Math.round(100 * Math.abs(1 / ratio - 1))} % ${ratio > 1 ? 'less' : 'more'} than the set-up’s bench burn rate: the figure is brought there.`,
    })
  if (sigma > POOR_FIT)
    flags.push({
      code: 'flame-does-not-fit',
      severity: 'warning',
      text: `Wind and flame do not fit: this set-up’s runs scatter by ${Math.round(100 * sigma)} % about its own flame.`,
    })
  return flags
}
