/** Columns that every record has alike. */
import { doublePrecision, integer, timestamp, uuid } from 'drizzle-orm/pg-core'

/** Made by whoever makes the record (UUIDv7), so that it exists before the database has heard of it. */
export const id = () => uuid('id').primaryKey()
export const createdAt = () => timestamp('created_at', { withTimezone: true }).notNull().defaultNow()
/** SI values are float8. */
export const si = (name: string) => doublePrecision(name)
/** Counts the changes of a record that may be edited: an editor sends the one it saw. */
export const revision = () => integer('revision').notNull().default(1)
/** No longer offered; what used it keeps it. */
export const retiredAt = () => timestamp('retired_at', { withTimezone: true })
