/** The workings of what a test says in its own terms, of its trace, and of its set-up's wind. */
import type { Working, WorkingInput } from '../explain/working'
import type { SourceKey } from '../constants/sources'
import type { RunAnswer, SetupMean, TestFigures } from '../formats/answer'
import { aimTemperature, lossCoefficient, ownConditions } from '../normalise/heatRun'
import { FIGURE } from '../normalise/figures'
import { sharesOf } from '../uncertainty/propagate'
import type { Composition } from './answerRun'

interface Told {
  title: string
  unit: string
  formula: string
  inputs: WorkingInput[]
  source: SourceKey
  note?: string
}

const measured = (symbol: string, name: string, value: number | null, unit: string): WorkingInput => ({
  symbol,
  name,
  value,
  unit,
  from: 'measured',
})
const computed = (symbol: string, name: string, value: number | null, unit: string, path?: string): WorkingInput => ({
  symbol,
  name,
  value,
  unit,
  from: 'computed',
  path,
})

/** Tells every figure of the test that has a value. */
export function tellTest(parts: Composition, test: TestFigures, firepowerW: number | null): void {
  const { tell } = parts
  if (!tell) return
  const told = testWorkings(parts, test, firepowerW)
  for (const key of Object.keys(told) as (keyof typeof told)[]) {
    const working = told[key]
    if (working !== undefined && test[key] !== null) tell({ path: `test.${key}`, value: test[key], ...working })
  }
}

function testWorkings(
  { document, readings, series, figured: { run } }: Composition,
  test: TestFigures,
  firepowerW: number | null,
): Partial<Record<keyof TestFigures, Told>> {
  const { times, used, heatS } = readings
  const own = ownConditions(run)
  const fuel = computed('m', 'Fuel used', used?.grams ?? null, 'g', 'usedG')
  const burnTime = computed('t_burn', 'Burn time', test.burnTimeS, 's', 'test.burnTimeS')
  const common = { source: 'commonPractice' as const }
  return {
    warmUpS: {
      ...common,
      title: 'Warm-up',
      unit: 's',
      formula: '{t_full} − {t_lit}',
      inputs: [measured('t_full', 'Full flame', times.bloomedS, 's'), measured('t_lit', 'Lit', times.litS, 's')],
    },
    burnTimeS: {
      ...common,
      title: 'Burn time',
      unit: 's',
      formula: 'Σ (end − start) over the burns',
      inputs: times.burns.flatMap(({ startS, endS }, i) => [
        measured(`start ${i + 1}`, `Burn ${i + 1}, start`, startS, 's'),
        measured(`end ${i + 1}`, `Burn ${i + 1}, end`, endS, 's'),
      ]),
    },
    burnRateGPerMin: {
      ...common,
      title: 'Burn rate over the whole flame',
      unit: 'g/min',
      formula: '{m} / {t_burn} · 60',
      inputs: [fuel, burnTime],
    },
    burnRateMlPerMin: {
      source: 'crcDensity',
      title: 'Burn rate by volume',
      unit: 'mL/min',
      formula: '{rate} / {ρ}',
      inputs: [
        computed('rate', 'Burn rate', test.burnRateGPerMin, 'g/min', 'test.burnRateGPerMin'),
        {
          symbol: 'ρ',
          name: 'Density of the fuel',
          value:
            test.burnRateGPerMin !== null && test.burnRateMlPerMin !== null
              ? test.burnRateGPerMin / test.burnRateMlPerMin
              : null,
          unit: 'g/mL',
          from: 'constant',
        },
      ],
    },
    usefulAfterBoilS: {
      ...common,
      title: 'Useful heat after the boil',
      unit: 's',
      formula: '{t_end} − {t_boil}',
      inputs: [
        measured(
          't_end',
          'Flame left the pot, went out, or the water fell 0.5 K',
          times.boilS === null || test.usefulAfterBoilS === null ? null : times.boilS + test.usefulAfterBoilS,
          's',
        ),
        measured('t_boil', 'Boil', times.boilS, 's'),
      ],
    },
    boilsPerLoad: {
      ...common,
      title: 'Boils per load',
      unit: '',
      formula: '{m} / {m_boil}',
      inputs: [fuel, computed('m_boil', 'Fuel to the boil', readings.toEnd?.grams ?? null, 'g', 'fuelToBoilG')],
    },
    riseK: {
      ...common,
      title: 'Temperature rise',
      unit: 'K',
      formula: '{T_end} − {T_start}',
      inputs: [
        measured('T_end', 'Last temperature', readings.endC, '°C'),
        measured('T_start', 'Start temperature', document.water.startC, '°C'),
      ],
    },
    powerIntoWaterW: {
      source: 'wbt',
      title: 'Power into water and pot',
      unit: 'W',
      formula: '({m_w}·Δh + {C_p}·{ΔT}) / {t}',
      inputs: [
        measured('m_w', 'Water', run.waterKg * 1000, 'g'),
        computed('C_p', 'Pot', run.potJPerK, 'J/K'),
        computed('ΔT', 'Rise', test.riseK, 'K', 'test.riseK'),
        measured('t', 'Time', heatS, 's'),
      ],
      note: 'Δh is the enthalpy of water between the two temperatures (IAPWS-IF97).',
    },
    turnDownRatio: {
      source: 'wbt',
      title: 'Turn-down ratio',
      unit: '',
      formula: '{high} / {low}',
      inputs: [
        computed('high', 'Largest firepower of this set-up', series.highFirepowerW, 'W'),
        computed('low', 'Firepower of this run', firepowerW, 'W', 'firepowerW'),
      ],
    },
    holdingPowerW: {
      source: 'newton',
      title: 'Heat that holds the boil',
      unit: 'W',
      formula: '{K_loss} · ({T_b} − {T_a}) + P_ev',
      inputs: [
        computed('K_loss', 'Heat loss coefficient', lossCoefficient(run, run.windMS), 'W/K'),
        computed('T_b', 'Boiling point', aimTemperature(run, own), '°C', 'boilingPointC'),
        measured('T_a', 'Air', document.place.airC, '°C'),
      ],
      note: 'P_ev is the evaporation of an open pot; with a lid it is left out.',
    },
    meltEnergyKJ: {
      source: 'crcIce',
      title: 'Heat to melt the snow',
      unit: 'kJ',
      formula: '{m_snow}·(333.6 − 2.09·{T_snow})/1000 − heat of the starter water',
      inputs: [
        measured('m_snow', 'Snow', document.water.snowG, 'g'),
        { symbol: 'T_snow', name: 'Snow', value: Math.min(0, document.place.airC ?? 0), unit: '°C', from: 'assumed' },
      ],
    },
    toWaterS: {
      source: 'newton',
      title: 'Until all was water',
      unit: 's',
      formula: '{melt} / heat flow at 0 °C',
      inputs: [computed('melt', 'Heat to melt', test.meltEnergyKJ, 'kJ', 'test.meltEnergyKJ')],
    },
    dryFuelG: {
      source: 'wbt',
      title: 'Wood, as dry wood of the same heat',
      unit: 'g',
      formula: 'm·[LHV·(1 − {M}) − {M}·(c_w·(T_b − T_a) + h_fg)]/LHV − {char}·LHV_char/LHV',
      inputs: [
        measured('M', 'Moisture, wet basis', document.fuel.moisturePct, '%'),
        measured('char', 'Char left', document.fuel.charG, 'g'),
      ],
    },
    lossWPerK: {
      source: 'newton',
      title: 'Heat loss coefficient, by cooling',
      unit: 'W/K',
      formula: 'k · C in T = {T_a} + (T₀ − {T_a})·e^(−k·t)',
      inputs: [
        measured('T_a', 'Air', document.place.airC, '°C'),
        computed('k', 'Samples fitted', readings.coolDown?.n ?? null, ''),
      ],
    },
  }
}

/** The boil and the fit that the trace gives. */
export function tellTrace(
  { document, readings, tell }: Composition,
  { traceFit, boilFound }: Pick<RunAnswer, 'traceFit' | 'boilFound'>,
): void {
  if (!tell) return
  if (boilFound !== null && boilFound.atS !== null) {
    tell({
      path: 'boilFound',
      title: 'Boil, by the trace',
      value: boilFound.atS,
      unit: 's',
      source: 'boilFinder',
      formula: 'where the fitted rise crosses {L} − 0.5 K',
      inputs: [
        computed('L', 'Plateau', boilFound.levelC, '°C'),
        computed('T_b', 'Boiling point here', readings.boilingC, '°C', 'boilingPointC'),
        {
          symbol: 'offset',
          name: 'Probe offset, plateau − boiling point',
          value: boilFound.offsetK,
          u: boilFound.offsetU,
          unit: 'K',
          from: 'computed',
        },
        computed('slope', 'Rise at the boil', boilFound.slopeKPerS, 'K/s'),
      ],
      note: `Standard uncertainty ${boilFound.u!.toFixed(1)} s.${boilFound.dips ? ' Dips were seen, as when the lid is lifted: three times wider.' : ''}${boilFound.spikes > 0 ? ` Spikes left out: ${boilFound.spikes}.` : ''}`,
    })
  }
  traceFit?.forEach((burn, i) => {
    tell({
      path: `traceFit.${i}`,
      title: 'Heat flow into a cold pot, by the trace',
      value: burn.q0W.value,
      unit: 'W',
      source: 'newton',
      formula: 'q0 = C·{s} + {K}·({T_i} − {T_a}) from T = {T_i} + {s}·(1 − e^(−kτ))/k, K = k·C',
      inputs: [
        computed('s', 'Slope at the start', burn.slopeKPerS, 'K/s'),
        {
          symbol: 'K',
          name: 'K = K_loss + q0/Θ',
          value: burn.lossAndDroopWPerK.value,
          u: burn.lossAndDroopWPerK.u,
          unit: 'W/K',
          from: 'computed',
        },
        { symbol: 'lag', name: 'Start lag', value: burn.lagS.value, u: burn.lagS.u, unit: 's', from: 'computed' },
        computed('T_i', 'Start of the fit', burn.startC, '°C'),
        measured('T_a', 'Air', document.place.airC, '°C'),
      ],
      note: `${burn.n} samples, scatter ${burn.rmsK.toFixed(2)} K, standard uncertainty ${burn.q0W.u.toFixed(1)} W. The ladder keeps the heat flow from the timed heating, so that runs with and without a trace are read alike.`,
    })
  })
}

/** γ of the set-up, and the winds that follow from it. */
export function tellWind({ series: { wind, windLimits }, options, tell }: Composition): void {
  if (!tell || wind === null || windLimits === null) return
  const own = wind.basis === 'ownSeries'
  const gamma: WorkingInput = {
    symbol: 'γ',
    name: own ? 'γ, from its own runs' : 'γ, of the burner’s class',
    value: wind.gamma,
    u: wind.gammaU,
    unit: wind.exponent === 1 ? 's/m' : '(m/s)⁻ⁿ',
    from: own ? 'computed' : 'assumed',
    path: 'setup.gamma',
  }
  const source = own ? 'windSeries' : 'commonPractice'
  tell({
    path: 'setup.gamma',
    title: 'Wind’s hold on the flame, γ',
    value: wind.gamma,
    unit: wind.exponent === 1 ? 's/m' : '(m/s)⁻ⁿ',
    source,
    formula: 'ln(q0/ṁ) = a − {γ}·vⁿ',
    inputs: [
      { ...gamma, path: undefined },
      {
        symbol: 'n',
        name: 'Exponent',
        value: wind.exponent,
        unit: '',
        from: wind.exponent === 1 ? 'assumed' : 'computed',
      },
    ],
    note: own
      ? 'Fitted by least squares to all its runs, those that never boiled too.'
      : 'Known to a factor of 1.6, and not beyond 4 m/s.',
  })
  const reference = `At start ${options.reference.startC.toFixed(1)} °C, ${options.reference.pressureHPa.toFixed(0)} hPa, air ${options.reference.airC.toFixed(1)} °C.`
  if (windLimits.doublingMS !== null)
    tell({
      path: 'setup.doublingMS',
      title: 'Wind that doubles the fuel',
      value: windLimits.doublingMS,
      unit: 'm/s',
      source,
      formula: 't(v) = 2·t(0), solved for v',
      inputs: [gamma],
      note: reference,
    })
  if (windLimits.stallMS !== null)
    tell({
      path: 'setup.stallMS',
      title: 'Wind in which it no longer boils',
      value: windLimits.stallMS,
      unit: 'm/s',
      source,
      formula: 'q0·e^(−{γ}·vⁿ)·(1 − (T_b − T_a)/Θ) = K_loss(v)·(T_b − T_a), solved for v',
      inputs: [gamma],
      note: reference,
    })
}

/** Times: the boil by its clock, and the time there would be at the reference. */
export function tellTimes(
  { readings: { times }, options, figured: { run, budget, climbed }, tell }: Composition,
  { timeToBoilS, normalisedTimeS }: Pick<RunAnswer, 'timeToBoilS' | 'normalisedTimeS'>,
): void {
  if (!tell) return
  if (timeToBoilS !== null) {
    tell({
      path: 'timeToBoilS',
      title: 'Time to the boil',
      value: timeToBoilS,
      unit: 's',
      source: 'commonPractice',
      formula: '{t_boil} − {t_0}',
      inputs: [
        measured('t_boil', times.boilFrom === 'trace' ? 'Boil, from the trace' : 'Boil, called', times.boilS, 's'),
        measured('t_0', `Clock: ${CLOCK_NAMES[options.clock]}`, times.clockZeroS, 's'),
      ],
    })
  }
  if (normalisedTimeS === null || !climbed?.ok) return
  const { reference } = options
  tell({
    path: 'normalisedTimeS',
    title: 'Time to the boil at the reference',
    value: normalisedTimeS,
    unit: 's',
    source: options.model === 'loss' ? 'newton' : 'wbt',
    shares: sharesOf(budget, FIGURE.normalisedTime),
    formula:
      options.model === 'loss'
        ? 't = (C/K) · ln[(q0 − K·({T_i} − {T_a})) / (q0 − K·({T_e} − {T_a}))], K = K_loss + q0/Θ, q0 in the reference wind'
        : 'own time · heat or rise at the reference / heat or rise here',
    inputs: [
      computed('q0', 'Heat flow into a cold pot, here', climbed.value.q0W, 'W', 'q0W'),
      { symbol: 'T_i', name: 'Start', value: reference.startC, unit: '°C', from: 'reference' },
      { symbol: 'T_a', name: 'Air', value: reference.airC, unit: '°C', from: 'reference' },
      {
        symbol: 'T_e',
        name: 'End',
        value: aimTemperature(run, { ...ownConditions(run), pressurePa: reference.pressureHPa * 100 }),
        unit: '°C',
        from: 'reference',
      },
      { symbol: 'v', name: 'Wind', value: reference.windMS, unit: 'm/s', from: 'reference' },
    ],
  })
}
const CLOCK_NAMES = { potOn: 'pot-on', lit: 'lighting', bloomed: 'full flame' }

/** A mean of a set-up's runs. @param leftOut how many were impossible */
export function setupWorking({ n, meanGPerL, meanU, sdGPerL, ci95 }: SetupMean, leftOut: number): Working {
  return {
    path: 'setup.mean',
    title: 'Mean of the set-up’s runs',
    value: meanGPerL,
    unit: 'g/L',
    source: 'gum',
    formula: 'Σ g/L / {n},  u² = max({s}², u_rand²)/{n} + u_shared²',
    inputs: [
      computed('n', 'Runs, wholly normalised', n, ''),
      computed('s', 'Scatter between them', sdGPerL, 'g/L'),
      computed('u', 'Standard uncertainty of the mean', meanU, 'g/L'),
    ],
    note: `${ci95 === null ? 'One run: no scatter, no interval.' : `95 % from ${ci95[0].toFixed(2)} to ${ci95[1].toFixed(2)} g/L, by Student’s factor for its effective degrees of freedom.`} What all share (Θ, heat loss, γ, the scale) is not divided by n.${leftOut > 0 ? ` Left out, since impossible: ${leftOut}.` : ''}`,
  }
}
