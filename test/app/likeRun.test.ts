/** What a new run takes from the last one. */
import { describe, expect, it } from 'vitest'
import { isTaken, takeLike, untake } from '../../app/utils/likeRun'
import type { KitChoices } from '../../shared/kitChoices'
import type { RunLike } from '../../shared/likeRun'
import { emptyTypedRun } from '../../shared/typedRun'

const KIT = {
  people: [{ id: 'p1', name: 'Odra Vell' }],
  places: [{ id: 'a1', name: 'Harbour store' }],
  setups: [{ id: 's1', name: 'Lahar in the cone' }],
  fuels: [{ id: 'f1', fuel: 'Methanol' }],
  methods: [{ id: 'm1', name: 'Boil' }],
  containers: [],
  instruments: [{ id: 'i1', name: 'Lid probe' }],
} as unknown as KitChoices
const LIKE: RunLike = {
  run: { id: 'r1', setup: 'Lahar in the cone', startedAt: '2026-08-05T10:00:00Z', zone: 'UTC' },
  chosen: {
    setupId: 's1',
    fuelBatchId: 'f1',
    methodId: 'm1',
    personId: 'p1',
    placeId: 'a1',
    containerId: 'c-retired',
    setting: 'full',
    instruments: { temperature: 'i1', mass: 'i-retired' },
  },
  amounts: { water: '473 g' },
  left: '204.1 g',
  words: { person: 'Odra Vell', place: 'Harbour store', altitudeM: 12, fuelKind: 'methanol', burner: 'alcohol' },
}

describe('a run like the last one', () => {
  it('takes all that is still in the lists and the amounts that are set, and no reading', () => {
    const typed = emptyTypedRun('new', 'metric')
    const taken = takeLike(typed, KIT, LIKE)
    expect(typed).toMatchObject({ setupId: 's1', placeId: 'a1', containerId: null, setting: 'full', methodId: 'm1' })
    expect(typed.instruments).toMatchObject({ temperature: 'i1', mass: '' })
    expect(typed.measured).toMatchObject({ water: '473 g', waterStart: '', fuelBefore: '', fuelAfter: '' })
    expect(Object.keys(taken)).not.toContain('containerId')
  })

  it('marks what stands as it was taken, until it is changed', () => {
    const typed = emptyTypedRun('new', 'metric')
    const taken = takeLike(typed, KIT, LIKE)
    expect([isTaken(typed, taken, 'setupId'), isTaken(typed, taken, 'measured.water')]).toEqual([true, true])
    typed.measured.water = '500 g'
    expect(isTaken(typed, taken, 'measured.water')).toBe(false)
    expect(isTaken(typed, taken, 'measured.waterStart')).toBe(false)
  })

  it('lets go of what was taken alone', () => {
    const typed = emptyTypedRun('new', 'metric')
    const taken = takeLike(typed, KIT, LIKE)
    typed.measured.waterStart = '17 °C'
    typed.placeId = 'elsewhere'
    untake(typed, taken)
    expect(typed).toMatchObject({ setupId: '', personId: '', placeId: 'elsewhere', setting: '' })
    expect(typed.measured).toMatchObject({ water: '', waterStart: '17 °C' })
    expect(typed.instruments.temperature).toBe('')
  })
})
