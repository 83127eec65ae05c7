/** Workings of γ of the set-up, and of the winds that follow from it. */
import type { WorkingInput } from '../../explain/working'
import type { Reference } from '../../normalise/reference'
import type { Composition } from '../composition'
import { assumed, computed } from './inputs'

const PATH = 'setup.gamma'

export function addWind({ series: { wind, windLimits }, options, addWorking }: Composition): void {
  if (!addWorking || wind === null || windLimits === null) return
  const own = wind.basis === 'ownSeries'
  const unit = wind.exponent === 1 ? 's/m' : '(m/s)⁻ⁿ'
  const source = own ? 'windSeries' : 'commonPractice'
  const gamma = (path?: string): WorkingInput => {
    const name = own ? 'γ, from its own runs' : 'γ, of the burner’s class'
    return (own ? computed : assumed)('γ', name, wind.gamma, unit, { u: wind.gammaU, path })
  }
  addWorking({
    path: PATH,
    title: 'Wind’s hold on the flame, γ',
    value: wind.gamma,
    unit,
    source,
    formula: 'ln(q0/ṁ) = a − {γ}·vⁿ',
    inputs: [gamma(), (wind.exponent === 1 ? assumed : computed)('n', 'Exponent', wind.exponent, '')],
    note: own
      ? 'Fitted by least squares to all its runs, those that never boiled too.'
      : 'Known to a factor of 1.6, and not beyond 4 m/s.',
  })
  const atReference = { unit: 'm/s', source, inputs: [gamma(PATH)], note: referenceNote(options.reference) } as const
  if (windLimits.doublingMS !== null)
    addWorking({
      ...atReference,
      path: 'setup.doublingMS',
      title: 'Wind that doubles the fuel',
      value: windLimits.doublingMS,
      formula: 't(v) = 2·t(0), solved for v',
      inputs: [gamma(PATH)],
    })
  if (windLimits.stallMS !== null)
    addWorking({
      ...atReference,
      path: 'setup.stallMS',
      title: 'Wind in which it no longer boils',
      value: windLimits.stallMS,
      formula: 'q0·e^(−{γ}·vⁿ)·(1 − (T_b − T_a)/Θ) = K_loss(v)·(T_b − T_a), solved for v',
      inputs: [gamma(PATH)],
    })
}

const referenceNote = ({ startC, pressureHPa, airC }: Reference): string =>
  `At start ${startC.toFixed(1)} °C, ${pressureHPa.toFixed(0)} hPa, air ${airC.toFixed(1)} °C.`
