/** Fits to traces, held against scipy's curve_fit and against simulated stoves whose truth is known. */
import { describe, expect, it } from 'vitest'
import { CAMPAIGN_SETUPS, CAMPAIGN_WATER_KG } from '../../core/simulate/campaign'
import { seededRandom } from '../../core/simulate/random'
import { simulateRun } from '../../core/simulate/simulateRun'
import { unbrokenHeatingTime } from '../../core/heating/gaps'
import { heatingTime } from '../../core/heating/heatingTime'
import { fitCoolDown } from '../../core/trace/fitCoolDown'
import { fitHeating } from '../../core/trace/fitHeating'
import made from '../reference/statistics.json'

type Trace = [number, number][]
const C = 2035
const fitted = (trace: Trace, burns = [{ startS: 0, endS: 1e6 }], airC = 11) =>
  fitHeating(trace, { capacityJPerK: C, airC, boilingC: 200, burns })
const one = (result: ReturnType<typeof fitHeating>) => {
  if (!result.ok) throw new Error(result.problem.what)
  return result.value.burns[0]!
}

describe('heating fit', () => {
  // Source: scipy.optimize.curve_fit on the same noisy points (statistics.json, made by make-statistics.py).
  it('gives scipy’s slope, rate and lag, and its intervals where residuals are independent', () => {
    const {
      startC,
      trace,
      parameters: [slope, rate, lag],
      u,
    } = made.heating
    const burn = one(fitted([[-20, startC], [-10, startC], [-5, startC], ...(trace as Trace)]))
    const excess = startC - 11
    expect(burn.lossAndDroopWPerK.value / C).toBeCloseTo(rate!, 6)
    expect((burn.q0W.value - burn.lossAndDroopWPerK.value * excess) / C).toBeCloseTo(slope!, 5)
    expect(burn.lagS.value).toBeCloseTo(lag!, 2)
    // Neighbours that chance to go together widen ours a little.
    expect(burn.lossAndDroopWPerK.u / C / u[1]!).toBeGreaterThan(0.95)
    expect(burn.lossAndDroopWPerK.u / C / u[1]!).toBeLessThan(1.3)
    expect(burn.flameChanged).toBe(false)
  })

  it('is exact without noise, with a loss near zero too', () => {
    for (const [q0, loss] of [
      [800, 0.9],
      [800, 1e-9],
      [300, 2.4],
    ] as const) {
      const temp = (s: number) => 11 + q0 / loss - (q0 / loss + 2) * Math.exp((-loss * Math.max(0, s - 6)) / C)
      const straight = (s: number) => 9 + (q0 / C) * Math.max(0, s - 6)
      const burn = one(
        fitted(
          Array.from({ length: 90 }, (_, i): [number, number] => [i * 2, loss < 1e-6 ? straight(i * 2) : temp(i * 2)]),
        ),
      )
      expect(burn.q0W.value).toBeCloseTo(q0, 2)
      expect(burn.lossAndDroopWPerK.value).toBeCloseTo(loss < 1e-6 ? 0 : loss, 4)
      expect(burn.lagS.value).toBeCloseTo(6, 2)
    }
  })

  it('a flame turned down half-way shows as a bend in the residuals', () => {
    const random = seededRandom(2)
    const trace = Array.from({ length: 150 }, (_, i): [number, number] => [
      i * 2,
      10 + 0.4 * Math.min(i * 2, 150) + 0.2 * Math.max(0, i * 2 - 150) + 0.15 * random.normal(),
    ])
    expect(one(fitted(trace)).flameChanged).toBe(true)
  })

  it('several burns are fitted one by one, and the gap between them cools by Newton’s law', () => {
    const [q0, loss, theta] = [700, 0.4, 1280]
    const k = loss + q0 / theta
    const burn = (fromC: number, s: number) => 11 + q0 / k + (fromC - 11 - q0 / k) * Math.exp((-k * s) / C)
    const cool = (fromC: number, s: number) => 11 + (fromC - 11) * Math.exp((-loss * s) / C)
    const at = (s: number) =>
      s <= 120 ? burn(9, s) : s <= 300 ? cool(burn(9, 120), s - 120) : burn(cool(burn(9, 120), 180), s - 300)
    const trace = Array.from({ length: 220 }, (_, i): [number, number] => [i * 2, at(i * 2)])
    const fit = fitted(trace, [
      { startS: 0, endS: 120 },
      { startS: 300, endS: 438 },
    ])
    expect(fit.ok && fit.value.burns.map(({ q0W }) => Math.round(q0W.value))).toEqual([700, 700])
    // The same two burns, as one unbroken one: the run's figure rests on it.
    const heating = {
      startC: 9,
      endC: at(438),
      airC: 11,
      capacityJPerK: C,
      lossWPerK: loss,
      thetaK: theta,
      evaporation: null,
      vapourW: 0,
      meltJ: 0,
    }
    const whole = unbrokenHeatingTime([120, 180, 138], heating)
    expect(whole.ok && whole.value).toBeCloseTo(heatingTime(q0, heating), 3)
    expect(heatingTime(q0, heating)).toBeLessThan(258)
  })

  it('on a simulated stove, which loses and evaporates in its own way, q0 comes within 5 %', () => {
    const setup = CAMPAIGN_SETUPS['wide-sheltered']
    const { samples } = simulateRun(setup, {
      waterKg: CAMPAIGN_WATER_KG,
      startC: 10,
      airC: 10,
      pressurePa: 101_325,
      windMS: 0,
      setting: 1,
      lid: true,
    })
    const fit = fitHeating(
      samples.map(({ s, waterC }) => [s, waterC]),
      {
        capacityJPerK: CAMPAIGN_WATER_KG * 4190 + setup.potJPerK,
        airC: 10,
        boilingC: 100,
        burns: [{ startS: 0, endS: 1e6 }],
      },
    )
    // Into the wall at the air's temperature: H₀·Θ, in series with the wall.
    const truth = (setup.h0WPerK * setup.thetaK) / (1 + setup.h0WPerK / 60)
    expect(Math.abs(one(fit).q0W.value / truth - 1)).toBeLessThan(0.05)
  })

  it.each<[string, Trace]>([
    ['empty', []],
    ['one sample', [[0, 9]]],
    ['constant', Array.from({ length: 60 }, (_, i) => [i, 20])],
    ['falling', Array.from({ length: 60 }, (_, i) => [i, 80 - i / 2])],
  ])('%s: nothing to fit, in words', (_, trace) => {
    expect(fitted(trace)).toMatchObject({ ok: false, problem: { code: 'nothing-to-fit' } })
  })
})

describe('cool-down fit', () => {
  const known = { capacityJPerK: C, capacityU: 20, airC: made.coolDown.airC, airU: 0.5, boilingC: 100, fromS: 0 }
  // Source: scipy.optimize.curve_fit on the same noisy points.
  it('gives scipy’s rate, as a heat loss', () => {
    const result = fitCoolDown(made.coolDown.trace as Trace, known)
    if (!result.ok) throw new Error(result.problem.what)
    expect(result.value.lossWPerK / C).toBeCloseTo(made.coolDown.parameters[1]!, 8)
    expect(result.value.u / C).toBeGreaterThan(made.coolDown.u[1]!)
    expect(result.value.timeConstantS).toBeCloseTo(1 / made.coolDown.parameters[1]!, 0)
  })

  it('says why a trace tells nothing', () => {
    for (const trace of [
      [],
      [
        [0, 20],
        [10, 20],
      ],
      Array.from({ length: 50 }, (_, i) => [i, 40 + i]),
    ] as Trace[])
      expect(fitCoolDown(trace, known)).toMatchObject({ ok: false, problem: { code: 'not-cooling' } })
  })
})
