/** A list that is narrowed as one types: common practice, no source. */
import { describe, expect, it } from 'vitest'
import { narrowed } from '../../app/utils/narrowed'

const NAMES = ['Étna, plain (Étna, Pumice)', 'Pumice', 'Boil, then burn out', 'Boil', 'Parboil']
const typed = (words: string) => narrowed(NAMES, words, (one) => one)

describe('a list narrowed by words', () => {
  it('is whole while nothing is typed', () => {
    expect(typed('  ')).toEqual(NAMES)
  })

  it('keeps what holds every word, whatever its case, accents and order', () => {
    expect(typed('pumice ETNA')).toEqual(['Étna, plain (Étna, Pumice)'])
    expect(typed('pumice cone')).toEqual([])
  })

  it('has what is called so first, then what begins so', () => {
    expect(typed('boil')).toEqual(['Boil', 'Boil, then burn out', 'Parboil'])
    expect(typed('Pumice')).toEqual(['Pumice', 'Étna, plain (Étna, Pumice)'])
  })
})
