/**
 * Runs of the contract's document, as runs to store: readings and marks as they stand there, the kit found by what it
 * is or made of what is said.
 */
import { DEFAULT_UNCERTAINTY, type RunDocument } from '../../core/formats/document'
import type { GivenByDocument } from '../../core/formats/toRunDocument'
import type { TestName } from '../../core/method/method'
import { formatClock } from '../../core/quantity/format'
import { toSI, unitOf } from '../../core/quantity/units'
import { QUANTITY_KINDS, type QuantityKind } from '../../core/quantity/kinds'
import { MEASURED_QUANTITIES, type MeasuredQuantity } from '../../shared/measuredQuantity'
import { readRunDocument } from '../../shared/reduceRequest'
import type { ImportMade } from '../../shared/tableImport/imports'
import type { RowProblem } from '../../shared/tableImport/readRow'
import type { ReadRun } from '../../shared/readRun'
import { isUuid } from '../../shared/uuid'
import type { Connection } from '../database/connection'
import type { RowIds } from './makeKit'
import type { RunToStore } from './runRows'
import { DocumentKit } from './documentKit'

export interface ReadDocuments {
  good: { row: number; document: RunDocument }[]
  faults: (RowProblem & { row: number })[]
  bad: number
}

export function readDocuments(documents: readonly unknown[]): ReadDocuments {
  const read: ReadDocuments = { good: [], faults: [], bad: 0 }
  const seen = new Map<string, number>()
  for (const [i, one] of documents.entries()) {
    const document = readRunDocument(one, i)
    const twin = isUuid(document.id) ? seen.get(document.id) : undefined
    if (!('error' in document) && twin === undefined) {
      read.good.push({ row: i + 1, document })
      seen.set(document.id, i + 1)
      continue
    }
    read.bad += 1
    read.faults.push({
      row: i + 1,
      column: null,
      text: 'error' in document ? document.error : `Id: run ${twin} has the same. An id is of one run; take one out.`,
    })
  }
  return read
}

/** What each measured quantity is in the document: its value in the unit it is written in there. */
function valuesOf({ place, water, fuel }: RunDocument): [MeasuredQuantity, number | null, string][] {
  return [
    ['altitude', place.altitudeM, 'm'],
    ['stationPressure', place.stationPressureHPa, 'hPa'],
    ['seaLevelPressure', place.seaLevelPressureHPa, 'hPa'],
    ['air', place.airC, 'degC'],
    ['humidity', place.humidityPct, 'pct'],
    ['wind', place.windMS, 'mps'],
    ['windHeight', place.windHeightM, 'm'],
    ['water', water.massG, 'g'],
    ['waterStart', water.startC, 'degC'],
    ['waterLast', water.endC, 'degC'],
    ['waterEndMass', water.endMassG, 'g'],
    ['snow', water.snowG, 'g'],
    ['fuelBefore', fuel.beforeG, 'g'],
    ['fuelAfter', fuel.afterG, 'g'],
    ['fuelUsed', fuel.usedG, 'g'],
    ['fuelUsed', fuel.usedG === null ? fuel.usedMl : null, 'ml'],
    ['fuelLoad', fuel.loadG, 'g'],
    ['fuelLeftover', fuel.leftoverG, 'g'],
    ['moisture', fuel.moisturePct, 'pct'],
    ['char', fuel.charG, 'g'],
    ['scaleResolution', fuel.scaleResolutionG, 'g'],
  ]
}

function readingsOf(document: RunDocument): ReadRun {
  const measurements = valuesOf(document).flatMap(([quantity, value, unitId]) => {
    if (value === null) return []
    const unit = unitOf(unitId)
    const { dimensions }: QuantityKind = QUANTITY_KINDS[MEASURED_QUANTITIES[quantity]]
    return dimensions.includes(unit.dimension)
      ? [{ quantity, value: toSI(value, unit), typed: `${value} ${unit.label}`, unit: unitId }]
      : []
  })
  const events = document.events.map(({ kind, s, massG, waterC, setting, windMS, reason }) => ({
    kind,
    atMs: Math.round(s * 1000),
    typed: formatClock(s, Number.isInteger(s) ? 0 : 1),
    ...(massG == null ? {} : { massG }),
    ...(waterC == null ? {} : { waterC }),
    ...(setting == null ? {} : { setting }),
    ...(windMS == null ? {} : { windMS }),
    ...(reason ? { reason } : {}),
  }))
  return { measurements, events: events.sort((a, b) => a.atMs - b.atMs) }
}

/** What is not null of it. */
const said = <T extends object>(all: T) =>
  Object.fromEntries(Object.entries(all).filter(([, one]) => one !== null)) as { [K in keyof T]?: NonNullable<T[K]> }

/** What no reading here holds. */
function givenBy({
  lossWPerK,
  uncertainty,
  fuel,
  burner,
  lid,
  screen,
  water,
  container,
  instruments,
  thermometer,
}: RunDocument): GivenByDocument | null {
  const usual = Object.entries(DEFAULT_UNCERTAINTY).every(
    ([key, value]) => uncertainty[key as keyof RunDocument['uncertainty']] === value,
  )
  const given: GivenByDocument = {
    ...said({ lossWPerK, container, thermometer, scaleAccuracyG: fuel.scaleAccuracyG }),
    ...(usual ? {} : { uncertainty }),
    ...(water.by === 'weighed' ? {} : { waterBy: water.by }),
    ...(Object.values(instruments).every((one) => one === null) ? {} : { instruments }),
    ...(burner.kind === null ? { burner } : {}),
    ...(lid === null ? { lid } : {}),
    ...(screen === null ? { screen } : {}),
  }
  return Object.keys(given).length === 0 ? null : given
}

export interface DocumentOptions {
  startedAt: string
  zone: string
  personId: string
  source: string
}

export async function documentsToStore(
  tx: Connection,
  read: ReadDocuments,
  { startedAt, zone, personId, source }: DocumentOptions,
): Promise<{ made: ImportMade; runs: RunToStore[] }> {
  const kit = new DocumentKit(tx, source)
  const runs: RunToStore[] = []
  for (const { row, document } of read.good) {
    const ids: RowIds = {
      setupVersionId: await kit.setupOf(document),
      fuelBatchId: await kit.fuelOf(document),
      placeVersionId: null,
      personId,
      methodVersionId: null,
    }
    runs.push(runOf(document, { row, ids, startedAt, zone }))
  }
  return { made: kit.made, runs }
}

function runOf(document: RunDocument, of: Pick<RunToStore, 'row' | 'ids' | 'startedAt' | 'zone'>): RunToStore {
  const hasId = isUuid(document.id)
  return {
    ...of,
    id: hasId ? document.id : null,
    test: document.kind satisfies TestName,
    setting: document.setting,
    breakIn: false,
    notes: hasId ? '' : document.id,
    tags: [],
    origin: document.origin,
    targetC: null,
    stoppedReason: '',
    read: readingsOf(document),
    trace: document.trace,
    scaleTrace: document.scaleTrace,
    given: givenBy(document),
    decisions: [
      ...(document.boilBy === null ? [] : [{ question: 'boil', answer: document.boilBy }]),
      ...(document.fuel.burnOutShare ? [{ question: 'fuelToBoil', answer: 'shareOfBurnTime' }] : []),
    ],
  }
}
