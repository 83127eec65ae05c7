/**
 * A run's page holds its view in its address: what is written there is read back, and what is written wrongly harms
 * nothing.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CLOCKS, LITRES } from '../../core/formats/document'
import { MODELS, REFERENCES } from '../../core/normalise/reference'
import { optionsFor } from '../../shared/reduceOptions'
import { ownReference, runViewFrom, runViewQuery, VIEW_BOILS, type RunView } from '../../shared/runOptions'
import { readReduceRequest } from '../../shared/reduceRequest'

const rounded = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((value) => value / 10)
const own = fc
  .record({ startC: rounded(-5, 100), pressureHPa: rounded(400, 1080), airC: rounded(-50, 50), windMS: rounded(0, 20) })
  .map(ownReference)
const views: fc.Arbitrary<RunView> = fc.record({
  model: fc.constantFrom(...MODELS),
  reference: fc.oneof(fc.constantFrom(...REFERENCES), own),
  boil: fc.constantFrom(...VIEW_BOILS.filter((boil) => boil !== 'target')),
  targetC: fc.constant(90),
  clock: fc.constantFrom(...CLOCKS),
  litre: fc.constantFrom(...LITRES),
  flame: fc.boolean(),
  waterG: fc.option(fc.integer({ min: 20, max: 20_000 })),
})

describe('a view in the address', () => {
  it('law: is read back as it was written', () => {
    fc.assert(
      fc.property(views, (view) => {
        expect(runViewFrom(runViewQuery(view))).toEqual(view)
      }),
    )
  })

  it('law: makes options that the contract takes', () => {
    fc.assert(
      fc.property(views, (view) => {
        const { format, version, ...options } = optionsFor(view)
        expect(readReduceRequest({ format, version, ...options, runs: [] })).toMatchObject({
          ok: true,
          request: { model: view.model, litre: view.litre, reference: { windMS: view.reference.windMS } },
        })
      }),
    )
  })

  it('the usual view leaves the address bare', () => expect(runViewQuery(runViewFrom({}))).toEqual({}))

  it.each([
    ['own', 'abc'],
    ['own', '20,1013'],
    ['own', '20,1013,20,0,5'],
    ['own', '20,99999,20,0'],
    ['own', ['1', '2']],
    ['model', 'best'],
    ['boil', 'gently'],
    ['litre', 'gallon'],
    ['supply', 'yes'],
    ['reference', 'moon'],
  ])('%s=%s is read as if it were not there', (key, value) =>
    expect(runViewFrom({ [key]: value })).toEqual(runViewFrom({})),
  )

  it('law: whatever stands there, a view comes out', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom('own', 'model', 'boil', 'clock', 'litre', 'supply', 'reference'), fc.anything()),
        (query) => {
          expect(MODELS).toContain(runViewFrom(query).model)
        },
      ),
    )
  })
})
