/** Records of the kit as their pages read them. */
import type { InstrumentCheck } from '../core/kit/instrumentCorrection'
import type { SetupWarning } from '../core/kit/setupWarnings'
import type { PhotoMeta } from './photo'
import type { RunRef, TypedRecord } from './record'
import type { PartRole, ThingKind, ThingProperties } from './thing'

export interface ThingLine {
  id: string
  kind: ThingKind
  name: string
  description: string
  n: number
  versionId: string
  properties: ThingProperties
  retired: boolean
  runs: number
  /** Instruments: what was checked last; days overdue. */
  lastCheckDays: number | null
  overdueDays: number | null
}

export interface PriceLine {
  id: string
  fromDay: string
  amount: number
  currency: string
  forKg: number | null
}
export interface CheckLine extends InstrumentCheck {
  id: string
  typed: string
  truthTyped: string
  note: string
  withdrawn: boolean
  person: string | null
}

export interface ThingPage {
  record: TypedRecord
  kind: ThingKind
  retired: boolean
  madeFrom: { id: string; name: string } | null
  versions: { id: string; n: number; properties: ThingProperties; reason: string; createdAt: string; runs: number }[]
  prices: PriceLine[]
  setups: { id: string; name: string }[]
  use: { count: number; runs: RunRef[] }
  checks: CheckLine[]
  photos: PhotoMeta[]
}

export interface SetupPartLine {
  role: PartRole
  thingId: string
  versionId: string
  n: number
  newestN: number
  newestVersionId: string
  name: string
  properties: ThingProperties
}

export interface SetupVersionLine {
  id: string
  n: number
  gapM: number | null
  parts: SetupPartLine[]
  reason: string
  createdAt: string
  runs: number
  /** Overridden warnings, with the reason. */
  decisions: { warning: string; reason: string; person: string | null; at: string }[]
  massKg: { total: number; unweighed: string[] }
  warnings: SetupWarning[]
}

/**
 * A set-up as it is sent: beside its fields a thing version per role, and a reason for each warning that was
 * overridden.
 */
export interface TypedSetup extends TypedRecord {
  parts: Partial<Record<PartRole, string>>
  overrides: Record<string, string>
}
export interface SetupPage {
  record: TypedSetup
  retired: boolean
  /** Newest first. */
  versions: SetupVersionLine[]
  use: { count: number; runs: RunRef[] }
  photos: PhotoMeta[]
}
export interface SetupLine {
  id: string
  name: string
  description: string
  retired: boolean
  runs: number
  version: SetupVersionLine
}

interface AmendmentLine {
  field: string
  was: string
  now: string
  reason: string
  person: string | null
  at: string
}
export interface BatchLine {
  id: string
  fuel: string
  kind: string
  batch: string
  openedOn: string | null
  storage: string
  retired: boolean
  runs: number
  price: PriceLine | null
}
export interface BatchPage {
  record: TypedRecord
  kind: string
  prices: PriceLine[]
  amendments: AmendmentLine[]
  containers: { id: string; name: string }[]
  use: { count: number; runs: RunRef[] }
}

export interface ContainerLine {
  id: string
  name: string
  fuel: string
  batch: string
  batchId: string
  retired: boolean
  fillKg: number | null
  fullKg: number | null
  boils: { about: number; from: number; to: number; n: number } | null
  runs: number
}
interface ContainerLedgerLine {
  at: string
  what: 'full' | 'weighed' | 'filled' | 'empty' | 'run'
  typed: string
  massKg: number | null
  usedKg: number | null
  fillKg: number | null
  unexplainedKg: number | null
  runId: string | null
  setup: string | null
  note: string
  person: string | null
}
export interface ContainerPage {
  record: TypedRecord
  line: ContainerLine
  tareKg: number | null
  tareFrom: 'given' | 'empty' | 'full' | null
  ledger: ContainerLedgerLine[]
  use: { count: number; runs: RunRef[] }
}

export interface PlaceLine {
  id: string
  name: string
  zone: string
  n: number
  createdAt: string
  altitudeM: number | null
  stationPressurePa: number | null
  seaLevelPressurePa: number | null
  windHeightM: number | null
  runs: number
}
export interface PlacePage {
  record: TypedRecord
  line: PlaceLine
  versions: PlaceLine[]
  use: { count: number; runs: RunRef[] }
}
