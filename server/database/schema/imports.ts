import { bigint, index, integer, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { ImportKind, ImportMade, ImportState, SheetLine, StoredMapping } from '../../../shared/tableImport/imports'
import { createdAt, id } from './columns'
import { person } from './people'

/** A file that was brought in: staged, then stored whole or not at all; undoing it makes its runs void. */
export const tableImport = pgTable(
  'import',
  {
    id: id(),
    fileName: text('file_name').notNull(),
    fileHash: text('file_hash').notNull(),
    bytes: bigint('bytes', { mode: 'number' }).notNull(),
    kind: text('kind').$type<ImportKind>().notNull(),
    state: text('state').$type<ImportState>().notNull().default('staged'),
    sheets: jsonb('sheets').$type<SheetLine[]>().notNull(),
    notes: text('notes').array().notNull(),
    /** Of the headings: a table of the same ones is read as this one was. */
    headingsHash: text('headings_hash').notNull(),
    mapping: jsonb('mapping').$type<StoredMapping>(),
    storingSince: timestamp('storing_since', { withTimezone: true }),
    /** While it is stored: rows done; afterwards, runs or samples stored and rows left out. */
    done: integer('done').notNull().default(0),
    stored: integer('stored').notNull().default(0),
    leftOut: integer('left_out').notNull().default(0),
    /** Kit that it made: retired with it where nothing else uses it. */
    made: jsonb('made').$type<ImportMade>(),
    /** What went wrong the last time; '' where nothing did. */
    trouble: text('trouble').notNull().default(''),
    personId: uuid('person_id').references(() => person.id),
    createdAt: createdAt(),
    storedAt: timestamp('stored_at', { withTimezone: true }),
    undoneAt: timestamp('undone_at', { withTimezone: true }),
  },
  (table) => [index('import_by_file').on(table.fileHash)],
)

/** Its rows as they came, a few hundred at a time, until it is stored or thrown away. */
export const importChunk = pgTable(
  'import_chunk',
  {
    importId: uuid('import_id')
      .notNull()
      .references(() => tableImport.id, { onDelete: 'cascade' }),
    sheet: integer('sheet').notNull(),
    seq: integer('seq').notNull(),
    rows: jsonb('rows').$type<unknown[]>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.importId, table.sheet, table.seq] })],
)
