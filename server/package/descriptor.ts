/** The descriptor of a packaged workspace: an open tabular data package, one CSV a table. */
import { fieldTypeOf, PACKAGED, primaryKeyOf, referencesOf, type PackagedTable } from './repository/tables'

const FORMAT = 2
/** Those that this version reads. */
export const FORMATS_READ = [1, 2]
export interface Resource {
  name: string
  path: string
  bytes: number
  hash: string
  [more: string]: unknown
}
export interface Descriptor {
  profile: string
  name: string
  created: string
  vulcanum: {
    format: number
    /** Changes of the schema that it knows. */
    schema: number
  }
  resources: Resource[]
}
export const DESCRIPTOR_PATH = 'datapackage.json'
export const csvPath = (table: string) => `data/${table}.csv`

export interface WrittenFile {
  path: string
  bytes: number
  hash: string
}

export function describe(
  files: readonly WrittenFile[],
  { created, schema }: { created: string; schema: number },
): Descriptor {
  const of = (path: string) => files.find((file) => file.path === path)
  const tables = PACKAGED.flatMap((packaged) =>
    of(csvPath(packaged.name)) ? [tableResource(packaged, of(csvPath(packaged.name))!)] : [],
  )
  const pictures = files
    .filter((file) => file.path.startsWith('photos/'))
    .map((file) => ({ name: file.path.slice(7).replaceAll('.', '-'), ...file }))
  return {
    profile: 'data-package',
    name: 'vulcanum-workspace',
    created,
    vulcanum: { format: FORMAT, schema },
    resources: [...tables, ...pictures],
  }
}

function tableResource(packaged: PackagedTable, file: WrittenFile): Resource {
  const names = new Set(PACKAGED.map((one) => one.name))
  const kept = new Set(packaged.columns.map((column) => column.name))
  return {
    name: packaged.name.replaceAll('_', '-'),
    ...file,
    profile: 'tabular-data-resource',
    format: 'csv',
    mediatype: 'text/csv',
    encoding: 'utf-8',
    schema: {
      fields: packaged.columns.map((column) => ({
        name: column.name,
        type: fieldTypeOf(column),
        ...(column.notNull ? { constraints: { required: true } } : {}),
      })),
      primaryKey: primaryKeyOf(packaged.table),
      missingValues: [''],
      foreignKeys: referencesOf(packaged.table)
        .filter(({ columns, to }) => columns.every((column) => kept.has(column)) && names.has(to))
        .map(({ columns, to, toColumns }) => ({
          fields: columns,
          reference: { resource: to === packaged.name ? '' : to.replaceAll('_', '-'), fields: toColumns },
        })),
    },
  }
}
