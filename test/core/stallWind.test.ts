/**
 * The wind in which a set-up stalls, against stoves that share no code with the core: a bound that a tester can rely
 * on, and a middle that is not far off. The truth is the wind in which the water just comes to half a degree below the
 * boil, where a boil is called.
 */
import { describe, expect, it } from 'vitest'
import { reduce } from '../../core/reduce'
import { outdoorCampaign, type OutdoorRun } from '../../core/simulate/outdoor/outdoorCampaign'
import { burnOutdoors } from '../../core/simulate/outdoor/outdoorStove'
import { simulatedBoilingPoint } from '../../core/simulate/stove'
import { readReduceRequest } from '../../shared/reduceRequest'
import { proofs } from '../proofs'
import { OUTDOOR_BENCH as BENCH, outdoorDocument } from './outdoorDocuments'

const SEEDS = proofs(25)
const CALLED_C = simulatedBoilingPoint(BENCH.pressurePa) - 0.5

function trueStall({ stove, waterG }: OutdoorRun): number {
  const boils = (windMS: number) =>
    burnOutdoors(stove, { ...BENCH, waterKg: waterG / 1000, windMS }, { giveUpS: 10_000, random: null, stepS: 1 })
      .endC >= CALLED_C
  let [low, high] = [0, 40]
  for (let i = 0; i < 11; i++) {
    const middle = (low + high) / 2
    if (boils(middle)) low = middle
    else high = middle
  }
  return low
}

describe('the stall wind of set-ups burned in wind', () => {
  const found = Array.from({ length: SEEDS }, (_, i) => outdoorCampaign(i + 1, ['windy'])).flatMap((runs) => {
    const read = readReduceRequest({ format: 'vulcanum-reduce', version: 1, runs: runs.map(outdoorDocument) })
    if (!read.ok) throw new Error(JSON.stringify(read.problems[0]))
    return reduce(read.request).setups.map(({ setup, flame }) => ({
      stall: flame!.stallMS!,
      doubling: flame!.doublingMS!,
      trueMS: trueStall(runs.find((run) => run.setup === setup)!),
    }))
  })

  it('lies above its lower bound in 95 of 100, and its middle is within 20 % of the truth', () => {
    expect(found.length).toBe(4 * SEEDS)
    const held = found.filter(({ stall, trueMS }) => trueMS >= stall.low)
    expect(held.length / found.length).toBeGreaterThanOrEqual(0.95)
    const off = found.map(({ stall, trueMS }) => stall.value / trueMS).sort((a, b) => a - b)
    expect(Math.abs(off[Math.floor(off.length / 2)]! - 1)).toBeLessThan(0.2)
  })

  it('fuel doubles before it stalls', () => {
    for (const { stall, doubling } of found) expect(doubling.value).toBeLessThanOrEqual(stall.value)
  })
})
