/** Names in somebody's table, found in the kit by what they say, by what was chosen for them, or to be made. */
import type { PressureFacts } from '../../core/air/pressureOf'
import type { BurnerKind } from '../../core/formats/document'
import { burnerFuelMismatch } from '../../core/kit/burnerFuel'
import { FUELS } from '../../core/constants/fuels'
import type { MethodBody } from '../../core/method/method'
import type { NameChoice, TableMapping } from '../../shared/tableImport/mapping'
import type { NameTarget } from '../../shared/tableImport/targets'
import type { Connection } from '../database/connection'
import { batchRows } from '../kit/repository/batches'
import { listPeople } from '../kit/repository/people'
import { placeRows } from '../kit/repository/places'
import { burnersOfVersions, setupRows } from '../kit/repository/setups'
import { methodRows } from '../methods/repository/methods'

/** `key`: its id, or of what is still to be made a word of its own. */
export interface Named<T> {
  key: string
  make: { name: string; choice: NameChoice } | null
  is: T | null
}
export interface KnownSetup {
  versionId: string
  burner: BurnerKind | null
}
export interface KnownPlace {
  versionId: string
  pressure: PressureFacts
}
export interface KnownMethod {
  versionId: string
  body: MethodBody
}
export interface KnownFuel {
  kind: string
}
interface Listed<T> {
  id: string
  names: string[]
  is: T
}
/** By name in small letters, made once for a list: ten thousand rows ask. */
const indexes = new WeakMap<readonly Listed<unknown>[], Map<string, Listed<unknown>[]>>()
function named<T>(listed: readonly Listed<T>[], name: string): Listed<T>[] {
  let index = indexes.get(listed)
  if (!index) {
    index = new Map()
    for (const one of listed)
      for (const each of new Set(one.names.map(low))) index.set(each, [...(index.get(each) ?? []), one])
    indexes.set(listed, index)
  }
  return (index.get(low(name)) ?? []) as Listed<T>[]
}
export interface Kit {
  setup: Listed<KnownSetup>[]
  place: Listed<KnownPlace>[]
  fuel: Listed<KnownFuel>[]
  person: Listed<null>[]
  method: Listed<KnownMethod>[]
}

const low = (name: string) => name.trim().toLowerCase()

/** Everything with a name, newest versions; what was retired is not found by its name. */
export async function kitByName(db: Connection): Promise<Kit> {
  const burners = await burnersOfVersions(db)
  const setups = (await setupRows(db)).filter((one) => one.setup.retiredAt === null)
  const batches = (await batchRows(db))
    .filter((one) => one.batch.retiredAt === null)
    // Of two that a name may mean, the older.
    .sort((one, other) => one.batch.createdAt.getTime() - other.batch.createdAt.getTime())
  const methods = (await methodRows(db)).filter((one) => one.method.retiredAt === null)
  return {
    setup: setups.map(({ setup: { id, name }, versionId }) => ({
      id,
      names: [name],
      is: { versionId, burner: burners.get(versionId)?.burner ?? null },
    })),
    place: (await placeRows(db)).map(({ place: { id, name }, version }) => ({
      id,
      names: [name],
      is: { versionId: version.id, pressure: version },
    })),
    fuel: batches.map(({ batch, fuel: { name, kind } }) => ({
      id: batch.id,
      names: [`${name}, ${batch.name}`, `${name} ${batch.name}`, name, kind, FUELS[kind]?.name ?? kind],
      is: { kind },
    })),
    person: (await listPeople(db)).map(({ id, name }) => ({ id, names: [name], is: null })),
    method: methods.map(({ method: { id, name }, version }) => ({
      id,
      names: [name],
      is: { versionId: version.id, body: version.body },
    })),
  }
}

export type FoundName<T> =
  { ok: true; value: Named<T> | null } | { ok: false; unknown: string } | { ok: false; ambiguous: string }

/** A name of one row. Null: it has none, and none was said for such rows. */
export function findName<K extends NameTarget>(
  kit: Kit,
  target: K,
  written: string,
  mapping: TableMapping,
  batch = '',
): FoundName<Kit[K][number]['is']> {
  type Is = Kit[K][number]['is']
  const listed = kit[target] as Listed<Is>[]
  const chosen = written.trim() === '' ? mapping.usual[target] : chosenId(mapping.names[target][written])
  if (chosen !== '') {
    const one = listed.find((each) => each.id === chosen)
    return one ? isOne(one) : { ok: false, unknown: written }
  }
  if (written.trim() === '') return { ok: true, value: null }
  const found = named(listed, batch === '' ? written : `${written}, ${batch}`)
  if (found.length === 1) return isOne(found[0]!)
  const choice = mapping.names[target][written]
  if (choice && 'make' in choice && choice.make)
    return { ok: true, value: { key: `make:${low(written)}`, make: { name: written.trim(), choice }, is: null } }
  return found.length > 1 ? { ok: false, ambiguous: written } : { ok: false, unknown: written }
}

const chosenId = (choice: NameChoice | undefined): string => (choice && 'use' in choice ? choice.use : '')
const isOne = <T>({ id, is }: Listed<T>): FoundName<T> => ({ ok: true, value: { key: id, make: null, is } })

/** Why a burner and a fuel of a row do not belong together; null: they may. */
export function mismatchOf(setup: Named<KnownSetup> | null, fuel: Named<KnownFuel> | null): string | null {
  const burner = setup?.is?.burner ?? chosenFor(setup, 'burner')
  const kind = fuel?.is?.kind ?? chosenFor(fuel, 'fuel')
  return kind === null ? null : burnerFuelMismatch(burner, kind)
}

type MakeChoice = Extract<NameChoice, { make: true }>
/** What was chosen for a name that is still to be made. */
function chosenFor<K extends 'burner' | 'fuel'>(one: Named<unknown> | null, key: K): NonNullable<MakeChoice[K]> | null {
  const choice = one?.make?.choice
  return choice !== undefined && 'make' in choice ? (choice[key] ?? null) : null
}
