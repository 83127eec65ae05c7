import { boolean, check, pgTable, text } from 'drizzle-orm/pg-core'
import { sql } from 'drizzle-orm'
import { createdAt } from './columns'

/**
 * One row: what this database is for, so that the demonstration and a tester's own never overwrite each other.
 */
export const workspace = pgTable(
  'workspace',
  {
    only: boolean('only').primaryKey().default(true),
    purpose: text('purpose').$type<'demonstration' | 'own'>().notNull(),
    /** Set once the demonstration is loaded whole. */
    loaded: boolean('loaded').notNull().default(false),
    createdAt: createdAt(),
  },
  (table) => [check('workspace_one_row', sql`${table.only}`)],
)
