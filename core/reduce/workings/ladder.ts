/** Workings of the ladder's rungs, and of the normalised figure at its foot. */
import type { AddWorking, Working, WorkingInput } from '../../explain/working'
import type { Rung } from '../../formats/answer'
import type { ReduceOptions } from '../../formats/document'
import { FIGURE } from '../../normalise/figures'
import { THETA } from '../../flame/flameRow'
import type { HeatRun } from '../../normalise/heatRun'
import type { RungName } from '../../normalise/reference'
import { combined, sharesOf, type Propagation } from '../../uncertainty/propagate'
import type { Composition } from '../composition'
import type { SetupSeries } from '../setupSeries'
import { assumed, computed, finite, measured, reference } from './inputs'

const RUNG_TITLES: Record<RungName, string> = {
  start: 'Start temperature',
  boilingPoint: 'Boiling point',
  surroundings: 'Surroundings',
  wind: 'Wind',
  flame: 'Flame',
  volume: 'Volume',
}
const RUNG_FIGURES: Record<RungName, number> = {
  start: FIGURE.afterStart,
  boilingPoint: FIGURE.afterBoilingPoint,
  surroundings: FIGURE.afterSurroundings,
  wind: FIGURE.afterWind,
  flame: FIGURE.afterFlame,
  volume: FIGURE.normalised,
}
const MODEL_WORDS = {
  loss: 'burn rate × time by the heating model',
  energy: 'ratio of heat needed',
  ratio: 'ratio of temperature rises',
}
const WIND_NOTE =
  'Useful heat per gram falls as 1 + (v/v₀)ⁿ: the wind rung moves q0 by (1 + (v/v₀)ⁿ)/(1 + (v_ref/v₀)ⁿ) and K_loss to the reference wind, together.'
const FLAME_NOTE =
  'Useful heat follows the burn rate as ṁˣ: the flame rung moves ṁ to the bench burn rate ṁ₀ of its setting and q0 by (ṁ₀/ṁ)ˣ.'

const VOLUME_NOTE =
  'Water, wall and heat loss of the other volume; q0 by what the set-up’s own runs of that volume say, else held, ± 10 % for each doubling.'

/** Each rung, and the normalised figure at the foot. */
export function addLadder(parts: Composition): void {
  const { figured, addWorking } = parts
  if (!addWorking) return
  let before = figured.budget.values[FIGURE.own]!
  for (const rung of figured.rungs.rungs) {
    if (rung.gPerL !== null && rung.factor !== null) addWorking(rungWorking(rung, before, parts))
    before = rung.gPerL ?? before
  }
  addNormalised(figured.rungs.rungs, figured.budget, addWorking)
}

function rungWorking(rung: Rung, before: number, { figured: { budget, run }, series, options }: Composition): Working {
  const wind = rung.rung === 'wind' && isMoved(rung)
  const flame = rung.rung === 'flame' && isMoved(rung)
  return {
    path: `ladder.${rung.rung}`,
    title: RUNG_TITLES[rung.rung],
    value: rung.gPerL,
    unit: 'g/L',
    formula: '{before} · {factor}',
    source: sourceOf(rung, options),
    inputs: [
      ...rungInputs(rung, before),
      ...(wind ? windInputs(run, series) : []),
      ...(flame ? flameInputs(run, series) : []),
    ],
    note: noteOf(rung, options),
    shares: sharesOf(budget, RUNG_FIGURES[rung.rung]),
  }
}

const isMoved = ({ factor }: Rung): boolean => factor !== 1

function sourceOf(rung: Rung, { model }: ReduceOptions): Working['source'] {
  if (rung.rung === 'wind' && isMoved(rung)) return 'windSeries'
  if (rung.rung === 'volume' || (rung.rung === 'flame' && isMoved(rung))) return 'flameModel'
  return model === 'loss' ? 'newton' : 'wbt'
}

function noteOf(rung: Rung, { model }: ReduceOptions): string {
  if (rung.rung === 'wind' && isMoved(rung)) return WIND_NOTE
  if (rung.rung === 'flame' && isMoved(rung)) return FLAME_NOTE
  return rung.rung === 'volume' ? VOLUME_NOTE : `Factor: ${MODEL_WORDS[model]}.`
}

function rungInputs(rung: Rung, before: number): WorkingInput[] {
  const { from, to, unit } = rung.moved
  const u = rung.ownU === null || rung.factor === null || !rung.gPerL ? null : (rung.ownU / rung.gPerL) * rung.factor
  const moves =
    from === null || to === null
      ? []
      : [measured('from', 'Here', from, unit), reference('to', 'At the reference', to, unit)]
  return [
    computed('before', 'Before this rung', before, 'g/L'),
    computed('factor', 'Factor', rung.factor, '', { u }),
    ...moves,
  ]
}

function windInputs(run: HeatRun, { flame }: SetupSeries): WorkingInput[] {
  const own = flame.basis === 'ownSeries'
  const { covariance } = flame.fit
  const v0U = run.v0MS * Math.sqrt(covariance[THETA.lnV0]![THETA.lnV0]!)
  const powerU = Math.sqrt(covariance[THETA.windPower]![THETA.windPower]!)
  const name = own ? 'from the set-up’s own series' : 'of the burner’s class'
  return [
    (own ? computed : assumed)('v₀', `Wind that halves the useful heat, ${name}`, run.v0MS, 'm/s', { u: v0U }),
    (own ? computed : assumed)('n', 'Power of the wind', run.windPower, '', { u: powerU }),
  ]
}

function flameInputs(run: HeatRun, { flame }: SetupSeries): WorkingInput[] {
  const u = Math.sqrt(flame.fit.covariance[THETA.flamePower]![THETA.flamePower]!)
  return [computed('x', 'How useful heat follows the burn rate', run.flamePower, '', { u })]
}

function addNormalised(rungs: Rung[], budget: Propagation<HeatRun>, addWorking: AddWorking): void {
  const own = combined(budget, FIGURE.own)
  const value = budget.values[FIGURE.normalised]!
  if (finite(value) === null || finite(own.value) === null) return
  const moving = rungs.filter((rung) => rung.factor !== null && rung.factor !== 1)
  addWorking({
    path: 'normalisedGPerL',
    title: 'Fuel per litre, normalised',
    value,
    unit: 'g/L',
    source: 'newton',
    shares: sharesOf(budget, FIGURE.normalised),
    formula: ['{measured}', ...moving.map((rung) => `{${rung.rung}}`)].join(' · '),
    inputs: [
      computed('measured', 'As measured, or predicted', own.value, 'g/L', { u: own.u, path: 'gPerL' }),
      ...moving.map((rung) =>
        computed(rung.rung, `${RUNG_TITLES[rung.rung]}, factor`, rung.factor, '', { path: `ladder.${rung.rung}` }),
      ),
    ],
    note: 'Factors multiply; percents do not add.',
  })
}
