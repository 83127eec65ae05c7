/** Workings of the ladder's rungs, and of the normalised figure at its foot. */
import type { AddWorking, Working, WorkingInput } from '../../explain/working'
import type { Rung } from '../../formats/answer'
import { FIGURE } from '../../normalise/figures'
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
  supply: 'Supply',
}
const RUNG_FIGURES: Record<RungName, number> = {
  start: FIGURE.afterStart,
  boilingPoint: FIGURE.afterBoilingPoint,
  surroundings: FIGURE.afterSurroundings,
  wind: FIGURE.afterWind,
  supply: FIGURE.afterSupply,
}
const MODEL_WORDS = {
  loss: 'burn rate × time by the heating model',
  energy: 'ratio of heat needed',
  ratio: 'ratio of temperature rises',
}
const WIND_NOTE =
  'ln(q0/ṁ) = a − γ·vⁿ: the wind rung moves q0 by e^(γ(vⁿ − v_refⁿ)) and K_loss to the reference wind, together.'

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
  const wind = rung.rung === 'wind' && rung.factor !== 1
  return {
    path: `ladder.${rung.rung}`,
    title: RUNG_TITLES[rung.rung],
    value: rung.gPerL,
    unit: 'g/L',
    formula: '{before} · {factor}',
    source: wind ? 'windSeries' : options.model === 'loss' ? 'newton' : 'wbt',
    inputs: [...rungInputs(rung, before), ...(wind ? windInputs(run, series) : [])],
    note: wind ? WIND_NOTE : `Factor: ${MODEL_WORDS[options.model]}.`,
    shares: sharesOf(budget, RUNG_FIGURES[rung.rung]),
  }
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

function windInputs(run: HeatRun, { wind }: SetupSeries): WorkingInput[] {
  const own = wind?.basis === 'ownSeries'
  const unit = run.windExponent === 1 ? 's/m' : '(m/s)⁻ⁿ'
  const name = own ? 'γ, from the set-up’s own series' : 'γ, of the burner’s class'
  return [
    (own ? computed : assumed)('γ', name, run.gamma, unit, { u: wind?.gammaU }),
    (run.windExponent === 1 ? assumed : computed)('n', 'Exponent of the wind', run.windExponent, ''),
  ]
}

function addNormalised(rungs: Rung[], budget: Propagation<HeatRun>, addWorking: AddWorking): void {
  const own = combined(budget, FIGURE.own)
  const value = budget.values[FIGURE.afterSupply]!
  if (finite(value) === null || finite(own.value) === null) return
  const moving = rungs.filter((rung) => rung.factor !== null && rung.factor !== 1)
  addWorking({
    path: 'normalisedGPerL',
    title: 'Fuel per litre, normalised',
    value,
    unit: 'g/L',
    source: 'newton',
    shares: sharesOf(budget, FIGURE.afterSupply),
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
