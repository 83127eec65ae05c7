/** Workings of γ of the set-up, and of the winds that follow from it. */
import type { Working, WorkingInput } from '../../explain/working'
import type { Reference } from '../../normalise/reference'
import type { Composition } from '../composition'
import { assumed, computed } from './inputs'

const PATH = 'setup.gamma'

export function addWind({ series: { wind, windLimits }, options, addWorking }: Composition): void {
  if (!addWorking || wind === null || windLimits === null) return
  const gamma = gammaOf(wind)
  addWorking(gammaWorking(wind, gamma()))
  const atReference: Pick<Working, 'unit' | 'source' | 'inputs' | 'note'> = {
    unit: 'm/s',
    source: sourceOf(wind),
    inputs: [gamma(PATH)],
    note: referenceNote(options.reference),
  }
  if (windLimits.doublingMS !== null)
    addWorking({
      ...atReference,
      path: 'setup.doublingMS',
      title: 'Wind that doubles the fuel',
      value: windLimits.doublingMS,
      formula: 't(v) = 2·t(0), solved for v',
    })
  if (windLimits.stallMS !== null)
    addWorking({
      ...atReference,
      path: 'setup.stallMS',
      title: 'Wind in which it no longer boils',
      value: windLimits.stallMS,
      formula: 'q0·e^(−{γ}·vⁿ)·(1 − (T_b − T_a)/Θ) = K_loss(v)·(T_b − T_a), solved for v',
    })
}

type Wind = NonNullable<Composition['series']['wind']>
const isOwn = ({ basis }: Wind): boolean => basis === 'ownSeries'
const sourceOf = (wind: Wind) => (isOwn(wind) ? 'windSeries' : 'commonPractice')
const unitOf = ({ exponent }: Wind): string => (exponent === 1 ? 's/m' : '(m/s)⁻ⁿ')

const gammaOf =
  (wind: Wind) =>
  (path?: string): WorkingInput => {
    const name = isOwn(wind) ? 'γ, from its own runs' : 'γ, of the burner’s class'
    return (isOwn(wind) ? computed : assumed)('γ', name, wind.gamma, unitOf(wind), { u: wind.gammaU, path })
  }

const gammaWorking = (wind: Wind, gamma: WorkingInput): Working => ({
  path: PATH,
  title: 'Wind’s hold on the flame, γ',
  value: wind.gamma,
  unit: unitOf(wind),
  source: sourceOf(wind),
  formula: 'ln(q0/ṁ) = a − {γ}·vⁿ',
  inputs: [gamma, (wind.exponent === 1 ? assumed : computed)('n', 'Exponent', wind.exponent, '')],
  note: isOwn(wind)
    ? 'Fitted by least squares to all its runs, those that never boiled too.'
    : 'Known to a factor of 1.6, and not beyond 4 m/s.',
})

const referenceNote = ({ startC, pressureHPa, airC }: Reference): string =>
  `At start ${startC.toFixed(1)} °C, ${pressureHPa.toFixed(0)} hPa, air ${airC.toFixed(1)} °C.`
