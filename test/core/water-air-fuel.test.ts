/** Properties of water, air and fuels against tables and libraries made elsewhere. */
import { describe, expect, it } from 'vitest'
import psychrolib from 'psychrolib'
import { boilingPointByRule, boilingPointFromPressure, saturationPressure } from '../../core/water/saturation'
import { latentHeat, liquidDensity, liquidEnthalpy, litresFromMass } from '../../core/water/liquid'
import {
  altitudeFromStationPressure,
  stationPressureFromAltitude,
  stationPressureFromReadings,
  stationPressureFromSeaLevel,
} from '../../core/air/pressure'
import { windAtPot } from '../../core/air/wind'
import { densityAt, FUELS, FUEL_KINDS } from '../../core/constants/fuels'
import { SOURCES } from '../../core/constants/sources'
import table from '../reference/if97.json'

describe('water, against IAPWS-IF97 (table made with Debian’s python3-iapws 1.5.2 by make-if97-table.py)', () => {
  it.each(table.boiling.rows)('at %d Pa boils at %d °C', (pressurePa, boilingC) => {
    expect(boilingPointFromPressure(pressurePa!)).toBeCloseTo(boilingC!, 5)
  })

  it('has the saturation pressure of the table, to 2e-7 (the table keeps four decimals)', () => {
    for (const [tempC, pa] of table.saturation.rows) expect(saturationPressure(tempC!) / pa!).toBeCloseTo(1, 6)
  })

  it('has enthalpy differences within 0.025 kJ/kg and density within 0.03 kg/m³ over 0–100 °C, 50–105 kPa', () => {
    // Twice the fit's stated residual, and what pressure adds; 0.025 kJ/kg of a rise of 80 K is 0.007 %.
    for (const pressureKPa of new Set(table.liquid.rows.map((row) => row[0]))) {
      const rows = table.liquid.rows.filter((row) => row[0] === pressureKPa)
      const at20 = rows.find((row) => row[1] === 20)!
      for (const [, tempC, enthalpy, density] of rows) {
        expect(Math.abs(liquidEnthalpy(tempC!) - liquidEnthalpy(20) - (enthalpy! - at20[2]!))).toBeLessThan(0.025)
        expect(Math.abs(liquidDensity(tempC!) - density!)).toBeLessThan(0.03)
      }
    }
  })

  it('has the latent heat of the table within 0.03 kJ/kg', () => {
    for (const [tempC, latent] of table.latent.rows) expect(Math.abs(latentHeat(tempC!) - latent!)).toBeLessThan(0.03)
  })

  // Source: published water-boiling test protocols, boiling point rule; agreement stated in the method.
  it('boils within 0.1 °C of the rule 100 − h/300 up to 5 000 m', () => {
    for (let h = 0; h <= 5000; h += 250)
      expect(Math.abs(boilingPointFromPressure(stationPressureFromAltitude(h)) - boilingPointByRule(h))).toBeLessThan(
        0.1,
      )
  })

  // Public check cases of the method, re-derived with IAPWS-IF97.
  it.each([
    [0, 101_325, 99.974],
    [1500, 84_556, 94.983],
    [3000, 70_108, 89.972],
    [5000, 54_020, 83.255],
  ])('at %d m: %d Pa, boils at %d °C', (altitudeM, pa, boilingC) => {
    expect(Math.abs(stationPressureFromAltitude(altitudeM) - pa)).toBeLessThan(1)
    expect(boilingPointFromPressure(stationPressureFromAltitude(altitudeM))).toBeCloseTo(boilingC, 3)
  })

  it('a litre is a mass: 473 g is 0.47385 L', () => expect(litresFromMass(0.473)).toBeCloseTo(0.47385, 5))
})

describe('pressure', () => {
  // Source: psychrolib (ASHRAE Handbook Fundamentals 2017, ch. 1, eq. 3), from the npm registry.
  it('falls with altitude as psychrolib says, to 1e-5', () => {
    psychrolib.SetUnitSystem(psychrolib.SI)
    for (let h = -500; h <= 9000; h += 500)
      expect(stationPressureFromAltitude(h) / psychrolib.GetStandardAtmPressure(h)).toBeCloseTo(1, 4)
  })

  it('comes back to its altitude', () => {
    for (const h of [-400, 0, 940, 2870, 8000])
      expect(altitudeFromStationPressure(stationPressureFromAltitude(h))).toBeCloseTo(h, 6)
  })

  // The method states 3 % for 2 500 m and 25 K below standard.
  it('reduced to sea level: plain conversion is 3 % out in deep cold at 2 500 m', () => {
    const plain = stationPressureFromSeaLevel(101_325, 2500, null)
    expect(plain / stationPressureFromSeaLevel(101_325, 2500, -26.25)).toBeCloseTo(1.03, 2)
    expect(stationPressureFromSeaLevel(101_325, 2500, -1.25) / plain).toBeCloseTo(1, 3)
  })

  it('measured beats reduced beats altitude, and none is none', () => {
    const readings = {
      stationPressurePa: 90_510,
      seaLevelPressurePa: 101_000,
      altitudeM: 940,
      airC: 11,
      readingUPa: 100,
    }
    expect(stationPressureFromReadings(readings)).toMatchObject({ pressurePa: 90_510, uPa: 100, basis: 'measured' })
    expect(stationPressureFromReadings({ ...readings, stationPressurePa: null })).toMatchObject({ basis: 'seaLevel' })
    expect(
      stationPressureFromReadings({ ...readings, stationPressurePa: null, seaLevelPressurePa: null })!.uPa,
    ).toBeCloseTo(Math.hypot(800, 376), 6)
    expect(stationPressureFromReadings({ ...readings, stationPressurePa: null, altitudeM: null })).toBeNull()
  })

  // The method states × 0.40 from 10 m to the pot at 0.3 m.
  it('wind at 10 m is × 0.40 at the pot', () => expect(windAtPot(10, 10)).toBeCloseTo(3.96, 2))
})

describe('fuels', () => {
  // Source: the method's list, re-derived from standard enthalpies of formation; agreement to 0.01 MJ/kg.
  it.each([
    ['propane', 46.33],
    ['n-butane', 45.72],
    ['isobutane', 45.57],
    ['methanol', 19.92],
    ['ethanol', 26.8],
    ['isopropanol-91', 26.37],
    ['isopropanol-70', 18.19],
    ['isopropanol-99', 29.99],
    ['hexamine', 28.08],
    ['trioxane', 15.36],
  ])('%s has a lower heating value of %d MJ/kg', (kind, lhv) => {
    expect(Math.abs(FUELS[kind]!.lowerHeatingValue.value - lhv)).toBeLessThan(0.0101)
  })

  // The limit stated in the method: 334.5 kJ heats a litre from 20 to 100 °C.
  it.each([
    ['isobutane-propane', 7.25, 0.1],
    ['ethanol', 12.5, 0.05],
    ['methanol', 16.8, 0.05],
    ['hexamine', 11.9, 0.05],
  ])('at 100 %% efficiency %s needs %d g for a litre', (kind, grams, within) => {
    const heatKJ = 0.99821 * (liquidEnthalpy(100) - liquidEnthalpy(20))
    expect(heatKJ).toBeCloseTo(334.5, 0)
    expect(Math.abs(heatKJ / FUELS[kind]!.lowerHeatingValue.value - grams)).toBeLessThan(within)
  })

  // Source: CRC Handbook, densities of methanol at 10 °C 0.8008 and 30 °C 0.7818 g/mL (from memory).
  it('methanol is denser in the cold', () => {
    expect(densityAt(FUELS.methanol!, 10)! / 1000).toBeCloseTo(0.8008, 3)
    expect(densityAt(FUELS.methanol!, 30)! / 1000).toBeCloseTo(0.7818, 3)
  })

  it('every fuel names its sources and an uncertainty', () => {
    for (const kind of FUEL_KINDS) {
      for (const constant of [FUELS[kind]!.lowerHeatingValue, FUELS[kind]!.density]) {
        if (constant === null) continue
        expect(SOURCES[constant.reference]).toBeTruthy()
        expect(constant.standardUncertainty).toBeGreaterThan(0)
      }
    }
  })
})
