/** Workings of the wind that halves a set-up's useful heat, and of the winds that follow from it. */
import type { Working } from '../../explain/working'
import type { FlameFigure } from '../../formats/answer'
import type { Reference } from '../../normalise/reference'
import { flameAnswer } from '../flameAnswer'
import type { Composition } from '../composition'
import { assumed, computed } from './inputs'

const PATH = 'setup.v0MS'

export function addWind({ series, options, addWorking }: Composition): void {
  if (!addWorking) return
  const flame = flameAnswer(series, options)
  if (flame === null) return
  const { v0, n, doublingMS, stallMS } = flame
  const known = v0.basis === 'ownSeries' ? computed : assumed
  addWorking({
    path: PATH,
    title: 'Wind that halves the useful heat, v₀',
    value: v0.value,
    unit: 'm/s',
    source: v0.basis === 'ownSeries' ? 'flameModel' : 'commonPractice',
    formula: 'ln(q0/ṁ) = a − ln(1 + (v/{v₀})ⁿ) + (x − 1)·ln(ṁ/ṁ*)',
    inputs: [
      known('v₀', 'With its class’s prior', v0.value, 'm/s', { u: v0.u }),
      known('n', 'Power of the wind', n.value, '', { u: n.u }),
    ],
    note:
      v0.basis === 'ownSeries'
        ? 'Fitted to all its runs whose wind was read, those that never boiled too.'
        : 'By the class of the burner: typical, untested here.',
  })
  const limit = (path: string, title: string, formula: string, of: FlameFigure): Working => ({
    path,
    title,
    value: of.value,
    unit: 'm/s',
    source: 'flameModel',
    formula,
    inputs: [known('v₀', 'Wind that halves the useful heat', v0.value, 'm/s', { u: v0.u, path: PATH })],
    note: `95 % lie from ${of.low.toFixed(1)} to ${of.high.toFixed(1)} m/s. ${referenceNote(options.reference)}`,
  })
  if (doublingMS !== null)
    addWorking(limit('setup.doublingMS', 'Wind that doubles the fuel', 't(v) = 2·t(0), solved for v', doublingMS))
  if (stallMS !== null) addWorking(limit('setup.stallMS', 'Wind in which it no longer boils', STALL, stallMS))
}

const STALL = 'q0·(1 − (T_b − T_a)/Θ)/(1 + (v/{v₀})ⁿ) = K_loss(v)·(T_b − T_a) + P_ev, solved for v'
const referenceNote = ({ startC, pressureHPa, airC }: Reference): string =>
  `At start ${startC.toFixed(1)} °C, ${pressureHPa.toFixed(0)} hPa, air ${airC.toFixed(1)} °C.`
