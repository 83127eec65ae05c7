/**
 * Runs of the contract's document, as runs to store: readings and marks as they stand there, the kit found by what it
 * is or made of what is said.
 */
import { v7 as uuidv7 } from 'uuid'
import { fuelOfKind, FUELS } from '../../core/constants/fuels'
import { BURNER_KINDS, DEFAULT_UNCERTAINTY, type RunDocument } from '../../core/formats/document'
import type { GivenByDocument } from '../../core/formats/toRunDocument'
import { burnerFuelMismatch } from '../../core/kit/burnerFuel'
import { setupWarnings } from '../../core/kit/setupWarnings'
import type { TestName } from '../../core/method/method'
import { formatClock } from '../../core/quantity/format'
import { toSI, unitOf } from '../../core/quantity/units'
import { QUANTITY_KINDS, type QuantityKind } from '../../core/quantity/kinds'
import { MEASURED_QUANTITIES, type MeasuredQuantity } from '../../shared/measuredQuantity'
import { readRunDocument } from '../../shared/reduceRequest'
import type { ImportMade } from '../../shared/tableImport/imports'
import type { RowProblem } from '../../shared/tableImport/readRow'
import type { ReadRun } from '../../shared/typedRun'
import { isUuid } from '../../shared/uuid'
import type { BurnerProperties, PotProperties, ScreenProperties } from '../../shared/thing'
import { hashOf } from '../database/hash'
import type { Connection } from '../database/connection'
import { saveBatch } from '../kit/fuels'
import { findSetup, listSetups, saveSetup } from '../kit/setups'
import { saveThing } from '../kit/things'
import { made, newRecord } from '../runs/burnOne'
import { kitByName } from './kitNames'
import { nothingMade, type RowIds } from './makeKit'
import type { RunToStore } from './storeRuns'

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
  const events = document.events.map(({ kind, s, massG, waterC, reason }) => ({
    kind,
    atMs: Math.round(s * 1000),
    typed: formatClock(s, Number.isInteger(s) ? 0 : 1),
    ...(massG == null ? {} : { massG }),
    ...(waterC == null ? {} : { waterC }),
    ...(reason ? { reason } : {}),
  }))
  return { measurements, events: events.sort((a, b) => a.atMs - b.atMs) }
}

/** What no reading here holds. */
function givenBy({ lossWPerK, uncertainty, fuel, burner, lid, screen }: RunDocument): GivenByDocument | null {
  const usual = Object.entries(DEFAULT_UNCERTAINTY).every(
    ([key, value]) => uncertainty[key as keyof RunDocument['uncertainty']] === value,
  )
  const given: GivenByDocument = {
    ...(lossWPerK === null ? {} : { lossWPerK }),
    ...(usual ? {} : { uncertainty }),
    ...(fuel.scaleAccuracyG === null ? {} : { scaleAccuracyG: fuel.scaleAccuracyG }),
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
    runs.push({
      id: isUuid(document.id) ? document.id : null,
      row,
      ids,
      startedAt,
      zone,
      test: document.kind satisfies TestName,
      setting: document.setting,
      breakIn: false,
      notes: isUuid(document.id) ? '' : document.id,
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
    })
  }
  return { made: kit.made, runs }
}

/** Set-ups and batches by what documents say of them; one is made where none here is alike. */
class DocumentKit {
  readonly made: ImportMade = nothingMade()
  #setups = new Map<string, string>()
  #batches = new Map<string, string>()
  #listed: Awaited<ReturnType<typeof listSetups>> | null = null
  #kit: Awaited<ReturnType<typeof kitByName>> | null = null

  constructor(
    private readonly tx: Connection,
    private readonly source: string,
  ) {}

  async setupOf(document: RunDocument): Promise<string> {
    const wanted = kitOf(document)
    const name = (document.setup ?? 'set-up without a name').trim()
    const key = hashOf({ name, wanted })
    const known = this.#setups.get(key)
    if (known) return known
    this.#listed ??= await listSetups(this.tx)
    const alike = this.#listed.filter((one) => one.name === name)
    const same = alike.find((one) => hashOf(kitOfParts(one.version.parts)) === hashOf(wanted))
    const versionId =
      same?.version.id ?? (await this.#makeSetup(alike.length === 0 ? name : `${name} (${alike.length + 1})`, wanted))
    this.#setups.set(key, versionId)
    return versionId
  }

  async #makeSetup(name: string, { burner, pot, lid, screen }: Wanted): Promise<string> {
    const part = async (kind: string, what: string, fields: Record<string, string | boolean>) => {
      const thing = made(
        await saveThing(this.tx, { ...newRecord({ name: `${what} of ${name}`.slice(0, 120), ...fields }), kind }),
      )
      this.made.things.push(thing.record.id)
      return thing.versions[0]!.id
    }
    const parts: Record<string, string> = {
      burner: await part('burner', 'Burner', { burner: burner.burner, head: burner.head ?? '' }),
    }
    if (pot)
      parts.pot = await part('pot', 'Pot', {
        material: pot.material ?? '',
        massKg: pot.massKg === null ? '' : `${Number((pot.massKg * 1000).toPrecision(12))} g`,
        diameterM: pot.diameterM === null ? '' : `${Number((pot.diameterM * 1000).toPrecision(12))} mm`,
        finned: pot.finned,
      })
    if (lid) parts.lid = await part('lid', 'Lid', {})
    if (screen !== 'none') parts.screen = await part('screen', 'Windscreen', { form: screen })
    const warnings = setupWarnings({
      burner: { kind: burner.burner, supportM: null },
      pot: pot ? { diameterM: pot.diameterM } : null,
      stand: null,
      screened: screen !== 'none',
    })
    const id = uuidv7()
    made(
      await saveSetup(this.tx, {
        ...newRecord({ name: name.slice(0, 120) }),
        id,
        parts,
        overrides: Object.fromEntries(warnings.map((warning) => [warning.code, `As it came in with ${this.source}`])),
      }),
    )
    this.made.setups.push(id)
    this.#listed = null
    return (await findSetup(this.tx, id))!.versions[0]!.id
  }

  async fuelOf({ fuel }: RunDocument): Promise<string> {
    const kind = fuel.kind ?? 'isobutane-propane'
    const builtIn = fuelOfKind(kind)!
    const lhv =
      fuel.lhvMJPerKg !== null && Math.abs(fuel.lhvMJPerKg - builtIn.lowerHeatingValue.value) > 1e-9
        ? fuel.lhvMJPerKg
        : null
    const key = `${kind} ${lhv ?? ''} ${fuel.densityGPerMl ?? ''}`
    const known = this.#batches.get(key)
    if (known) return known
    this.#kit ??= await kitByName(this.tx)
    const plain =
      lhv === null && fuel.densityGPerMl === null ? this.#kit.fuel.find((one) => one.is.kind === kind) : undefined
    const id =
      plain?.id ??
      made(
        await saveBatch(
          this.tx,
          newRecord({
            kind,
            fuel: FUELS[kind]!.name,
            batch: lhv === null ? 'brought in' : `brought in, ${lhv} MJ/kg`,
            lhvJPerKg: lhv === null ? '' : String(lhv),
            densityKgPerM3: fuel.densityGPerMl === null ? '' : String(fuel.densityGPerMl),
            source: lhv === null && fuel.densityGPerMl === null ? '' : `Given by ${this.source}`,
          }),
        ),
      ).record.id
    if (!plain) this.made.batches.push(id)
    this.#batches.set(key, id)
    return id
  }
}

interface Wanted {
  burner: { burner: BurnerProperties['burner']; head: BurnerProperties['head'] }
  pot: Pick<PotProperties, 'massKg' | 'material' | 'diameterM' | 'finned'> | null
  lid: boolean
  screen: 'none' | ScreenProperties['form']
}
const plain = (value: number | null | undefined, factor: number) =>
  value == null ? null : Number((value * factor).toPrecision(9))

/** A burner has a kind here; where none was given, one that burns this fuel, and the run's document keeps it open. */
const kindFor = (fuel: string | null) =>
  BURNER_KINDS.find((kind) => fuel === null || burnerFuelMismatch(kind, fuel) === null) ?? BURNER_KINDS[0]

function kitOf({ burner, pot, lid, screen, fuel }: RunDocument): Wanted {
  const hasPot = pot.massG !== null || pot.material !== null || pot.diameterMm !== null || pot.finned !== null
  return {
    burner: { burner: burner.kind ?? kindFor(fuel.kind), head: burner.head },
    pot: hasPot
      ? {
          massKg: plain(pot.massG, 0.001),
          material: pot.material,
          diameterM: plain(pot.diameterMm, 0.001),
          finned: pot.finned ?? false,
        }
      : null,
    lid: lid ?? false,
    screen: screen ?? 'none',
  }
}
function kitOfParts(parts: readonly { role: string; properties: unknown }[]): Wanted {
  const of = <T>(role: string) => (parts.find((part) => part.role === role)?.properties ?? null) as T | null
  const burner = of<BurnerProperties>('burner')
  const pot = of<PotProperties>('pot')
  return {
    burner: { burner: burner?.burner ?? 'canister-top', head: burner?.head ?? null },
    pot:
      pot === null
        ? null
        : {
            massKg: plain(pot.massKg, 1),
            material: pot.material,
            diameterM: plain(pot.diameterM, 1),
            finned: pot.finned,
          },
    lid: of('lid') !== null,
    screen: of<ScreenProperties>('screen')?.form ?? 'none',
  }
}
