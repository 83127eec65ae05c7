/** The contract's request as it may be sent. */
import { mixed, object, type Schema } from 'yup'
import {
  BURNER_KINDS,
  CLOCKS,
  BOILS,
  HEADS,
  LITRES,
  ORIGINS,
  SCREENS,
  SETTINGS,
  TEST_KINDS,
  WATER_BY,
} from '../core/formats/document'
import { FUEL_KINDS } from '../core/constants/fuels'
import { POT_MATERIALS } from '../core/constants/physical'
import { MODELS } from '../core/normalise/reference'
import { EVENT_KINDS } from '../core/run/events'
import { LIMITS, MAX_EVENTS, MAX_TEXT } from './limits'
import { shown } from './readProblems'
import { choice, exactly, flag, list, measure, part, text } from './schemaParts'

const L = LIMITS

const required = (schema: Schema, what: string) =>
  schema.test('required', `read nothing, expected ${what}`, (value) => value !== undefined && value !== null)

const eventSchema = object({
  kind: required(choice(EVENT_KINDS), 'an event kind'),
  s: required(measure(L.eventS), 'seconds'),
  massG: measure(L.fuelG),
  waterC: measure(L.endC),
  setting: choice(SETTINGS),
  windMS: measure(L.windMS),
  reason: text(MAX_TEXT.reason),
})

const value = (
  limit: (typeof LIMITS)['thetaK'] | (typeof LIMITS)['lossWPerK'],
  u: (typeof LIMITS)['uThetaK'] | (typeof LIMITS)['uLoss'],
) => part({ value: required(measure(limit), 'a number'), u: required(measure(u), 'a standard uncertainty') })

export const runDocumentSchema = object({
  id: required(text(MAX_TEXT.name), 'an id'),
  setup: text(MAX_TEXT.name),
  origin: choice(ORIGINS),
  kind: choice(TEST_KINDS),
  place: part({
    altitudeM: measure(L.altitudeM),
    stationPressureHPa: measure(L.pressureHPa),
    seaLevelPressureHPa: measure(L.pressureHPa),
    airC: measure(L.airC),
    windMS: measure(L.windMS),
    windHeightM: measure(L.windHeightM),
    humidityPct: measure(L.humidityPct),
  }),
  water: part({
    massG: measure(L.waterG),
    startC: measure(L.startC),
    endMassG: measure(L.waterG),
    endC: measure(L.endC),
    snowG: measure(L.waterG),
    by: choice(WATER_BY),
  }),
  pot: part({
    massG: measure(L.potG),
    material: choice(POT_MATERIALS),
    diameterMm: measure(L.diameterMm),
    finned: flag(),
  }),
  lid: flag(),
  screen: choice(SCREENS),
  burner: part({ kind: choice(BURNER_KINDS), head: choice(HEADS) }),
  fuel: part({
    kind: choice(FUEL_KINDS),
    lhvMJPerKg: measure(L.lhvMJPerKg),
    usedG: measure(L.fuelG),
    beforeG: measure(L.weighingG),
    afterG: measure(L.weighingG),
    leftoverG: measure(L.weighingG),
    usedMl: measure(L.fuelMl),
    densityGPerMl: measure(L.densityGPerMl),
    moisturePct: measure(L.humidityPct),
    charG: measure(L.weighingG),
    scaleResolutionG: measure(L.scaleG),
    scaleAccuracyG: measure(L.scaleG),
    loadG: measure(L.fuelG),
    burnOutShare: flag(),
  }),
  lossWPerK: value(L.lossWPerK, L.uLoss),
  boilBy: choice(['call', 'trace']),
  setting: choice(SETTINGS),
  container: part({ id: text(MAX_TEXT.name), fillShare: measure(L.share), startC: measure(L.airC) }),
  thermometer: part({ offsetK: measure(L.offsetK), offsetU: measure(L.uK), lagS: measure(L.lagS) }),
  instruments: part({ scale: text(MAX_TEXT.name), thermometer: text(MAX_TEXT.name) }),
  uncertainty: part({
    startC: measure(L.uK),
    airC: measure(L.uK),
    boilCallS: measure(L.uS),
    waterG: measure(L.uG),
    windMS: measure(L.uMS),
    pressureHPa: measure(L.uHPa),
  }),
  events: list(eventSchema, MAX_EVENTS, 'events'),
})

const boilSchema = mixed().test(
  'boil',
  ({ value: got }) => `read ${shown(got)}, expected one of ${BOILS.join(', ')} or {"targetC": number}`,
  (got) => {
    if (got === undefined || got === null || BOILS.includes(got as never)) return true
    const target = typeof got === 'object' ? (got as { targetC?: unknown }).targetC : null
    return typeof target === 'number' && target >= L.targetC.min && target <= L.targetC.max
  },
)

export const envelopeSchema = object({
  format: exactly('vulcanum-reduce'),
  version: exactly(1),
  reference: part({
    startC: measure(L.startC),
    pressureHPa: measure(L.pressureHPa),
    airC: measure(L.airC),
    windMS: measure(L.windMS),
    burnRateGPerMin: measure(L.burnRateGPerMin),
    waterG: measure(L.waterG),
  }),
  model: choice(MODELS),
  clock: choice(CLOCKS),
  boil: boilSchema,
  litre: choice(LITRES),
  flame: flag(),
  // Read and ignored: what the flame rung was called before.
  supply: flag(),
  theta: value(L.thetaK, L.uThetaK),
})
