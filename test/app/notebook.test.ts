/** A notebook page as the table it becomes; read back by what reads every table that comes in. */
import { describe, expect, it } from 'vitest'
import { BOIL } from '#core/method/shippedBoil'
import { readRow } from '#shared/tableImport/readRow'
import { filledRows, notebookColumns, notebookMapping, type NotebookPage } from '../../app/utils/notebook'
import { laidOver, notebookTable } from '../../app/utils/notebookTable'

const ID = '01960000-0000-7000-8000-000000000001'
const page = (change: Partial<NotebookPage>): NotebookPage => ({
  id: ID,
  sent: '',
  units: 'metric',
  setupId: ID,
  fuelBatchId: ID,
  methodId: ID,
  personId: ID,
  placeId: ID,
  day: '2026-03-14',
  zone: 'UTC',
  added: [],
  all: {},
  rows: [],
  ...change,
})
const { columns } = notebookColumns(BOIL, false, [])
const read = (one: NotebookPage) =>
  filledRows(one, columns).map(({ cells }) =>
    readRow(cells, notebookMapping(one, columns, BOIL), Date.UTC(2026, 10, 1)),
  )

describe('a notebook page', () => {
  it('has the columns that the method cannot be without, never the clock’s zero, and offers the rest', () => {
    expect(columns).toEqual(expect.arrayContaining(['time', 'measured.water', 'measured.waterStart', 'notes']))
    expect(columns).toContain('times.rollingBoil')
    expect(columns).not.toContain('times.potOn')
    const { more } = notebookColumns(BOIL, false, [])
    expect(more.filter((key) => columns.includes(key))).toEqual([])
    expect(notebookColumns(BOIL, true, []).columns).toContain('measured.altitude')
  })
  it('says once what all rows have; a row’s own words beat it, a ditto mark is the row above', () => {
    const rows = read(
      page({
        all: { 'measured.water': '500', 'measured.waterStart': '12' },
        rows: [
          { 'measured.fuelBefore': '380.0', 'measured.fuelAfter': '372.4', 'times.rollingBoil': '3:50' },
          {},
          {
            'measured.waterStart': '54F',
            'measured.fuelBefore': '372.4',
            'measured.fuelAfter': '364.9',
            'times.rollingBoil': '"',
          },
        ],
      }),
    )
    expect(rows).toHaveLength(2)
    const [first, second] = rows.map((row) => (row.ok ? row.row : null))
    const value = (row: typeof first, quantity: string) =>
      row?.read.measurements.find((one) => one.quantity === quantity)?.value
    expect(value(first, 'water')).toBeCloseTo(0.5, 9)
    expect(value(first, 'waterStart')).toBe(12)
    expect(value(second, 'waterStart')).toBeCloseTo(12.222, 3)
    expect(second?.read.events).toEqual([
      expect.objectContaining({ kind: 'potOn', atMs: 0 }),
      expect.objectContaining({ kind: 'rollingBoil', atMs: 230_000 }),
    ])
  })
  it('takes a bare number in the units of the person, and names the cell that it cannot read', () => {
    const rows = read(
      page({
        units: 'trail',
        rows: [
          { 'measured.waterStart': '54', 'times.rollingBoil': '4:10' },
          { 'measured.waterStart': 'cold', 'times.rollingBoil': '5' },
        ],
      }),
    )
    const [warm, bad] = rows
    expect(warm?.ok && warm.row.read.measurements[0]?.value).toBeCloseTo(12.222, 3)
    expect(bad?.ok).toBe(false)
    const problems = bad?.ok === false ? bad.problems : []
    expect(problems.map(({ column }) => columns[column!])).toEqual(['measured.waterStart', 'times.rollingBoil'])
  })
  it('takes a block from a spreadsheet where the cell is, and grows by it', () => {
    const rows = laidOver([{ notes: 'kept' }], columns, { row: 0, column: 1 }, '500 g\t12 °C\n480 g\t11 °C\n')
    expect(rows).toHaveLength(2)
    expect(rows[0]!.notes).toBe('kept')
    expect(rows.map((row) => row[columns[2]!])).toEqual(['12 °C', '11 °C'])
  })
  it('is stored as a table whose heads every import knows', () => {
    const text = notebookTable(page({ rows: [{ notes: 'gusty, then "calm"' }] }), columns)
    expect(text.split('\r\n')[0]).toContain('Time of day')
    expect(text).toContain('"gusty, then ""calm"""')
  })
})
