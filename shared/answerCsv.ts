/** Results as CSV: one row a run, figures of the same answer as screen and JSON. */
import Papa from 'papaparse'
import type { ReduceAnswer } from '../core/formats/answer'
import { FORMULA } from './runTable'

const COLUMNS = [
  'id',
  'setup',
  'origin',
  'kind',
  'status',
  'ended',
  'boilingPointC',
  'litres',
  'timeToBoilS',
  'timeToBoilU',
  'boilFrom',
  'fuelToBoilG',
  'efficiency',
  'efficiencyU',
  'firepowerW',
  'burnRateGPerMin',
  'q0W',
  'gPerL',
  'gPerLU',
  'gPerLPerK',
  'normalisedGPerL',
  'normalisedU',
  'normalisedTimeS',
  'stallsAtC',
] as const
const TEST_COLUMNS = [
  'warmUpS',
  'burnTimeS',
  'burnRateMlPerMin',
  'usefulAfterBoilS',
  'boilsPerLoad',
  'riseK',
  'powerIntoWaterW',
  'turnDownRatio',
  'holdingPowerW',
  'meltEnergyKJ',
  'pieces',
  'gapsS',
  'dryFuelG',
  'lossWPerK',
  'lossWPerKU',
] as const
const RUNG_COLUMNS = ['start', 'boilingPoint', 'surroundings', 'wind', 'flame', 'volume'] as const

export function answerCsv(answer: ReduceAnswer): string {
  const fields = [
    ...COLUMNS,
    ...RUNG_COLUMNS.map((rung) => `factor.${rung}`),
    ...TEST_COLUMNS.map((name) => `test.${name}`),
    'missing',
    'flags',
    'error',
  ]
  const data = answer.runs.map((run) => {
    if ('error' in run) return fields.map((field) => (field === 'id' || field === 'error' ? run[field] : ''))
    const factors = RUNG_COLUMNS.map((name) => run.ladder.find((rung) => rung.rung === name)?.factor ?? '')
    return [
      ...COLUMNS.map((column) => run[column] ?? ''),
      ...factors,
      ...TEST_COLUMNS.map((name) => run.test[name] ?? ''),
      run.missing.join(' '),
      run.flags.map((flag) => flag.code).join(' '),
      '',
    ]
  })
  return Papa.unparse({ fields, data }, { newline: '\n', escapeFormulae: FORMULA })
}
