/**
 * The demonstration's series: every kind of test, burned by the simulated stoves and typed by the two testers. Seeded:
 * the same each time.
 */
import { formatClock } from '../../core/quantity/format'
import { conditions, load, Notebook } from './notebook'
import type { DemoRun } from './runs'
import { quickTests, snow, spirit, wood } from './kinds'
import { lessons } from './lessons'
import { questionRuns } from './questions'

export function seriesRuns(): DemoRun[] {
  const book = new Notebook()
  flameSettings(book)
  finsPaired(book)
  wind(book)
  cold(book)
  fedTablets(book)
  spirit(book)
  wood(book)
  snow(book)
  quickTests(book)
  lessons(book)
  questionRuns(book)
  return book.runs
}

function flameSettings(book: Notebook): void {
  book.on('2026-05-04', 'store')
  for (const setting of ['low', 'full', 'medium', 'medium', 'full', 'low'] as const)
    for (const setup of ['narrowOpen', 'finned'] as const)
      book.boil(setup, 'gas', 'flameSetting', { setting, traced: setting === 'low' })
}

function finsPaired(book: Notebook): void {
  book.on('2026-05-12', 'store')
  for (const setup of [
    'hosePlain',
    'hoseFins',
    'hoseFins',
    'hosePlain',
    'hosePlain',
    'hoseFins',
    'hoseFins',
    'hosePlain',
  ] as const)
    book.boil(setup, 'gas', 'paired', { notes: 'Pots identical but for the fins; taking turns.' })
}

function wind(book: Notebook): void {
  book.on('2026-05-20', 'store')
  for (const windMS of [0, 1.8, 3.6, 3.6, 1.8, 0])
    book.boil('hosePlain', 'gas', 'wind', {
      windMS,
      startC: 15 + book.random.normal(),
      notes: windMS > 3 ? 'Fan high. Flame off the pot on one side.' : '',
    })
}

function cold(book: Notebook): void {
  book.on('2026-02-26', 'saddle')
  for (let i = 0; i < 4; i++)
    book.boil('maar', 'gas', 'cold', {
      notes: 'Canister in the sleeping bag until lighting.',
      extra: { hardware: '−9 °C' },
      traced: i === 0,
    })
  for (let i = 0; i < 2; i++)
    book.boil('pumped', 'whiteGas', 'cold', {
      waterKg: 1,
      notes: 'Primed outdoors, in the lee.',
      extra: { hardware: '−10 °C' },
    })
}

/** A second tablet goes in when the first is nearly gone; what is left is snuffed and weighed. */
function fedTablets(book: Notebook): void {
  book.on('2026-06-03', 'hut')
  for (let i = 0; i < 4; i++) {
    const burned = book.burn('tablet', { startC: 15 + book.random.normal() })
    const boilS = burned.call(burned.raw.boilS!)
    const second = burned.usedG > 12.5
    const piece = 14.2 + 0.2 * book.random.normal()
    const rest = piece * (second ? 2 : 1) - burned.usedG
    book.write('tablet', 'hexamine', {
      test: 'fed',
      notes: second ? 'Second tablet when the first was down to a rim.' : 'One tablet was enough.',
      measured: {
        ...conditions(burned),
        ...load(piece),
        ...(i === 3 ? {} : { fuelLeftover: `${Math.max(0.1, rest).toFixed(1)} g` }),
      },
      times: { lit: '0:00', potOn: '0:05', rollingBoil: formatClock(boilS + 5), snuffed: formatClock(boilS + 7) },
      lines: second
        ? [{ kind: 'fuelAdded', time: formatClock(Math.round(boilS * 0.82)), mass: `${piece.toFixed(1)} g`, temp: '' }]
        : [],
      seen: { soot: 'film', residue: 'sticky', smell: 'acrid', flame: 'even' },
    })
  }
}
