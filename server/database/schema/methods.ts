import { integer, jsonb, pgTable, text, unique, uuid, type AnyPgColumn } from 'drizzle-orm/pg-core'
import type { MethodBody } from '../../../core/method/method'
import { createdAt, id, retiredAt, revision } from './columns'

export const method = pgTable('method', {
  id: id(),
  name: text('name').notNull(),
  /** Names a method that ships with Vulcanum; null: a tester's own. */
  shippedKey: text('shipped_key').unique(),
  copiedFromId: uuid('copied_from_id').references((): AnyPgColumn => method.id),
  revision: revision(),
  retiredAt: retiredAt(),
  createdAt: createdAt(),
})

/** Immutable and numbered: a run keeps the version it was done by. */
export const methodVersion = pgTable(
  'method_version',
  {
    id: id(),
    methodId: uuid('method_id')
      .notNull()
      .references(() => method.id),
    n: integer('n').notNull(),
    body: jsonb('body').$type<MethodBody>().notNull(),
    bodyHash: text('body_hash').notNull(),
    reason: text('reason').notNull().default(''),
    createdAt: createdAt(),
  },
  (table) => [unique().on(table.methodId, table.n)],
)
