/** The demonstration’s tests of other kinds than the plain boil. */
import { formatClock } from '../../core/quantity/format'
import { simulateCoolDown } from '../../core/simulate/simulateRun'
import { reaching, tenth, WEATHER } from './burning'
import { type Notebook, conditions, load } from './notebook'
import { STOVES } from './stoves'

/** Alcohol: boil and burn out, burn-off, simmer, warm-up. */
export function spirit(book: Notebook): void {
  book.on('2026-06-10', 'store')
  boilsAndBurnOuts(book)
  burnOffs(book)
  simmers(book)
  warmUps(book)
}

function boilsAndBurnOuts(book: Notebook): void {
  for (let i = 0; i < 4; i++) {
    const loadG = 24 + 0.3 * book.random.normal()
    const burned = book.burn('spiritCone', { loadG, untilS: 3000, traced: i === 0 })
    const bloom = 55 + 6 * book.random.normal()
    const later = (s: number) => formatClock(s + bloom + 4)
    book.write('spiritCone', 'methanol', {
      test: 'boilBurnOut',
      takeBurnShare: true,
      measured: { ...conditions(burned), ...load(loadG) },
      trace: burned.trace?.map(([s, c]) => [Math.round(s + bloom + 4), c]),
      seen: { soot: 'none', lighting: 'first', flame: 'even' },
      times: {
        lit: '0:00',
        bloomed: formatClock(bloom),
        potOn: formatClock(bloom + 4),
        rollingBoil: later(burned.call(burned.raw.boilS!)),
        flameLeftPot: later(burned.raw.flameOutS! - 70),
        flameOut: later(burned.raw.flameOutS!),
      },
      notes: '',
    })
  }
}

function burnOffs(book: Notebook): void {
  for (const [setup, fuel, perMin] of [
    ['spiritBare', 'methanol', 2.35],
    ['spiritBare', 'ethanol', 2.6],
    ['gelBare', 'gel', 1.7],
    ['spiritBare', 'ethanol', 2.6],
  ] as const) {
    const grams = 24 + 0.2 * book.random.normal()
    const burnS = (grams / (perMin * (1 + 0.03 * book.random.normal()))) * 60
    book.write(setup, fuel, {
      test: 'burnOff',
      measured: { air: '18.5 °C', wind: 'calm', ...load(grams) },
      times: { lit: '0:00', bloomed: fuel === 'gel' ? '0:10' : '0:52', flameOut: formatClock(burnS) },
      notes: 'In the doorway, dark behind.',
    })
  }
}

function simmers(book: Notebook): void {
  for (const grams of [24.1, 23.8, 24.4]) {
    const s = (grams / 0.42) * 60 * (1 + 0.04 * book.random.normal())
    book.write('spiritCone', 'ethanol', {
      test: 'simmer',
      setting: 'low',
      measured: { air: '18.0 °C', wind: 'calm', water: '473 g', waterStart: '98 °C', ...load(grams) },
      times: { potOn: '0:00', flameOut: formatClock(s) },
      notes: 'Simmer ring on.',
    })
  }
}

function warmUps(book: Notebook): void {
  for (const [place, base] of [
    ['store', 50],
    ['hut', 68],
    ['saddle', 131],
  ] as const) {
    book.on(place === 'saddle' ? '2026-06-21' : '2026-06-20', place)
    const s = base * (1 + 0.08 * book.random.normal())
    const air = tenth(WEATHER[place].airC)
    book.write('spiritCone', 'methanol', {
      test: 'warmUp',
      measured: { air: `${air} °C`, wind: 'calm', hardware: `${air} °C`, ...load(20) },
      times: { lit: '0:00', bloomed: formatClock(s), snuffed: formatClock(s + 20) },
      notes: '',
    })
  }
}

export function wood(book: Notebook): void {
  book.on('2026-07-02', 'hut')
  for (const holes of ['open', 'covered', 'open', 'covered']) {
    const loadG = 150 + 4 * book.random.normal()
    const burned = book.burn('wood', { loadG, setting: holes === 'open' ? 1 : 0.72, untilS: 3000 })
    const outS = burned.raw.flameOutS!
    book.write('wood', 'wood', {
      test: 'wood',
      takeBurnShare: true,
      measured: {
        ...conditions(burned),
        ...load(loadG),
        moisture: '14 %',
        char: `${(6 + book.random.normal()).toFixed(1)} g`,
      },
      times: {
        lit: '0:00',
        potOn: '0:30',
        rollingBoil: formatClock(burned.call(burned.raw.boilS!) + 30),
        flameLeftPot: formatClock(outS - 40),
        flameOut: formatClock(outS + 30),
      },
      notes: `Air holes ${holes}.`,
      seen: { soot: 'thick', smoke: holes === 'open' ? 'lighting' : 'thin', flame: 'even' },
    })
  }
}

/** Melting as a colder start: the same heat, through the same pot. */
export function snow(book: Notebook): void {
  book.on('2026-03-18', 'saddle')
  for (let i = 0; i < 3; i++) {
    const [starter, flakes] = [100 + 2 * i, 380 + Math.round(10 * book.random.normal())]
    const heatPerG = (333.6 + 2.1 * 10) / 4.19
    const burned = book.burn('hoseFins', {
      waterKg: (starter + flakes) / 1000,
      startC: (starter * 2 - flakes * heatPerG) / (starter + flakes),
      untilS: 2400,
    })
    book.write('hoseFins', 'gas', {
      test: 'snow',
      fromCanisterG: burned.usedG,
      measured: {
        air: `${burned.airC} °C`,
        wind: 'calm',
        water: `${starter} g`,
        snow: `${flakes} g`,
        waterStart: '2 °C',
      },
      times: { potOn: '0:00', rollingBoil: formatClock(burned.call(burned.raw.boilS!)) },
      notes: 'Dry snow, spooned in.',
    })
  }
}

/** Fixed time, 20 → 90 °C, a claim, cool-downs. */
export function quickTests(book: Notebook): void {
  book.on('2026-07-14', 'store')
  fixedTimes(book)
  rises(book)
  claims(book)
  coolDowns(book)
}

function fixedTimes(book: Notebook): void {
  for (let i = 0; i < 3; i++) {
    const burned = book.burn('narrowOpen', { untilS: 150, startC: 20 + 0.4 * book.random.normal() })
    book.write('narrowOpen', 'gas', {
      test: 'fixedTime',
      fromCanisterG: burned.usedG,
      measured: { ...conditions(burned), waterLast: `${tenth(burned.raw.endC)} °C` },
      times: { potOn: '0:00', shutOff: '2:30' },
      notes: 'Two and a half minutes: four would boil.',
    })
  }
}

function rises(book: Notebook): void {
  for (let i = 0; i < 3; i++) {
    const burned = book.burn('wideSheltered', { startC: 20 + 0.3 * book.random.normal() })
    const at = reaching(burned.raw, 90)!
    book.write('wideSheltered', 'gas', {
      test: 'rise',
      fromCanisterG: tenth(at.fuelG * (1 + 0.012 * book.random.normal())),
      measured: conditions(burned),
      times: { potOn: '0:00', targetReached: formatClock(at.s), shutOff: formatClock(at.s) },
      notes: '',
    })
  }
}

function claims(book: Notebook): void {
  for (let i = 0; i < 3; i++)
    book.boil('maar', 'gas', 'claim', {
      notes: 'Stated: 5.5 g for half a litre, from 15 °C.',
      waterKg: 0.5,
      startC: 15 + 0.5 * book.random.normal(),
      extra: { claimFuel: '5.5 g', claimWater: '500 mL', claimStart: '15 °C' },
    })
}

function coolDowns(book: Notebook): void {
  for (const setup of ['narrowOpen', 'wideSheltered'] as const) {
    const samples = simulateCoolDown(
      STOVES[setup],
      { waterKg: 0.473, startC: 96, airC: 18.5, pressurePa: 101_200, windMS: 0, setting: 0, lid: true },
      { forS: 1500, sampleEveryS: 15 },
    )
    book.write(setup, 'gas', {
      test: 'coolDown',
      measured: { air: '18.5 °C', wind: 'calm', water: '473 g' },
      times: { potOn: '', shutOff: '0:00' },
      trace: samples.map(({ s, waterC }) => [s, tenth(waterC + 0.1 * book.random.normal())]),
      notes: 'Lid on, off the flame.',
    })
  }
}
