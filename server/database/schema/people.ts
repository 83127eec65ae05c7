import { pgTable, text } from 'drizzle-orm/pg-core'
import { createdAt, id } from './columns'

export const person = pgTable('person', { id: id(), name: text('name').notNull(), createdAt: createdAt() })
