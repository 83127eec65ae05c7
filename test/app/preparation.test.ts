/** What a lane is set up with. Common practice, no source. */
import { describe, expect, it } from 'vitest'
import { fuelChoices, instrumentChoices, namedChoices, placeChoices, setupChoices } from '../../app/utils/kitLists'
import {
  emptyMeasured,
  firstPreparation,
  preparationProblem,
  previewLane,
  readingsBefore,
  stillThere,
} from '../../app/utils/preparation'
import { SHIPPED } from '../../core/method/shipped'
import { TESTS } from '../../core/method/method'
import type { KitChoices } from '../../shared/kitChoices'
import { MEASURED_QUANTITIES } from '../../shared/measuredQuantity'

const method = (id: string, test: keyof typeof SHIPPED) =>
  ({ id, name: SHIPPED[test].name, body: SHIPPED[test].body }) as KitChoices['methods'][number]
const NOWHERE = { altitudeM: null, stationPressurePa: null, seaLevelPressurePa: null }
const KIT: KitChoices = {
  people: [{ id: 'odra', name: 'Odra Vell' }],
  places: [
    { id: 'hut', name: 'Ash Gate hut', zone: 'Atlantic/Azores', ...NOWHERE, altitudeM: 940 },
    { id: 'porch', name: 'Porch', zone: 'UTC', ...NOWHERE },
  ],
  setups: [
    {
      id: 'jet',
      name: 'Lahar in the cone',
      burner: 'alcohol',
      parts: [
        { role: 'burner', name: 'Lahar' },
        { role: 'lid', name: 'Mug lid' },
      ],
      warnings: [],
    } as unknown as KitChoices['setups'][number],
  ],
  fuels: [
    { id: 'drum', fuel: 'Methanol', kind: 'methanol', batch: 'drum 3', openedOn: null },
    { id: 'gas', fuel: 'Isobutane-propane', kind: 'isobutane-propane', batch: 'spring', openedOn: null },
  ],
  methods: [method('simmer', 'simmer'), method('boil', 'boil')],
  instruments: [
    { id: 'probe', name: 'Lid probe', measures: 'temperature', resolution: 0.1, overdueDays: 12 },
    { id: 'scale', name: 'Bench scale', measures: 'mass', resolution: 0.1, overdueDays: null },
  ],
  containers: [],
}
const prepared = (changes: object) => ({
  ...firstPreparation(KIT, 'B'),
  setupId: 'jet',
  fuelBatchId: 'drum',
  ...changes,
})
const BEGUN = { runId: '01990000-0000-7000-8000-000000000001', atMs: 1000, units: 'metric' as const }

describe('a lane that is set up', () => {
  it('begins with a boil, and with what there is but one of', () => {
    expect(firstPreparation(KIT, 'B')).toMatchObject({
      lane: 'B',
      methodId: 'boil',
      personId: 'odra',
      placeId: null,
      setupId: '',
      rehearsal: null,
    })
    expect(firstPreparation({ ...KIT, people: [], places: [KIT.places[0]!] }, 'A')).toMatchObject({
      personId: '',
      placeId: 'hut',
    })
  })

  it('keeps of the last lane what is still in the lists', () => {
    const last = { setupId: 'jet', fuelBatchId: 'gone', methodId: 'boil', placeId: null, setting: 'low' as const }
    expect(stillThere(KIT, last)).toEqual({ setupId: 'jet', methodId: 'boil', setting: 'low' })
  })

  it.each(TESTS)('for a test of kind "%s" asks before the flame for what can be read then, each once', (test) => {
    const { body } = SHIPPED[test]
    const boxes = readingsBefore(body)
    expect(new Set(boxes).size).toBe(boxes.length)
    expect(boxes).not.toContain('fuelAfter')
    const asked = [...body.must, ...body.may].filter((one) => one in MEASURED_QUANTITIES)
    const later = ['fuelBefore', 'fuelAfter', 'fuelLeftover', 'waterLast', 'waterEndMass', 'char', 'fuelUsed']
    expect([...boxes].sort()).toEqual([...new Set(asked.filter((one) => !later.includes(one)))].sort())
  })

  it('says what is not chosen, one after the other; and that a burner does not burn a fuel, until it is said why', () => {
    expect(preparationProblem(KIT, prepared({ personId: '', setupId: '' }), 'metric')?.path).toBe('personId')
    expect(preparationProblem(KIT, prepared({ setupId: '' }), 'metric')?.path).toBe('setupId')
    expect(preparationProblem(KIT, prepared({}), 'metric')).toBeNull()
    const mismatched = prepared({ fuelBatchId: 'gas' })
    expect(preparationProblem(KIT, mismatched, 'metric')).toMatchObject({ path: 'overrides.burnerAndFuel' })
    expect(preparationProblem(KIT, { ...mismatched, overrides: { burnerAndFuel: ' ' } }, 'metric')).not.toBeNull()
    expect(
      preparationProblem(KIT, { ...mismatched, overrides: { burnerAndFuel: 'to see it fail' } }, 'metric'),
    ).toBeNull()
  })

  it('is not armed with a reading that cannot be read: which, and how to write it, by the units chosen', () => {
    const reading = (measured: object) =>
      preparationProblem(KIT, prepared({ measured: { ...emptyMeasured(), ...measured } }), 'metric')
    expect(reading({ water: 'two cups' })).toMatchObject({
      path: 'measured.water',
      text: expect.stringMatching(/^Water: .*"two cups".*Write it like/) as string,
    })
    expect(reading({ air: '900 °C' })?.path).toBe('measured.air')
    expect(reading({ water: '2 cups', air: '52 F', wind: 'calm' })).toBeNull()
  })

  it('looks meanwhile as it was chosen: names, lid, readings in SI, and water that boils where it stands', () => {
    const measured = { ...emptyMeasured(), water: '500 g', air: '54 F' }
    const lane = previewLane(KIT, prepared({ placeId: 'hut', measured, setting: 'full' }), BEGUN)
    expect(lane).toMatchObject({
      lane: 'B',
      runId: BEGUN.runId,
      setup: 'Lahar in the cone',
      burner: 'alcohol',
      fuel: 'Methanol',
      person: 'Odra Vell',
      place: 'Ash Gate hut',
      setting: 'full',
      hasLid: true,
      rehearsal: null,
    })
    expect(lane.readings.map(({ quantity, value }) => [quantity, Number(value.toFixed(4))])).toEqual(
      expect.arrayContaining([
        ['water', 0.5],
        ['air', 12.2222],
      ]),
    )
    // Standard atmosphere at 940 m, IAPWS-IF97: 96.85 °C.
    expect(lane.boilingC).toBeCloseTo(96.85, 1)
    expect(lane.state.marks).toEqual([])
  })

  it('of nowhere known does not know where water boils; of no method goes by a boil’s marks', () => {
    const lane = previewLane(KIT, prepared({ methodId: null }), BEGUN)
    expect([lane.boilingC, lane.place, lane.method]).toEqual([null, null, null])
    expect(lane.order).toEqual(previewLane(KIT, prepared({ methodId: 'boil' }), BEGUN).order)
  })
})

describe('the kit’s lists as boxes offer them', () => {
  it('name a batch by its fuel, a place by its altitude, a set-up by its parts', () => {
    expect(namedChoices(KIT.people)).toEqual([{ value: 'odra', label: 'Odra Vell' }])
    expect(fuelChoices(KIT.fuels)[0]).toEqual({ value: 'drum', label: 'Methanol, drum 3' })
    expect(placeChoices(KIT.places).map((one) => one.label)).toEqual(['Ash Gate hut, 940 m', 'Porch'])
    expect(setupChoices(KIT.setups)[0]!.label).toBe('Lahar in the cone (Lahar, Mug lid)')
  })

  it('offer an instrument for what it measures, and say that its check is overdue', () => {
    expect(instrumentChoices(KIT.instruments)).toEqual([
      { measures: 'temperature', choices: [{ value: 'probe', label: 'Lid probe, check overdue' }] },
      { measures: 'mass', choices: [{ value: 'scale', label: 'Bench scale' }] },
    ])
  })
})
