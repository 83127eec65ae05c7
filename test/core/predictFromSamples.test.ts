/**
 * A thermometer that sends while it burns, by simulated runs whose true boil is known: offered soon, near, and never
 * where it stalls.
 */
import { describe, expect, it } from 'vitest'
import { predictFromSamples } from '../../core/forecast/predictFromSamples'
import { CAMPAIGN_SETUPS, CAMPAIGN_WATER_KG, type CampaignSetup } from '../../core/simulate/campaign'
import { probeReadings } from '../../core/simulate/probe'
import { seededRandom } from '../../core/simulate/random'
import { simulatedBoilingPoint } from '../../core/simulate/stove'
import { simulateRun } from '../../core/simulate/simulateRun'
import { boilingPointFromPressure } from '../../core/water/saturation'

const STOVES = Object.keys(CAMPAIGN_SETUPS) as CampaignSetup[]

/**
 * A run as its probe sends it at 1 Hz: noise 0.15 K, an offset of its own, 0.1 °C steps, and no lag (a known one is
 * subtracted).
 */
function sent(seed: number, { windMS = 0, giveUpS = 1500, keepBoilingS = 40 } = {}) {
  const random = seededRandom(seed)
  const pressurePa = 70_000 + 31_000 * random.uniform()
  const run = simulateRun(
    CAMPAIGN_SETUPS[STOVES[seed % 5]!],
    {
      waterKg: CAMPAIGN_WATER_KG * (0.8 + 0.4 * random.uniform()),
      startC: 8 + 12 * random.uniform(),
      airC: 12,
      pressurePa,
      windMS,
      setting: 1,
      lid: true,
    },
    { sampleEveryS: 1, keepBoilingS, giveUpS },
  )
  const level = simulatedBoilingPoint(pressurePa) - 0.5
  const after = run.samples.findIndex((sample) => sample.waterC >= level)
  const [a, b] = [run.samples[after - 1], run.samples[after]]
  const trueS = a && b ? a.s + (level - a.waterC) / (b.waterC - a.waterC) : null
  const slope = a && b ? b.waterC - a.waterC : 0
  return {
    run,
    trueS,
    slope,
    boilingC: boilingPointFromPressure(pressurePa),
    trace: probeReadings(
      run.samples,
      { lagS: 0, noiseK: 0.15, offsetK: -1 + 2 * random.uniform(), resolutionK: 0.1 },
      random,
    ),
  }
}
const at = (trace: [number, number][], nowS: number, boilingC: number) => {
  const soFar = trace.filter(([s]) => s <= nowS)
  return predictFromSamples({ readings: soFar, boilingC, nowS }, soFar).boiledAtS
}

describe('a thermometer that sends', () => {
  it('at 0.2 °C/s or more the boil is offered within 20 s of it and within 3 s of its time, in 95 of 100', () => {
    const runs = Array.from({ length: 160 }, (_, i) => sent(i + 1))
      .filter((one) => one.trueS !== null && one.slope >= 0.2)
      .slice(0, 100)
    expect(runs).toHaveLength(100)
    const good = runs.filter(({ trace, trueS, boilingC }) => {
      // Before the boil nothing is offered; looked at every few seconds, as a page does every second.
      for (let s = 20; s < trueS! - 2; s += 4) if (at(trace, s, boilingC) !== null) return false
      for (let s = Math.ceil(trueS!); s <= trueS! + 20; s++) {
        const offered = at(trace, s, boilingC)
        if (offered !== null) return Math.abs(offered - trueS!) <= 3
      }
      return false
    })
    expect(good.length).toBeGreaterThanOrEqual(95)
  })

  it('none is offered on runs that stall more than four kelvin short', () => {
    const stalled = Array.from({ length: 400 }, (_, i) => sent(i + 500, { windMS: 3 + (i % 8) / 2, giveUpS: 900 }))
      .filter(({ run, boilingC }) => run.boilS === null && run.endC < boilingC - 5.5)
      .slice(0, 20)
    expect(stalled).toHaveLength(20)
    for (const { trace, boilingC } of stalled)
      for (let s = 20; s < 900; s += 7) expect(at(trace, s, boilingC)).toBeNull()
  })
})
