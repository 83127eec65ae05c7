import { index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import { createdAt, id, si } from './columns'
import { container } from './containers'
import { person } from './people'
import { run } from './runs'

/** A ledger: every weighing. What runs took is theirs to say; the fill is derived. */
export const containerEntry = pgTable(
  'container_entry',
  {
    id: id(),
    containerId: uuid('container_id')
      .notNull()
      .references(() => container.id),
    runId: uuid('run_id').references(() => run.id),
    kind: text('kind').$type<'full' | 'weighed' | 'filled' | 'empty'>().notNull(),
    /** With what is in it. */
    massKg: si('mass_kg').notNull(),
    typed: text('typed').notNull(),
    note: text('note').notNull().default(''),
    at: timestamp('at', { withTimezone: true }).notNull(),
    personId: uuid('person_id').references(() => person.id),
    createdAt: createdAt(),
  },
  (table) => [index('container_entry_by_container').on(table.containerId)],
)
