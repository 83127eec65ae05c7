/** The people who test. */
import { asc, eq } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { person } from '../../database/schema'

export interface Person {
  id: string
  name: string
}
const PERSON = { id: person.id, name: person.name }

/** By name. */
export const listPeople = (db: Connection): Promise<Person[]> =>
  db.select(PERSON).from(person).orderBy(asc(person.name))

export async function findPerson(db: Connection, id: string): Promise<Person | null> {
  const [row] = await db.select(PERSON).from(person).where(eq(person.id, id))
  return row ?? null
}

/** The same id again is one person. */
export async function insertPerson(db: Connection, row: Person): Promise<void> {
  await db.insert(person).values(row).onConflictDoNothing()
}
