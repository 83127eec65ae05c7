/** A study as its page shows it. */
import { boilingPointAt } from '../../core/air/pressureOf'
import { fuelOfKind } from '../../core/constants/fuels'
import type { MethodBody } from '../../core/method/method'
import { willDiffer } from '../../core/plan/willDiffer'
import { studySentence } from '../../core/plan/words'
import { blocksNeeded, shownByBlocks } from '../../core/statistics/power'
import type { BatchLine } from '../../shared/kitRecords'
import type { PlannedArm, PlannedLine, StudyLine, StudyPage } from '../../shared/plan'
import { byKey } from '../database/byKey'
import type { Connection } from '../database/connection'
import { listContainers } from '../kit/containers'
import { listBatches } from '../kit/fuels'
import { listPlaces } from '../kit/places'
import { listPeople } from '../kit/repository/people'
import { partLines } from '../kit/repository/setups'
import { listMethods } from '../methods/methods'
import { plannedFacts, type ArmFacts } from './planned'
import {
  armRows,
  armsOfStudies,
  burnedFor,
  changeRows,
  countsOfStudies,
  plannedRows,
  studyRow,
  studyRows,
  type ArmLine,
  type PlannedRow,
  type StudyRow,
} from './repository/studies'

/** The curve is shown up to so many of each. */
const CURVE = [2, 3, 4, 5, 6, 8, 10, 12, 16, 20, 30]

export async function listStudies(db: Connection): Promise<StudyLine[]> {
  const rows = await studyRows(db)
  const arms = byKey(await armsOfStudies(db), ({ studyId }) => studyId)
  const parts = await partLines(
    db,
    [...arms.values()].flat().map(({ setupVersionId }) => setupVersionId),
  )
  const counts = await countsOfStudies(db)
  return rows.map((row) => {
    const named = (arms.get(row.id) ?? []).map((arm) => ({
      name: arm.name,
      parts: parts.get(arm.setupVersionId) ?? [],
    }))
    return {
      id: row.id,
      sentence: studySentence(named, row.levels, row.difference),
      state: row.state,
      ...(counts.get(row.id) ?? { runs: 0, burned: 0 }),
      firstDay: row.days.days[0]!.day,
    }
  })
}

/** Null: there is none. */
export async function studyPage(db: Connection, id: string): Promise<StudyPage | null> {
  const row = await studyRow(db, id)
  if (row === null) return null
  const { arms, facts, sentence } = await armsOf(db, row)
  const held = await heldOf(db, row)
  const planned = await plannedRows(db, id)
  const burned = await burnedFor(db, id)
  const asked = { ...held, held: row.held, levels: row.levels, cooledInWater: row.days.cooledInWater }
  const known = await plannedFacts(db, facts, asked)
  const runs = planned.map((one) => lineOf(one, burned))
  const { kind, state, revision, levels, difference, replicates, seed, days } = row
  return {
    ...{ id, revision, kind, state, sentence, arms, levels, difference, replicates, seed, days, runs },
    ...(await namesOf(db, row)),
    held: held.shown,
    lengths: known.lengths,
    waits: known.waits,
    scatter: known.scatter,
    curve: CURVE.map((n) => ({ n, shows: shownByBlocks(n, known.scatter.sd) })),
    needed: blocksNeeded(known.scatter.sd, difference),
    differs: differsOf(runs, arms, kind),
    fuelKg: fuelFor(runs, known.lengths),
    waterKg: runs.reduce((sum, run) => sum + waterOf(run, row), 0),
  }
}

async function namesOf(
  db: Connection,
  { id, days }: StudyRow,
): Promise<Pick<StudyPage, 'people' | 'containers' | 'changes'>> {
  const containers = (await listContainers(db)).filter((one) => days.containerIds.includes(one.id))
  return {
    people: await listPeople(db),
    containers: containers.map((one) => ({ id: one.id, name: one.name })),
    changes: (await changeRows(db, id)).map(({ at, ...change }) => ({ ...change, at: at.toISOString() })),
  }
}

const differsOf = (runs: readonly PlannedLine[], arms: readonly PlannedArm[], kind: StudyPage['kind']) =>
  willDiffer(
    runs.map((one) => ({ ...one, stationId: one.station })),
    arms.map(({ id }) => id),
    { ofPeople: kind === 'ring' },
  )

const lineOf = (one: PlannedRow, burned: ReadonlyMap<string, string>): PlannedLine => ({
  id: one.id,
  armId: one.armId,
  levelId: one.levelId,
  block: one.n,
  station: one.station,
  personId: one.personId,
  containerId: one.containerId,
  runId: burned.get(one.id) ?? null,
})

function waterOf({ levelId }: PlannedLine, { levels, held }: StudyRow): number {
  const level = levels.find(({ id }) => id === levelId)
  return level?.of === 'volume' ? level.waterKg : held.waterKg
}

function fuelFor(runs: readonly PlannedLine[], lengths: StudyPage['lengths']): number | null {
  let sum = 0
  for (const run of runs) {
    const one = lengths.find(({ armId, levelId }) => armId === run.armId && levelId === run.levelId)
    if (one === undefined || one.fuelKg === null) return null
    sum += one.fuelKg
  }
  return sum
}

async function armsOf(
  db: Connection,
  row: StudyRow,
): Promise<{ arms: PlannedArm[]; facts: ArmFacts[]; sentence: string }> {
  const rows = await armRows(db, row.id)
  const parts = await partLines(
    db,
    rows.map(({ setupVersionId }) => setupVersionId),
  )
  const facts = rows.map(({ id, setupVersionId }) => ({ id, setupVersionId, parts: parts.get(setupVersionId) ?? [] }))
  const named = rows.map(({ name }, i) => ({ name, parts: facts[i]!.parts }))
  return {
    facts,
    sentence: studySentence(named, row.levels, row.difference),
    arms: rows.map((one, i) => plannedArm(one, facts[i]!)),
  }
}

function plannedArm({ id, letter, setupId, setupVersionId, name }: ArmLine, { parts }: ArmFacts): PlannedArm {
  const thingOf = (role: string) => {
    const part = parts.find((one) => one.role === role)
    return part === undefined ? null : { id: part.thingId, name: part.name }
  }
  return { id, letter, setupId, setupVersionId, name, burner: thingOf('burner')!, pot: thingOf('pot') }
}

async function heldOf(
  db: Connection,
  { held }: StudyRow,
): Promise<{ shown: StudyPage['held']; body: MethodBody; boilC: number }> {
  const [methods, batches, places] = [await listMethods(db), await listBatches(db), await listPlaces(db)]
  const method = methods.find(({ id }) => id === held.methodId)!
  const batch = batches.find(({ id }) => id === held.fuelBatchId)
  const place = places.find(({ id }) => id === held.placeId)
  const nothingRead = { altitudeM: null, stationPressurePa: null, seaLevelPressurePa: null, airC: null }
  return {
    body: method.body,
    boilC: boilingPointAt(nothingRead, place ?? null) ?? 100,
    shown: {
      ...held,
      method: method.name,
      ...fuelShown(batch),
      place: place?.name ?? '',
      zone: place?.zone ?? 'UTC',
    },
  }
}

const fuelShown = (batch: BatchLine | undefined): Pick<StudyPage['held'], 'fuel' | 'fuelKind' | 'fuelForm'> =>
  batch === undefined
    ? { fuel: '', fuelKind: null, fuelForm: null }
    : {
        fuel: `${batch.fuel}, ${batch.batch}`,
        fuelKind: batch.kind,
        fuelForm: fuelOfKind(batch.kind)?.form ?? null,
      }
