/** The group that a line of the logbook stands in. */
import { describe, expect, it } from 'vitest'
import { groupOf, RUN_COLUMN, RUN_COLUMNS } from '../../app/utils/runColumns'
import { NONE } from '../../shared/runList'
import type { RunLine } from '../../shared/runRecord'

const LINE = {
  setupId: 's1',
  setup: 'Lahar in the cone',
  placeId: null,
  place: null,
  fuelId: 'f1',
  fuel: 'Methanol',
  methodId: null,
  method: null,
  personId: 'p1',
  person: 'Odra Vell',
  startedAt: '2026-03-14T00:30:00Z',
  zone: 'Atlantic/Azores',
} as unknown as RunLine

describe('a line of the logbook', () => {
  it('stands by id in a group of what it is of, by name as it is read', () => {
    expect(groupOf(LINE, 'setup')).toEqual({ id: 's1', name: 'Lahar in the cone' })
    expect(groupOf(LINE, 'fuel')).toEqual({ id: 'f1', name: 'Methanol' })
    expect(groupOf(LINE, 'person')).toEqual({ id: 'p1', name: 'Odra Vell' })
  })

  it('of nowhere and by no method stands in groups of their own', () => {
    expect(groupOf(LINE, 'place')).toEqual({ id: NONE, name: 'elsewhere' })
    expect(groupOf(LINE, 'method')).toEqual({ id: NONE, name: 'by no method' })
  })

  it('stands on the day it was where it was burned', () => {
    expect(groupOf(LINE, 'day').name).toBe('2026-03-13')
    expect(groupOf({ ...LINE, zone: 'UTC' }, 'day').name).toBe('2026-03-14')
  })

  it('has a heading for every column, and a unit where a column is a figure with one', () => {
    for (const key of RUN_COLUMNS) expect(RUN_COLUMN[key].words, key).not.toBe('')
    expect(RUN_COLUMNS.filter((key) => RUN_COLUMN[key].figure && !RUN_COLUMN[key].unit)).toEqual(['boil'])
  })
})
