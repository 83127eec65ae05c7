/** A study as it is typed, and as it is moved by hand. */
import { describe, expect, it } from 'vitest'
import { movedOrder } from '../../app/utils/movedOrder'
import { typedStudy, type PlanForm } from '../../app/utils/planForm'
import type { PlannedLine } from '../../shared/plan'

const form: PlanForm = {
  id: '01980000-0000-7000-8000-000000000009',
  revision: 0,
  setupIds: ['a', 'b'],
  methodId: 'm',
  fuelBatchId: 'f',
  placeId: 'p',
  water: '2 cups',
  start: '59F',
  setting: null,
  levelOf: null,
  levels: '',
  differencePct: '7,5',
  replicates: '4',
  day: '2026-12-31',
  days: '2',
  from: '08:00',
  to: '12:00',
  people: ['x'],
  flames: '1',
  peopleBy: 'block',
  stations: 'lee, door;  lee of the hut',
  stationsBy: 'block',
  containerIds: [],
  cooledInWater: false,
}
const read = (change: Partial<PlanForm> = {}) => typedStudy({ ...form, ...change }, null, 'metric')

describe('a study as it is typed', () => {
  it('is read as people write: cups, °F, commas; two days run over the end of a year', () => {
    const { study, problems } = read()
    expect(problems).toEqual({})
    // Two US cups are 473 mL; 59 °F are 15 °C.
    expect(study.held.waterKg).toBeCloseTo(0.472, 3)
    expect(study.held.startC).toBeCloseTo(15, 9)
    expect(study.difference).toBeCloseTo(0.075, 12)
    expect(study.days.days.map(({ day }) => day)).toEqual(['2026-12-31', '2027-01-01'])
    expect(study.days.stations).toEqual(['lee', 'door', 'lee of the hut'])
  })

  it('levels are of one kind, each in its own unit', () => {
    expect(read({ levelOf: 'wind', levels: '0, 8 mph' }).study.levels).toMatchObject([{ windMS: 0 }, { of: 'wind' }])
    expect(read({ levelOf: 'volume', levels: '250 mL, 1 L' }).study.levels).toMatchObject([{}, { of: 'volume' }])
    expect(read({ levelOf: 'setting', levels: 'low, full' }).study.levels.map(({ id }) => id)).toEqual(['low', 'full'])
    expect(read({ levelOf: 'setting', levels: 'low, roaring' }).problems.levels).toContain('“roaring” is no setting')
    expect(read({ levelOf: 'wind', levels: '3 m/s' }).problems.levels).toContain('two at least')
    expect(read({ levelOf: 'air', levels: 'cold, warm' }).problems.levels).toBeTruthy()
  })
})

describe('moved by hand', () => {
  const runs = ['a1', 'b1', 'b2', 'a2', 'a3', 'b3'].map((id, i) => ({ id, block: Math.floor(i / 2) }) as PlannedLine)
  it('a run goes about in its block; at its end the block goes past its neighbour', () => {
    expect(movedOrder(runs, 'a1', 1)).toEqual(['b1', 'a1', 'b2', 'a2', 'a3', 'b3'])
    expect(movedOrder(runs, 'b1', 1)).toEqual(['b2', 'a2', 'a1', 'b1', 'a3', 'b3'])
    expect(movedOrder(runs, 'a3', -1)).toEqual(['a1', 'b1', 'a3', 'b3', 'b2', 'a2'])
    expect(movedOrder(runs, 'a1', -1)).toEqual(runs.map(({ id }) => id))
    expect(movedOrder(runs, 'b3', 1)).toEqual(runs.map(({ id }) => id))
  })
})
