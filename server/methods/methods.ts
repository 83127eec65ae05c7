/** Methods: those that ship, and testers' own; versions are kept, since runs keep theirs. */
import { v5 as uuidv5, v7 as uuidv7 } from 'uuid'
import { SHIPPED } from '../../core/method/shipped'
import { TESTS, type MethodBody, type TestName } from '../../core/method/method'
import type { MethodLine, MethodPage, TypedMethod } from '../../shared/method'
import { fieldsOfMethod, methodFrom } from '../../shared/methodBody'
import { METHOD_FIELDS } from '../../shared/methodFields'
import { readRecord } from '../../shared/record'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { hashOf } from '../database/hash'
import { inUse, invalid, invalidAt, type Outcome } from '../kit/outcome'
import { keepMethodRow, methodRow } from '../kit/repository/heads'
import { runsWhere } from '../kit/repository/runRefs'
import { deleteRecord, retiredSince, saveRecord, usedBy } from '../kit/saveRecord'
import { recomputeWhere } from '../runs/recompute'
import {
  byMethod,
  copiesOf,
  insertMethodVersion,
  insertShipped,
  methodRows,
  removeMethod,
  runsByMethod,
  runsByVersion,
  versionsOfMethod,
  type MethodRow,
  type MethodVersionRow,
} from './repository/methods'
import { schoolFigures } from './schoolFigures'

/** Shipped methods have the same ids on every bench. */
const NAMESPACE = '5b0f2b3e-7c0a-5d7e-9a55-3d6c3b1f7a10'
export const shippedId = (test: TestName): string => uuidv5(test, NAMESPACE)

/** Puts the shipped methods in, and a new version of any that this version of Vulcanum words or counts otherwise. */
export async function ensureShippedMethods(db: Database): Promise<void> {
  await db.transaction(async (tx) => {
    for (const test of TESTS) {
      const { name, body } = SHIPPED[test]
      const id = shippedId(test)
      await insertShipped(tx, { id, name, shippedKey: test })
      const [last] = await versionsOfMethod(tx, id)
      if (last?.bodyHash !== hashOf(body))
        await insertMethodVersion(tx, {
          id: uuidv7(),
          methodId: id,
          n: (last?.n ?? 0) + 1,
          body,
          bodyHash: hashOf(body),
          reason: last === undefined ? '' : 'A newer version of Vulcanum',
        })
    }
  })
}

interface Standing {
  row: MethodRow
  version: MethodVersionRow
  record: TypedMethod
}

async function recordOf(db: Connection, id: string, lock = false): Promise<Standing | null> {
  const row = await methodRow(db, id, lock)
  if (row === null) return null
  const [version] = await versionsOfMethod(db, id)
  return {
    row,
    version: version!,
    record: {
      id,
      revision: row.revision,
      units: 'metric',
      personId: null,
      reason: '',
      copiedFromId: row.copiedFromId,
      fields: fieldsOfMethod(row.name, version!.body, row.retiredAt !== null),
    },
  }
}

/** Shipped ones first, in the order of the trade; then testers' own, by name. */
export async function listMethods(db: Connection): Promise<MethodLine[]> {
  const rows = await methodRows(db)
  const uses = await runsByMethod(db)
  const lines = rows.map(({ method: row, version }): MethodLine => ({
    id: row.id,
    name: row.name,
    test: version.body.test,
    shipped: row.shippedKey !== null,
    n: version.n,
    retired: row.retiredAt !== null,
    runs: uses.get(row.id) ?? 0,
    why: version.body.why,
    body: version.body,
    copiedFrom: rows.find((one) => one.method.id === row.copiedFromId)?.method.name ?? null,
  }))
  return lines.sort(
    (a, b) =>
      Number(b.shipped) - Number(a.shipped) ||
      (a.shipped ? TESTS.indexOf(a.test) - TESTS.indexOf(b.test) : a.name.localeCompare(b.name)),
  )
}

export async function findMethod(db: Connection, id: string): Promise<MethodPage | null> {
  const found = await recordOf(db, id)
  const line = (await listMethods(db)).find((one) => one.id === id)
  if (found === null || line === undefined) return null
  const versions = await versionsOfMethod(db, id)
  const uses = await runsByVersion(
    db,
    versions.map((version) => version.id),
  )
  const from = found.row.copiedFromId === null ? null : await methodRow(db, found.row.copiedFromId)
  return {
    record: found.record,
    line,
    copiedFrom: from === null ? null : { id: from.id, name: from.name },
    use: await runsWhere(db, byMethod(db, id)),
    figures: await schoolFigures(db, id, found.version.body),
    versions: versions.map(({ id: versionId, n, reason, createdAt, body }) => ({
      n,
      reason,
      createdAt: createdAt.toISOString(),
      body,
      runs: uses.get(versionId) ?? 0,
    })),
  }
}

const METHOD = { what: 'method', standing: recordOf, page: findMethod }

/** Saves a copy, or an edit of one. What ships is not edited: it is copied. */
export async function saveMethod(db: Connection, input: unknown): Promise<Outcome<MethodPage>> {
  const read = readRecord(METHOD_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  const problem =
    windowProblem(values.startLow, values.startHigh, 'startHigh', 'Start to') ??
    windowProblem(values.windLow, values.windHigh, 'windHigh', 'Wind to')
  if (problem !== null) return problem
  return saveRecord(db, METHOD, { typed }, async (tx, standing) => {
    if (standing?.row.shippedKey)
      return invalidAt('', 'This method ships with Vulcanum and is not changed. Copy it, and change the copy.')
    const asked = (input as Partial<TypedMethod>).copiedFromId ?? ''
    const copiedFromId = standing === null ? asked : standing.row.copiedFromId
    const from = standing ?? (isUuid(asked) && asked !== typed.id ? await recordOf(tx, asked) : null)
    if (from === null)
      return invalidAt('copiedFromId', 'A new method begins as a copy of another. Open one and copy it.')
    const head = { name: values.name as string, copiedFromId, retiredAt: retiredSince(values, standing) }
    await keepMethodRow(tx, { id: typed.id, standing }, head)
    if (standing !== null && standing.row.name !== head.name) await recomputeWhere(tx, byMethod(tx, typed.id))
    const body = methodFrom(from.version.body.test, values)
    await addVersion(tx, typed.id, { body, standing, reason: typed.reason })
  })
}

async function addVersion(
  db: Connection,
  methodId: string,
  { body, standing, reason }: { body: MethodBody; standing: Standing | null; reason: string },
): Promise<void> {
  const bodyHash = hashOf(body)
  if (standing?.version.bodyHash !== bodyHash)
    await insertMethodVersion(db, {
      id: uuidv7(),
      methodId,
      n: (standing?.version.n ?? 0) + 1,
      body,
      bodyHash,
      reason,
    })
}

function windowProblem(low: unknown, high: unknown, key: string, label: string) {
  return typeof low === 'number' && typeof high === 'number' && high < low
    ? invalidAt(`fields.${key}`, `${label}: it is below where the window begins. Swapped?`)
    : null
}

export function deleteMethod(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, METHOD, id, async (tx, { row: { name, shippedKey } }) => {
    if (shippedKey) return inUse('This method ships with Vulcanum. It can be left unused, not deleted.')
    const use = usedBy(
      await runsWhere(tx, byMethod(tx, id)),
      (runs) => `${name} was followed in ${runs}, and a run keeps its method`,
    )
    if (use) return use
    const copies = await copiesOf(tx, id)
    if (copies.length > 0)
      return inUse(
        `${copies.map((one) => one.name).join(', ')} is a copy of ${name}. Delete that first, or retire this one.`,
      )
    await removeMethod(tx, id)
  })
}
