/** Workings of times: the boil by its clock, and the time there would be at the reference. */
import type { RunAnswer } from '../../formats/answer'
import { FIGURE } from '../../normalise/figures'
import { aimTemperature, ownConditions } from '../../normalise/heatRun'
import { sharesOf } from '../../uncertainty/propagate'
import type { Composition } from '../composition'
import { computed, measured, reference } from './inputs'

const CLOCK_NAMES = { potOn: 'pot-on', lit: 'lighting', bloomed: 'full flame' }

export function addTimes(
  parts: Composition,
  { timeToBoilS, normalisedTimeS }: Pick<RunAnswer, 'timeToBoilS' | 'normalisedTimeS'>,
): void {
  if (timeToBoilS !== null) addTimeToBoil(parts, timeToBoilS)
  if (normalisedTimeS !== null) addNormalisedTime(parts, normalisedTimeS)
}

function addTimeToBoil({ readings: { times }, options, addWorking }: Composition, timeToBoilS: number): void {
  addWorking?.({
    path: 'timeToBoilS',
    title: 'Time to the boil',
    value: timeToBoilS,
    unit: 's',
    source: 'commonPractice',
    formula: '{t_boil} − {t_0}',
    inputs: [
      measured('t_boil', times.boilFrom === 'trace' ? 'Boil, from the trace' : 'Boil, called', times.boilS, 's'),
      measured('t_0', `Clock: ${CLOCK_NAMES[options.clock]}`, times.clockZeroS, 's'),
    ],
  })
}

function addNormalisedTime(
  { options, figured: { run, budget, normalisation }, addWorking }: Composition,
  normalisedTimeS: number,
): void {
  if (!normalisation?.ok) return
  const { startC, airC, windMS, pressureHPa } = options.reference
  const endC = aimTemperature(run, { ...ownConditions(run), pressurePa: pressureHPa * 100 })
  const byLoss = options.model === 'loss'
  addWorking?.({
    path: 'normalisedTimeS',
    title: 'Time to the boil at the reference',
    value: normalisedTimeS,
    unit: 's',
    source: byLoss ? 'newton' : 'wbt',
    shares: sharesOf(budget, FIGURE.normalisedTime),
    formula: byLoss
      ? 't = (C/K) · ln[(q0 − K·({T_i} − {T_a})) / (q0 − K·({T_e} − {T_a}))], K = K_loss + q0/Θ, q0 in the reference wind'
      : 'own time · heat or rise at the reference / heat or rise here',
    inputs: [
      computed('q0', 'Heat flow into a cold pot, here', normalisation.value.q0W, 'W', { path: 'q0W' }),
      reference('T_i', 'Start', startC, '°C'),
      reference('T_a', 'Air', airC, '°C'),
      reference('T_e', 'End', endC, '°C'),
      reference('v', 'Wind', windMS, 'm/s'),
    ],
  })
}
