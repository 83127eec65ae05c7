/** Figures worked out and told in one place, so that a working cannot drift from its number. */
import { firepower } from './firepower'
import { ASSUMED_HUMIDITY } from '../heating/evaporation'
import { LOSS_ESTIMATE } from '../heating/loss'
import { lossCoefficient, aimTemperature, ownConditions, heatingIn } from '../normalise/heatRun'
import { FIGURE } from '../normalise/figures'
import type { Tell, WorkingInput } from '../explain/working'
import type { Rung } from '../formats/answer'
import type { RungName } from '../normalise/reference'
import { combined, sharesOf, type Propagation } from '../uncertainty/propagate'
import type { HeatRun } from '../normalise/heatRun'
import type { Composition } from './answerRun'
import type { SetupSeries } from './setupSeries'

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null)

/** Fuel to the end over flame time, from `lit` when marked, else pot-on [g/min]. */
export function burnRateOf(fuelG: number | null, flameS: number | null, tell?: Tell): number | null {
  if (fuelG === null || flameS === null) return null
  const value = (fuelG / flameS) * 60
  tell?.({
    path: 'burnRateGPerMin',
    title: 'Burn rate',
    value,
    unit: 'g/min',
    formula: '{m} / {t_flame} · 60',
    source: 'commonPractice',
    inputs: [fuelInput(fuelG), { symbol: 't_flame', name: 'Flame time', value: flameS, unit: 's', from: 'measured' }],
  })
  return value
}

/** Firepower, told [W]. */
export function firepowerOf(
  fuelG: number | null,
  flameS: number | null,
  { document, figured: { run }, tell }: Composition,
): number | null {
  const { lhvMJPerKg } = document.fuel
  const lhv = run.lhvJPerKg / 1e6
  const value = firepower(fuelG, flameS, run.lhvJPerKg)
  if (fuelG === null || flameS === null || value === null) return null
  tell?.({
    path: 'firepowerW',
    title: 'Firepower',
    value,
    unit: 'W',
    formula: '{m} · {LHV} · 1000 / {t_flame}',
    source: 'wbt',
    inputs: [
      fuelInput(fuelG),
      {
        symbol: 'LHV',
        name: 'Lower heating value',
        value: lhv,
        unit: 'MJ/kg',
        from: lhvMJPerKg === null ? 'constant' : 'measured',
      },
      { symbol: 't_flame', name: 'Flame time', value: flameS, unit: 's', from: 'measured' },
    ],
  })
  return value
}

const fuelInput = (grams: number): WorkingInput => ({
  symbol: 'm',
  name: 'Fuel to the boil',
  value: grams,
  unit: 'g',
  from: 'computed',
  path: 'fuelToBoilG',
})

/** Fuel per litre as measured. */
export function tellPerLitre({ readings, figured: { budget }, tell }: Composition): void {
  const value = budget.values[FIGURE.own]!
  if (!tell || readings.times.boilS === null || finite(value) === null) return
  tell({
    path: 'gPerL',
    title: 'Fuel per litre, as measured',
    value,
    unit: 'g/L',
    formula: '{m} / {V}',
    source: 'wbt',
    shares: sharesOf(budget, FIGURE.own),
    inputs: [
      fuelInput(readings.toEnd?.grams ?? NaN),
      { symbol: 'V', name: 'Litres', value: readings.litres, unit: 'L', from: 'computed', path: 'litres' },
    ],
    note: 'The burner runs until the call, so an error of the call moves time and fuel together.',
  })
}

/** Heat flow and heat loss of the heating model. */
export function tellHeatFlow({
  document,
  options,
  series,
  figured: { run, budget, climbed },
  tell,
}: Composition): void {
  if (!tell || !climbed?.ok) return
  const own = ownConditions(run)
  const heating = heatingIn(run, own, run.reachedC ?? aimTemperature(run, own))
  const given = document.lossWPerK
  tell({
    path: 'lossWPerK',
    title: 'Heat loss coefficient',
    value: lossCoefficient(run, run.windMS),
    unit: 'W/K',
    source: given === null ? 'estimate' : 'newton',
    formula:
      given === null ? `{h} · ({A_lid} + {φ}·{A_side}) · (1 + {b}·{v})${run.closeCone ? ' · 0.5' : ''}` : '{K_loss}',
    inputs:
      given === null
        ? [
            {
              symbol: 'h',
              name: 'Film coefficient',
              value: run.filmWPerM2K,
              u: series.film?.u ?? LOSS_ESTIMATE.filmWPerM2K.u,
              unit: 'W/(m²·K)',
              from: series.film === null ? 'assumed' : 'computed',
            },
            {
              symbol: 'A_lid',
              name: 'Lid or surface',
              value: run.lidM2,
              unit: 'm²',
              from: document.pot.diameterMm === null ? 'assumed' : 'measured',
            },
            {
              symbol: 'φ',
              name: 'Share of the wall',
              value: run.sideShare,
              u: LOSS_ESTIMATE.sideShare.u,
              unit: '',
              from: 'assumed',
            },
            {
              symbol: 'A_side',
              name: 'Wall up to the water',
              value: run.sideM2,
              unit: 'm²',
              from: document.pot.diameterMm === null ? 'assumed' : 'measured',
            },
            {
              symbol: 'b',
              name: 'Growth with wind',
              value: run.windSlopePerMS,
              u: LOSS_ESTIMATE.windSlopePerMS.u,
              unit: 's/m',
              from: 'assumed',
            },
            {
              symbol: 'v',
              name: 'Wind at the pot',
              value: run.windMS,
              unit: 'm/s',
              from: document.place.windMS === null ? 'assumed' : 'measured',
            },
          ]
        : [
            {
              symbol: 'K_loss',
              name: 'From a cool-down test',
              value: given.value,
              u: given.u,
              unit: 'W/K',
              from: 'measured',
            },
          ],
  })
  tell({
    path: 'q0W',
    title: 'Heat flow into a cold pot, q0',
    value: budget.values[FIGURE.q0]!,
    unit: 'W',
    source: 'newton',
    shares: sharesOf(budget, FIGURE.q0),
    formula:
      'q0 such that {t} = (C/K) · ln[(q0 − K·({T_i} − {T_a})) / (q0 − K·({T_e} − {T_a}))],  C = {C},  K = {K_loss} + q0/{Θ}',
    inputs: [
      { symbol: 't', name: 'Pot-on to the end', value: run.heatS, unit: 's', from: 'measured' },
      {
        symbol: 'T_i',
        name: 'Start temperature',
        value: run.startC,
        u: document.uncertainty.startC,
        unit: '°C',
        from: 'measured',
      },
      {
        symbol: 'T_e',
        name: 'End temperature',
        value: heating.endC,
        unit: '°C',
        from: 'computed',
        path: 'boilingPointC',
      },
      {
        symbol: 'T_a',
        name: 'Air temperature',
        value: run.airC,
        u: document.uncertainty.airC,
        unit: '°C',
        from: document.place.airC === null ? 'assumed' : 'measured',
      },
      { symbol: 'C', name: 'Water and pot', value: heating.capacityJPerK, unit: 'J/K', from: 'computed' },
      {
        symbol: 'K_loss',
        name: 'Heat loss coefficient',
        value: heating.lossWPerK,
        unit: 'W/K',
        from: 'computed',
        path: 'lossWPerK',
      },
      {
        symbol: 'Θ',
        name: 'Flame temperature excess',
        value: run.thetaK,
        u: options.theta.u,
        unit: 'K',
        from: 'assumed',
      },
    ],
    note:
      run.evaporationScale === 0
        ? undefined
        : `Open pot: evaporation is in the balance, at ${Math.round(document.place.humidityPct ?? ASSUMED_HUMIDITY * 100)} % humidity.`,
  })
}

/** Efficiency of the heating. */
export function tellEfficiency({ document, readings, figured: { run, budget }, tell }: Composition): void {
  const value = budget.values[FIGURE.efficiency]!
  if (!tell || finite(value) === null) return
  const endC = run.reachedC ?? aimTemperature(run, ownConditions(run))
  const heatKJ = (value * run.fuelKg * run.lhvJPerKg) / 1000
  const waterKJ = run.waterKg * (run.enthalpy(endC) - run.enthalpy(run.startC))
  const potKJ = (run.potJPerK * (endC - run.startC)) / 1000
  tell({
    path: 'efficiency',
    title: 'Efficiency',
    value,
    unit: '',
    source: 'wbt',
    shares: sharesOf(budget, FIGURE.efficiency),
    formula: '({Q_w} + {Q_pot} + {Q_ev}) / ({m} · {LHV})',
    inputs: [
      { symbol: 'Q_w', name: 'Into the water', value: waterKJ, unit: 'kJ', from: 'computed' },
      {
        symbol: 'Q_pot',
        name: 'Into the pot',
        value: potKJ,
        unit: 'kJ',
        from: document.pot.massG === null ? 'assumed' : 'computed',
      },
      {
        symbol: 'Q_ev',
        name: 'Into vapour',
        value: Math.max(0, heatKJ - waterKJ - potKJ),
        unit: 'kJ',
        from: 'computed',
      },
      fuelInput(readings.toEnd?.grams ?? NaN),
      {
        symbol: 'LHV',
        name: 'Lower heating value',
        value: run.lhvJPerKg / 1e6,
        unit: 'kJ/g',
        from: document.fuel.lhvMJPerKg === null ? 'constant' : 'measured',
      },
    ],
  })
}

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

/** Each rung, and the normalised figure at the foot. */
export function tellLadder({ figured: { rungs, budget, run }, series, options, tell }: Composition): void {
  if (!tell) return
  let before = budget.values[FIGURE.own]!
  for (const rung of rungs.rungs) {
    if (rung.gPerL !== null && rung.factor !== null) {
      const wind = rung.rung === 'wind' && rung.factor !== 1
      tell({
        path: `ladder.${rung.rung}`,
        title: RUNG_TITLES[rung.rung],
        value: rung.gPerL,
        unit: 'g/L',
        formula: '{before} · {factor}',
        source: wind ? 'windSeries' : options.model === 'loss' ? 'newton' : 'wbt',
        inputs: [...rungInputs(rung, before), ...(wind ? windInputs(run, series) : [])],
        note: wind ? WIND_NOTE : `Factor: ${MODEL_WORDS[options.model]}.`,
        shares: sharesOf(budget, RUNG_FIGURES[rung.rung]),
      })
    }
    before = rung.gPerL ?? before
  }
  tellNormalised(rungs.rungs, budget, tell)
}

const WIND_NOTE =
  'ln(q0/ṁ) = a − γ·vⁿ: the wind rung moves q0 by e^(γ(vⁿ − v_refⁿ)) and K_loss to the reference wind, together.'

const windInputs = (run: HeatRun, { wind }: SetupSeries): WorkingInput[] => [
  {
    symbol: 'γ',
    name: wind?.basis === 'ownSeries' ? 'γ, from the set-up’s own series' : 'γ, of the burner’s class',
    value: run.gamma,
    u: wind?.gammaU,
    unit: run.windExponent === 1 ? 's/m' : '(m/s)⁻ⁿ',
    from: wind?.basis === 'ownSeries' ? 'computed' : 'assumed',
  },
  {
    symbol: 'n',
    name: 'Exponent of the wind',
    value: run.windExponent,
    unit: '',
    from: run.windExponent === 1 ? 'assumed' : 'computed',
  },
]

function rungInputs(rung: Rung, before: number): WorkingInput[] {
  const { from, to, unit } = rung.moved
  const moves: WorkingInput[] =
    from === null || to === null
      ? []
      : [
          { symbol: 'from', name: 'Here', value: from, unit, from: 'measured' },
          { symbol: 'to', name: 'At the reference', value: to, unit, from: 'reference' },
        ]
  return [
    { symbol: 'before', name: 'Before this rung', value: before, unit: 'g/L', from: 'computed' },
    {
      symbol: 'factor',
      name: 'Factor',
      value: rung.factor,
      u: rung.ownU === null || rung.factor === null || !rung.gPerL ? null : (rung.ownU / rung.gPerL) * rung.factor,
      unit: '',
      from: 'computed',
    },
    ...moves,
  ]
}

function tellNormalised(rungs: Rung[], budget: Propagation<HeatRun>, tell: Tell): void {
  const own = combined(budget, FIGURE.own)
  const normal = budget.values[FIGURE.afterSupply]!
  if (finite(normal) === null || finite(own.value) === null) return
  const climbed = rungs.filter((rung) => rung.factor !== null && rung.factor !== 1)
  tell({
    path: 'normalisedGPerL',
    title: 'Fuel per litre, normalised',
    value: normal,
    unit: 'g/L',
    source: 'newton',
    shares: sharesOf(budget, FIGURE.afterSupply),
    formula: ['{measured}', ...climbed.map((rung) => `{${rung.rung}}`)].join(' · '),
    inputs: [
      {
        symbol: 'measured',
        name: 'As measured, or foretold',
        value: own.value,
        u: own.u,
        unit: 'g/L',
        from: 'computed',
        path: 'gPerL',
      },
      ...climbed.map((rung) => ({
        symbol: rung.rung,
        name: `${RUNG_TITLES[rung.rung]}, factor`,
        value: rung.factor,
        unit: '',
        from: 'computed' as const,
        path: `ladder.${rung.rung}`,
      })),
    ],
    note: 'Factors multiply; percents do not add.',
  })
}
