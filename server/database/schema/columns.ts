/** Columns that every record has alike. */
import { doublePrecision, timestamp, uuid } from 'drizzle-orm/pg-core'

/** Made by whoever makes the record (UUIDv7), so that it exists before the database has heard of it. */
export const id = () => uuid('id').primaryKey()
export const createdAt = () => timestamp('created_at', { withTimezone: true }).notNull().defaultNow()
/** SI values are float8. */
export const si = (name: string) => doublePrecision(name)
