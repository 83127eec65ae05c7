/**
 * What the demonstration's runs are asked: a lid, a wide pot at several flames, two parts that changed together, a
 * newcomer, testers who read a boil unlike. Burned by the simulated stoves, before the last test day.
 */
import type { Notebook } from './notebook'
import { PEOPLE } from './kit'

export function questionRuns(book: Notebook): void {
  lidOnAndOff(book)
  widePot(book)
  flamesInWind(book)
  coneAndPot(book)
  boilsReadUnlike(book)
  newcomer(book)
}

const TURNS = ['a', 'b', 'b', 'a', 'a', 'b', 'b', 'a', 'a', 'b', 'b', 'a'] as const

function lidOnAndOff(book: Notebook): void {
  book.on('2026-07-20', 'store')
  for (const turn of TURNS)
    book.boil(turn === 'a' ? 'wideSheltered' : 'wideOpen', 'gas', 'paired', {
      lid: turn === 'a',
      notes: turn === 'a' ? 'Lid on.' : 'Lid off, set aside.',
      seen: { soot: 'none', flame: 'even' },
    })
}

/** A wide pot saves a fifth at full flame, and nothing at a low one. */
function widePot(book: Notebook): void {
  book.on('2026-07-22', 'store')
  const settings = ['low', 'full', 'medium', 'full', 'medium', 'low'] as const
  settings.forEach((setting, i) => {
    for (const setup of ['narrowOpen', 'narrowWide'] as const)
      book.boil(setup, 'gas', 'flameSetting', {
        who: PEOPLE[i < 3 ? 0 : 1],
        setting,
        traced: setting === 'full',
        seen: { soot: 'film', flame: 'even' },
      })
  })
}

function flamesInWind(book: Notebook): void {
  book.on('2026-07-24', 'store')
  for (const [windMS, flame] of [
    [0, 'even'],
    [1.8, 'spilling'],
    [3.6, 'off'],
  ] as const)
    for (const setup of ['hoseFins', 'wideSheltered'] as const)
      book.boil(setup, 'gas', 'wind', {
        windMS,
        startC: 15 + book.random.normal(),
        notes: windMS > 3 ? 'Fan high.' : '',
        seen: { flame: setup === 'hoseFins' && flame === 'off' ? 'lifting' : flame },
      })
}

/** Pot and screen were swapped at once: which of them was it? */
function coneAndPot(book: Notebook): void {
  book.on('2026-07-27', 'store')
  for (let i = 0; i < 2; i++) {
    book.boil('spiritBomb', 'methanol', 'paired', { notes: 'The Bomb on the wire stand, and no cone.' })
    book.boil('spiritCone', 'methanol', 'paired', { notes: 'Against the Bomb: pot and screen both differ.' })
  }
}

/** One waits for the first rolling boil, the other for a wild one. */
function boilsReadUnlike(book: Notebook): void {
  book.on('2026-07-29', 'hut')
  const [late, early] = PEOPLE
  for (const who of [late, early, early, late, late, early, early, late])
    book.boil('pumped', 'whiteGas', 'boil', {
      who,
      waterKg: 1,
      lateS: who === late ? 60 : 0,
      notes: who === late ? 'Called when it boiled over the whole surface, hard.' : '',
      seen: { soot: 'patches', wiping: 'soap' },
    })
}

function newcomer(book: Notebook): void {
  book.on('2026-08-03', 'store')
  for (let i = 0; i < 4; i++)
    book.boil('narrowFins', 'gas', 'boil', { notes: 'The finned pot on the small burner.', seen: { soot: 'none' } })
}
