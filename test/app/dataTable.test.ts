import { describe, expect, it } from 'vitest'
import { compareValues, type DataColumn } from '../../app/utils/dataTable'
import { tableText } from '../../app/utils/tableText'

interface Row {
  name: string
  grams: number | null
}
const COLUMNS: DataColumn<Row>[] = [
  { key: 'name', words: 'Set-up', of: (row) => row.name },
  { key: 'picture', words: 'Drawn' },
  { key: 'grams', words: 'Fuel', unit: 'g', of: (row) => row.grams },
]

describe('a table', () => {
  it('is copied with its units, without what is only drawn, and no cell breaks its row', () => {
    const rows = [
      { name: 'Cone, and "pot"', grams: 12.5 },
      { name: 'Bare', grams: null },
    ]
    expect(tableText(COLUMNS, rows)).toBe('Set-up,Fuel [g]\n"Cone, and ""pot""",12.5\nBare,')
  })
  it('sorts numbers as numbers and words as readers do', () => {
    expect([10, 9, 100].sort(compareValues)).toEqual([9, 10, 100])
    expect(['Éclat', 'Zinder', 'eddy'].sort(compareValues)).toEqual(['Éclat', 'eddy', 'Zinder'])
  })
})
