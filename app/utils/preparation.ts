/** A lane set up: from the choices of the kit to the lane as it will look before the server has heard of it. */
import { fuelOfKind } from '#core/constants/fuels'
import { burnerFuelMismatch } from '#core/kit/burnerFuel'
import { benchOrder } from '#core/method/benchOrder'
import { KIND_OF_TEST, type MethodBody } from '#core/method/method'
import { BOIL } from '#core/method/shippedBoil'
import { parseQuantity } from '#core/quantity/parseQuantity'
import { emptyBench } from '#core/run/benchStep'
import { boilingPointAt } from '#core/air/pressureOf'
import type { UnitSystem } from '#core/quantity/kinds'
import type { Lane, LaneReading } from '#shared/bench'
import type { Preparation } from '#shared/benchAct'
import type { LaneName } from '#shared/lanes'
import { mustBeChosen } from '#shared/mustBeChosen'
import { zoneHere } from './moments'
import type { KitChoices } from '#shared/kitChoices'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from '#shared/measuredQuantity'
import { sceneOf, waterKgOf } from '#shared/rehearsal'
import { quantityProblem } from '#shared/quantityProblem'
import { emptyTypedRun } from '#shared/typedRun'
import { v7 as uuidv7 } from 'uuid'

export const emptyMeasured = () => emptyTypedRun('', 'metric').measured

/** As a first lane would be: the only one of each list, or none. */
export function firstPreparation(choices: KitChoices, lane: LaneName): Preparation {
  const { instruments, measured } = emptyTypedRun('', 'metric')
  const method = choices.methods.find((one) => one.body.test === 'boil')
  return {
    lane,
    test: 'boil',
    setupId: '',
    fuelBatchId: '',
    methodId: method?.id ?? null,
    personId: choices.people.length === 1 ? choices.people[0]!.id : '',
    placeId: choices.places.length === 1 ? choices.places[0]!.id : null,
    containerId: null,
    setting: '',
    breakIn: false,
    zone: zoneHere(),
    instruments,
    measured,
    overrides: {},
    rehearsal: null,
  }
}

/** Of the last lane's choices, those that are still in the lists. */
export function stillThere(kit: KitChoices, before: Partial<Preparation>): Partial<Preparation> {
  const lists: Partial<Record<keyof Preparation, { id: string }[]>> = {
    setupId: kit.setups,
    fuelBatchId: kit.fuels,
    methodId: kit.methods,
    personId: kit.people,
    placeId: kit.places,
    containerId: kit.containers,
  }
  return Object.fromEntries(
    Object.entries(before).filter(
      ([key, value]) => !(key in lists) || lists[key as keyof Preparation]!.some((one) => one.id === value),
    ),
  )
}

/** Read when it cooled, not before it is lit. */
const WEIGHED_LATER: readonly MeasuredQuantity[] = [
  'fuelBefore',
  'fuelAfter',
  'fuelLeftover',
  'waterLast',
  'waterEndMass',
  'char',
  'fuelUsed',
]
const ALWAYS_FIRST: readonly MeasuredQuantity[] = ['water', 'waterStart', 'air', 'wind']

/** The readings of a method that can be taken before it is lit, the usual ones first. */
export function readingsBefore(method: MethodBody | null): MeasuredQuantity[] {
  const { must, may } = method ?? BOIL
  const wanted = [...must, ...may].filter(
    (one): one is MeasuredQuantity => one in MEASURED_QUANTITIES && !WEIGHED_LATER.includes(one as MeasuredQuantity),
  )
  return [...new Set([...ALWAYS_FIRST, ...wanted])].filter((one) => wanted.includes(one))
}

interface Chosen {
  method: KitChoices['methods'][number] | null
  setup: KitChoices['setups'][number] | null
  fuel: KitChoices['fuels'][number] | null
  place: KitChoices['places'][number] | null
  person: string
}
function chosenBy(choices: KitChoices, preparation: Preparation): Chosen {
  const by = <T extends { id: string }>(list: readonly T[], id: string | null) =>
    list.find((one) => one.id === id) ?? null
  return {
    method: by(choices.methods, preparation.methodId),
    setup: by(choices.setups, preparation.setupId),
    fuel: by(choices.fuels, preparation.fuelBatchId),
    place: by(choices.places, preparation.placeId),
    person: by(choices.people, preparation.personId)?.name ?? '',
  }
}

interface Begun {
  runId: string
  atMs: number
  units: UnitSystem
}
/** The lane as it will look, before the server has heard of it. */
export function previewLane(choices: KitChoices, preparation: Preparation, { runId, atMs, units }: Begun): Lane {
  const chosen = chosenBy(choices, preparation)
  const { method, setup, place, person } = chosen
  const readings = readingsOf(preparation, units)
  const order = benchOrder(method?.body ?? BOIL, setup?.burner ?? null)
  return {
    lane: preparation.lane,
    runId,
    armedAtMs: atMs,
    test: preparation.test,
    kind: KIND_OF_TEST[preparation.test],
    method: method && { name: method.name, n: 0, body: method.body },
    ...kitOf(chosen),
    person,
    place: place?.name ?? null,
    zone: preparation.zone,
    setting: preparation.setting || null,
    boilingC: boilingPointAt(pressureRead(readings), place),
    order,
    state: emptyBench(order.marks),
    readings: readings.map(({ quantity, value, typed }) => ({ id: uuidv7(), quantity, value, typed, atMs: null })),
    notes: [],
    photos: 0,
    rehearsal: sceneFor(preparation, chosen, { runId, readings }),
  }
}

const kitOf = (chosen: Chosen): Pick<Lane, 'setup' | 'burner' | 'hasLid' | 'fuelKind' | 'fuel'> => ({
  setup: chosen.setup?.name ?? '',
  burner: chosen.setup?.burner ?? null,
  hasLid: hasLid(chosen),
  fuelKind: chosen.fuel?.kind ?? null,
  fuel: chosen.fuel?.fuel ?? null,
})

const hasLid = ({ setup }: Chosen): boolean => setup?.parts.some((part) => part.role === 'lid') ?? false

type Readings = Pick<LaneReading & { unit: string }, 'quantity' | 'value' | 'typed' | 'unit'>[]
const readingsOf = ({ measured }: Preparation, units: UnitSystem): Readings =>
  (Object.entries(measured) as [MeasuredQuantity, string][]).flatMap(([quantity, text]) => {
    const read = text.trim() ? parseQuantity(text, MEASURED_QUANTITIES[quantity], units) : null
    return read?.ok ? [{ quantity, value: read.value.value, unit: read.value.unit, typed: text }] : []
  })

function pressureRead(readings: Readings) {
  const read = (quantity: MeasuredQuantity) => readings.find((one) => one.quantity === quantity)?.value ?? null
  return {
    altitudeM: read('altitude'),
    stationPressurePa: read('stationPressure'),
    seaLevelPressurePa: read('seaLevelPressure'),
    airC: read('air'),
  }
}

function sceneFor(
  { rehearsal, setting, test }: Preparation,
  chosen: Chosen,
  { runId, readings }: { runId: string; readings: Readings },
): Lane['rehearsal'] {
  if (rehearsal === null) return null
  return sceneOf(rehearsal, runId, {
    waterKg: waterKgOf(readings) ?? chosen.method?.body.waterKg ?? null,
    altitudeM: chosen.place?.altitudeM ?? null,
    lid: hasLid(chosen),
    lhvMJPerKg: fuelOfKind(chosen.fuel?.kind ?? '')?.lowerHeatingValue.value ?? null,
    setting: setting || null,
    test,
  })
}

interface PreparationProblem {
  path: string
  text: string
}
/** What stands against it, in words; null: nothing. */
export const preparationProblem = (
  choices: KitChoices,
  preparation: Preparation,
  units: UnitSystem,
): PreparationProblem | null =>
  notChosen(preparation) ?? unreadable(preparation, units) ?? mismatched(choices, preparation)

const NEEDED = [
  ['personId', 'Who'],
  ['setupId', 'Set-up'],
  ['fuelBatchId', 'Fuel'],
] as const
function notChosen(preparation: Preparation): PreparationProblem | null {
  const missing = NEEDED.find(([path]) => preparation[path] === '')
  if (missing === undefined) return null
  const [path, name] = missing
  return { path, text: mustBeChosen(name) }
}

/** Why a reading cannot be read; null: it can, or was not taken. */
export const readingProblem = (quantity: MeasuredQuantity, text: string, units: UnitSystem): string | null =>
  quantityProblem(MEASURED_NAMES[quantity], text, MEASURED_QUANTITIES[quantity], units)

function unreadable({ measured }: Preparation, units: UnitSystem): PreparationProblem | null {
  for (const [quantity, typed] of Object.entries(measured) as [MeasuredQuantity, string][]) {
    const text = readingProblem(quantity, typed, units)
    if (text !== null) return { path: `measured.${quantity}`, text }
  }
  return null
}

function mismatched(choices: KitChoices, preparation: Preparation): PreparationProblem | null {
  const why = burnerFuelMismatch(
    choices.setups.find((one) => one.id === preparation.setupId)?.burner ?? null,
    choices.fuels.find((one) => one.id === preparation.fuelBatchId)?.kind ?? '',
  )
  return why !== null && !preparation.overrides.burnerAndFuel?.trim()
    ? { path: 'overrides.burnerAndFuel', text: why }
    : null
}
