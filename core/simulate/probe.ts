/** A thermometer in the simulated pot: it lags, it is noisy, it rounds. */
import type { Random } from './random'
import type { SimulatedSample } from './simulateRun'

export interface Probe {
  lagS: number
  noiseK: number
  offsetK: number
  resolutionK: number
}

/** What the probe shows at each sample, as [seconds, °C]. First-order lag. */
export function probeReadings(samples: readonly SimulatedSample[], probe: Probe, random: Random): [number, number][] {
  let shown = samples[0]?.waterC ?? 0
  let before = samples[0]?.s ?? 0
  return samples.map(({ s, waterC }) => {
    shown += (waterC - shown) * (probe.lagS === 0 ? 1 : 1 - Math.exp(-(s - before) / probe.lagS))
    before = s
    const read = shown + probe.offsetK + probe.noiseK * random.normal()
    return [s, Number((Math.round(read / probe.resolutionK) * probe.resolutionK).toFixed(6))]
  })
}
