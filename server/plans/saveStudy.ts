/** A study is made, and changed. */
import { v7 as uuidv7 } from 'uuid'
import { kindOfStudy } from '../../core/plan/words'
import { readStudy, type StudyPage, type TypedStudy } from '../../shared/plan'
import type { FieldProblem } from '../../shared/readProblems'
import type { Connection } from '../database/connection'
import { invalid, invalidAt, type Outcome } from '../kit/outcome'
import { listContainers } from '../kit/containers'
import { listBatches } from '../kit/fuels'
import { listPlaces } from '../kit/places'
import { listPeople } from '../kit/repository/people'
import { listSetups } from '../kit/setups'
import { listMethods } from '../methods/methods'
import { drawAnew } from './drawStudy'
import { noteChange, pageOf, seenBefore } from './orderStudy'
import {
  armRows,
  burnedFor,
  insertArms,
  insertStudy,
  lockStudy,
  plannedRows,
  removeArms,
  removePlanned,
  updateStudy,
  type StudyRow,
} from './repository/studies'

const LETTERS = 'ABCDEFGHIJKL'
const FIRST_SEED = 1

/** Makes one, or changes one whose revision was seen; the same id again is one study. */
export async function saveStudy(db: Connection, input: unknown): Promise<Outcome<StudyPage>> {
  const read = readStudy(input)
  if (!read.ok) return invalid(read.problems)
  const typed = read.value
  const versions = await versionsOf(db, typed.setupIds)
  if (typeof versions === 'string') return invalidAt('setupIds', versions)
  const gone = await goneFrom(db, typed)
  if (gone !== null) return invalid([gone])
  const refused = await db.transaction(async (tx) => {
    const standing = await lockStudy(tx, typed.id)
    if (standing === null) return makeStudy(tx, typed, versions)
    if (standing.revision !== typed.revision) return seenBefore()
    const why = await changeStudy(tx, standing, typed, versions)
    return why === null ? null : invalidAt('setupIds', why)
  })
  return refused ?? pageOf(db, typed.id)
}
/** What of the kit, or who, is not there any more; null: all is. */
async function goneFrom(db: Connection, { personId, held, days }: TypedStudy): Promise<FieldProblem | null> {
  const people = (await listPeople(db)).map(({ id }) => id)
  const asked: [path: string, what: string, ids: readonly string[], there: readonly { id: string }[]][] = [
    ['held.methodId', 'Method', [held.methodId], await listMethods(db)],
    ['held.fuelBatchId', 'Fuel', [held.fuelBatchId], await listBatches(db)],
    ['held.placeId', 'Place', [held.placeId], await listPlaces(db)],
    ['days.containerIds', 'Container', days.containerIds, await listContainers(db)],
  ]
  for (const [path, what, ids, there] of asked)
    if (ids.some((id) => there.every((one) => one.id !== id)))
      return { path, text: `${what}: this one is gone. Choose another.` }
  const who = [...days.people.map(({ id }) => id), ...(personId === null ? [] : [personId])]
  return who.every((id) => people.includes(id))
    ? null
    : { path: 'days.people', text: 'People: one of them is gone. Choose another.' }
}

/** The newest versions of set-ups, in their order; or which of them cannot be burned. */
async function versionsOf(db: Connection, setupIds: readonly string[]): Promise<string[] | string> {
  const setups = new Map((await listSetups(db)).map((one) => [one.id, one]))
  const versions: string[] = []
  for (const id of setupIds) {
    const one = setups.get(id)
    if (one === undefined) return 'Set-up: one of these is gone. Choose another.'
    if (one.retired) return `${one.name} is retired. Choose another, or take it out of retirement on its page.`
    versions.push(one.version.id)
  }
  return versions
}

async function makeStudy(tx: Connection, typed: TypedStudy, versions: readonly string[]): Promise<null> {
  await insertStudy(tx, { id: typed.id, seed: FIRST_SEED, personId: typed.personId, ...columnsOf(typed) })
  await insertArms(tx, armsOf(typed.id, versions))
  await drawAnew(tx, typed, FIRST_SEED, [])
  return null
}

const columnsOf = ({ setupIds, held, levels, difference, replicates, days }: TypedStudy) => ({
  kind: kindOfStudy(setupIds.length, levels),
  held,
  levels,
  difference,
  replicates,
  days,
})
const armsOf = (studyId: string, versions: readonly string[]) =>
  versions.map((setupVersionId, i) => ({ id: uuidv7(), studyId, letter: LETTERS[i]!, setupVersionId }))

/** @returns why it may not be changed so; null: it was */
async function changeStudy(
  tx: Connection,
  standing: StudyRow,
  typed: TypedStudy,
  versions: readonly string[],
): Promise<string | null> {
  const arms = await armRows(tx, typed.id)
  const burned = await burnedFor(tx, typed.id)
  const isOther = arms.map(({ setupVersionId }) => setupVersionId).join() !== versions.join()
  if (isOther && burned.size > 0)
    return 'Runs of this study were burned: what it compares stays. Plan another study for other set-ups.'
  const planned = await plannedRows(tx, typed.id)
  if (isOther) {
    await removePlanned(
      tx,
      typed.id,
      planned.map(({ id }) => id),
    )
    await removeArms(tx, typed.id)
    await insertArms(tx, armsOf(typed.id, versions))
  }
  await updateStudy(tx, typed.id, { ...columnsOf(typed), revision: standing.revision + 1 })
  if (!isOther && isDrawnAlike(standing, typed)) return null
  await drawAnew(tx, typed, standing.seed, isOther ? [] : planned.filter(({ id }) => burned.has(id)))
  if (standing.replicates !== typed.replicates)
    await noteChange(tx, typed, `${standing.replicates} runs of each became ${typed.replicates}.`)
  return null
}

/** Nothing that its order and its turns were drawn by is another. */
function isDrawnAlike(standing: StudyRow, typed: TypedStudy): boolean {
  const drawnBy = ({ levels, replicates, days }: Pick<StudyRow, 'levels' | 'replicates' | 'days'>) => {
    const { people, peopleBy, stations, stationsBy, containerIds } = days
    return JSON.stringify([
      levels,
      replicates,
      people.map(({ id }) => id),
      peopleBy,
      stations,
      stationsBy,
      containerIds,
    ])
  }
  return drawnBy(standing) === drawnBy(typed)
}
