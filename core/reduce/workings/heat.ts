/** Workings of heat loss, heat flow and efficiency. */
import type { WorkingInput } from '../../explain/working'
import { ASSUMED_HUMIDITY } from '../../heating/evaporation'
import { LOSS_ESTIMATE } from '../../heating/loss'
import { FIGURE } from '../../normalise/figures'
import { aimTemperature, lossCoefficient, ownConditions } from '../../normalise/heatRun'
import { heatingIn } from '../../normalise/runHeating'
import { sharesOf } from '../../uncertainty/propagate'
import { inMegajoules, inPercent } from '../../quantity/shown'
import type { Composition } from '../composition'
import { fuelInput } from './fuel'
import { assumed, computed, constant, finite, measured, measuredIf } from './inputs'

/** Heat flow and heat loss of the heating model. */
export function addHeatFlow(parts: Composition): void {
  if (!parts.addWorking || !parts.figured.normalisation?.ok) return
  addHeatLoss(parts)
  addColdFlow(parts)
}

function addHeatLoss(parts: Composition): void {
  const given = parts.input.lossWPerK
  const { run } = parts.figured
  parts.addWorking?.({
    path: 'lossWPerK',
    title: 'Heat loss coefficient',
    value: lossCoefficient(run, run.windMS),
    unit: 'W/K',
    source: given === null ? 'estimate' : 'newton',
    formula:
      given === null ? `{h} · ({A_lid} + {φ}·{A_side}) · (1 + {b}·{v})${run.closeCone ? ' · 0.5' : ''}` : '{K_loss}',
    inputs:
      given === null
        ? lossByGeometry(parts)
        : [measured('K_loss', 'From a cool-down test', given.value, 'W/K', { u: given.u })],
  })
}

function lossByGeometry({ input: { pot, place }, series, figured: { run } }: Composition): WorkingInput[] {
  const { filmWPerM2K, sideShare, windSlopePerMS } = LOSS_ESTIMATE
  const film = series.film === null ? assumed : computed
  const area = measuredIf(pot.diameterM)
  return [
    film('h', 'Film coefficient', run.filmWPerM2K, 'W/(m²·K)', { u: series.film?.u ?? filmWPerM2K.u }),
    area('A_lid', 'Lid or surface', run.lidM2, 'm²'),
    assumed('φ', 'Share of the wall', run.sideShare, '', { u: sideShare.u }),
    area('A_side', 'Wall up to the water', run.sideM2, 'm²'),
    assumed('b', 'Growth with wind', run.windSlopePerMS, 's/m', { u: windSlopePerMS.u }),
    measuredIf(place.windMS)('v', 'Wind at the pot', run.windMS, 'm/s'),
  ]
}

function addColdFlow({ input, options, figured: { run, budget }, addWorking }: Composition): void {
  const own = ownConditions(run)
  const heating = heatingIn(run, own, run.reachedC ?? aimTemperature(run, own))
  const { uncertainty, place } = input
  addWorking?.({
    path: 'q0W',
    title: 'Heat flow into a cold pot, q0',
    value: budget.values[FIGURE.q0]!,
    unit: 'W',
    source: 'newton',
    shares: sharesOf(budget, FIGURE.q0),
    formula:
      'q0 such that {t} = (C/K) · ln[(q0 − K·({T_i} − {T_a})) / (q0 − K·({T_e} − {T_a}))],  C = {C},  K = {K_loss} + q0/{Θ}',
    inputs: [
      measured('t', 'Pot-on to the end', run.heatS, 's'),
      measured('T_i', 'Start temperature', run.startC, '°C', { u: uncertainty.startC }),
      computed('T_e', 'End temperature', heating.endC, '°C', { path: 'boilingPointC' }),
      measuredIf(place.airC)('T_a', 'Air temperature', run.airC, '°C', { u: uncertainty.airC }),
      computed('C', 'Water and pot', heating.capacityJPerK, 'J/K'),
      computed('K_loss', 'Heat loss coefficient', heating.lossWPerK, 'W/K', { path: 'lossWPerK' }),
      assumed('Θ', 'Flame temperature excess', run.thetaK, 'K', { u: options.theta.u }),
    ],
    note:
      run.evaporationScale === 0
        ? undefined
        : `Open pot: evaporation is in the balance, at ${Math.round(inPercent(place.humidity ?? ASSUMED_HUMIDITY))} % humidity.`,
  })
}

/** Efficiency of the heating. */
export function addEfficiency({ input, readings, figured: { run, budget }, addWorking }: Composition): void {
  const value = budget.values[FIGURE.efficiency]!
  if (!addWorking || finite(value) === null) return
  const endC = run.reachedC ?? aimTemperature(run, ownConditions(run))
  const heatKJ = (value * run.fuelKg * run.lhvJPerKg) / 1000
  const waterKJ = run.waterKg * (run.enthalpy(endC) - run.enthalpy(run.startC))
  const potKJ = (run.potJPerK * (endC - run.startC)) / 1000
  const pot = input.pot.massKg === null ? assumed : computed
  const lhv = input.fuel.lhvJPerKg === null ? constant : measured
  addWorking({
    path: 'efficiency',
    title: 'Efficiency',
    value,
    unit: '',
    source: 'wbt',
    shares: sharesOf(budget, FIGURE.efficiency),
    formula: '({Q_w} + {Q_pot} + {Q_ev}) / ({m} · {LHV})',
    inputs: [
      computed('Q_w', 'Into the water', waterKJ, 'kJ'),
      pot('Q_pot', 'Into the pot', potKJ, 'kJ'),
      computed('Q_ev', 'Into vapour', Math.max(0, heatKJ - waterKJ - potKJ), 'kJ'),
      fuelInput(readings.toEnd?.massKg ?? NaN),
      lhv('LHV', 'Lower heating value', inMegajoules(run.lhvJPerKg), 'kJ/g'),
    ],
  })
}
