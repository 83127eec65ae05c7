/** Workings of what a test says in its own terms. */
import type { Working } from '../../explain/working'
import type { TestFigures } from '../../formats/answer'
import { aimTemperature, lossCoefficient, ownConditions } from '../../normalise/heatRun'
import { inGrams, inPercent } from '../../quantity/shown'
import type { Composition } from '../composition'
import { assumed, computed, constant, measured } from './inputs'

type TestWorking = Omit<Working, 'path' | 'value'>
type TestWorkings = Partial<Record<keyof TestFigures, TestWorking>>

/** A working for every figure of the test that has a value. */
export function addTestFigures(parts: Composition, test: TestFigures, firepowerW: number | null): void {
  const { addWorking } = parts
  if (!addWorking) return
  const workings: TestWorkings = {
    ...ofFlame(parts, test),
    ...ofFuel(parts, test),
    ...ofHeat(parts, test, firepowerW),
    ...ofSnow(parts, test),
    ...ofWood(parts),
    ...ofCooling(parts),
  }
  for (const key of Object.keys(workings) as (keyof TestFigures)[]) {
    const working = workings[key]
    if (working !== undefined && test[key] !== null) addWorking({ path: `test.${key}`, value: test[key], ...working })
  }
}

function ofFlame({ readings: { times } }: Composition, test: TestFigures): TestWorkings {
  const usefulToS = times.boilS === null || test.usefulAfterBoilS === null ? null : times.boilS + test.usefulAfterBoilS
  return {
    warmUpS: {
      source: 'commonPractice',
      title: 'Warm-up',
      unit: 's',
      formula: '{t_full} − {t_lit}',
      inputs: [measured('t_full', 'Full flame', times.bloomedS, 's'), measured('t_lit', 'Lit', times.litS, 's')],
    },
    burnTimeS: {
      source: 'commonPractice',
      title: 'Burn time',
      unit: 's',
      formula: 'Σ (end − start) over the burns',
      inputs: times.burns.flatMap(({ startS, endS }, i) => [
        measured(`start ${i + 1}`, `Burn ${i + 1}, start`, startS, 's'),
        measured(`end ${i + 1}`, `Burn ${i + 1}, end`, endS, 's'),
      ]),
    },
    usefulAfterBoilS: {
      source: 'commonPractice',
      title: 'Useful heat after the boil',
      unit: 's',
      formula: '{t_end} − {t_boil}',
      inputs: [
        measured('t_end', 'Flame left the pot, went out, or the water fell 0.5 K', usefulToS, 's'),
        measured('t_boil', 'Boil', times.boilS, 's'),
      ],
    },
  }
}

function ofFuel({ readings }: Composition, test: TestFigures): TestWorkings {
  const fuel = computed('m', 'Fuel used', inGrams(readings.used?.massKg ?? null), 'g', { path: 'usedG' })
  const rate = { path: 'test.burnRateGPerMin' }
  const density =
    test.burnRateGPerMin !== null && test.burnRateMlPerMin !== null
      ? test.burnRateGPerMin / test.burnRateMlPerMin
      : null
  return {
    burnRateGPerMin: {
      source: 'commonPractice',
      title: 'Burn rate over the whole flame',
      unit: 'g/min',
      formula: '{m} / {t_burn} · 60',
      inputs: [fuel, computed('t_burn', 'Burn time', test.burnTimeS, 's', { path: 'test.burnTimeS' })],
    },
    burnRateMlPerMin: {
      source: 'crcDensity',
      title: 'Burn rate by volume',
      unit: 'mL/min',
      formula: '{rate} / {ρ}',
      inputs: [
        computed('rate', 'Burn rate', test.burnRateGPerMin, 'g/min', rate),
        constant('ρ', 'Density of the fuel', density, 'g/mL'),
      ],
    },
    boilsPerLoad: {
      source: 'commonPractice',
      title: 'Boils per load',
      unit: '',
      formula: '{m} / {m_boil}',
      inputs: [
        fuel,
        computed('m_boil', 'Fuel to the boil', inGrams(readings.toEnd?.massKg ?? null), 'g', { path: 'fuelToBoilG' }),
      ],
    },
  }
}

const ofHeat = (parts: Composition, test: TestFigures, firepowerW: number | null): TestWorkings => ({
  ...ofRise(parts, test),
  ...ofSimmer(parts, firepowerW),
})

function ofRise({ input, readings, figured: { run } }: Composition, test: TestFigures): TestWorkings {
  return {
    riseK: {
      source: 'commonPractice',
      title: 'Temperature rise',
      unit: 'K',
      formula: '{T_end} − {T_start}',
      inputs: [
        measured('T_end', 'Last temperature', readings.endC, '°C'),
        measured('T_start', 'Start temperature', input.water.startC, '°C'),
      ],
    },
    powerIntoWaterW: {
      source: 'wbt',
      title: 'Power into water and pot',
      unit: 'W',
      formula: '({m_w}·Δh + {C_p}·{ΔT}) / {t}',
      inputs: [
        measured('m_w', 'Water', inGrams(run.waterKg), 'g'),
        computed('C_p', 'Pot', run.potJPerK, 'J/K'),
        computed('ΔT', 'Rise', test.riseK, 'K', { path: 'test.riseK' }),
        measured('t', 'Time', readings.heatS, 's'),
      ],
      note: 'Δh is the enthalpy of water between the two temperatures (IAPWS-IF97).',
    },
  }
}

function ofSimmer({ input, series, figured: { run } }: Composition, firepowerW: number | null): TestWorkings {
  return {
    turnDownRatio: {
      source: 'wbt',
      title: 'Turn-down ratio',
      unit: '',
      formula: '{high} / {low}',
      inputs: [
        computed('high', 'Largest firepower of this set-up', series.highFirepowerW, 'W'),
        computed('low', 'Firepower of this run', firepowerW, 'W', { path: 'firepowerW' }),
      ],
    },
    holdingPowerW: {
      source: 'newton',
      title: 'Heat that holds the boil',
      unit: 'W',
      formula: '{K_loss} · ({T_b} − {T_a}) + P_ev',
      inputs: [
        computed('K_loss', 'Heat loss coefficient', lossCoefficient(run, run.windMS), 'W/K'),
        computed('T_b', 'Boiling point', aimTemperature(run, ownConditions(run)), '°C', { path: 'boilingPointC' }),
        measured('T_a', 'Air', input.place.airC, '°C'),
      ],
      note: 'P_ev is the evaporation of an open pot; with a lid it is left out.',
    },
  }
}

const ofSnow = ({ input: { water, place } }: Composition, test: TestFigures): TestWorkings => ({
  meltEnergyKJ: {
    source: 'crcIce',
    title: 'Heat to melt the snow',
    unit: 'kJ',
    formula: '{m_snow}·(333.6 − 2.09·{T_snow})/1000 − heat of the starter water',
    inputs: [
      measured('m_snow', 'Snow', inGrams(water.snowKg), 'g'),
      assumed('T_snow', 'Snow', Math.min(0, place.airC ?? 0), '°C'),
    ],
  },
  toWaterS: {
    source: 'newton',
    title: 'Until all was water',
    unit: 's',
    formula: '{melt} / heat flow at 0 °C',
    inputs: [computed('melt', 'Heat to melt', test.meltEnergyKJ, 'kJ', { path: 'test.meltEnergyKJ' })],
  },
})

const ofWood = ({ input: { fuel } }: Composition): TestWorkings => ({
  dryFuelG: {
    source: 'wbt',
    title: 'Wood, as dry wood of the same heat',
    unit: 'g',
    formula: 'm·[LHV·(1 − {M}) − {M}·(c_w·(T_b − T_a) + h_fg)]/LHV − {char}·LHV_char/LHV',
    inputs: [
      measured('M', 'Moisture, wet basis', inPercent(fuel.moisture), '%'),
      measured('char', 'Char left', inGrams(fuel.charKg), 'g'),
    ],
  },
})

const ofCooling = ({ input: { place }, readings }: Composition): TestWorkings => ({
  lossWPerK: {
    source: 'newton',
    title: 'Heat loss coefficient, by cooling',
    unit: 'W/K',
    formula: 'k · C in T = {T_a} + (T₀ − {T_a})·e^(−k·t)',
    inputs: [
      measured('T_a', 'Air', place.airC, '°C'),
      computed('k', 'Samples fitted', readings.coolDown?.n ?? null, ''),
    ],
  },
})
