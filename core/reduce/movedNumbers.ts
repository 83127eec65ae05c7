/** How each number of a run is moved by its uncertainty. */
import type { HeatRun } from '../normalise/heatRun'
import type { UncertainInput } from '../uncertainty/propagate'

/** How a number is moved and put back. Made once: a run has some twenty of these, and there are many runs. */
interface Moved {
  move: UncertainInput<HeatRun>['move']
  putBack: UncertainInput<HeatRun>['putBack']
}

export const MOVE = {
  startC: {
    move: (x, by) => (x.startC += by),
    putBack: (x, from) => (x.startC = from.startC),
  },
  airC: {
    move: (x, by) => (x.airC += by),
    putBack: (x, from) => (x.airC = from.airC),
  },
  pressurePa: {
    move: (x, by) => (x.pressurePa += by),
    putBack: (x, from) => (x.pressurePa = from.pressurePa),
  },
  waterKg: {
    move: (x, by) => (x.waterKg += by),
    putBack: (x, from) => (x.waterKg = from.waterKg),
  },
  fuelKg: {
    move: (x, by) => (x.fuelKg += by),
    putBack: (x, from) => (x.fuelKg = from.fuelKg),
  },
  // The burner runs until the call: an error of the call moves time and fuel together.
  boilS: {
    move: (x, by) => {
      const flameS = x.heatS + x.leadS
      x.heatS += by
      x.fuelKg *= (flameS + by) / flameS
    },
    putBack: (x, from) => {
      x.heatS = from.heatS
      x.fuelKg = from.fuelKg
    },
  },
  reachedC: {
    move: (x, by) => (x.reachedC! += by),
    putBack: (x, from) => (x.reachedC = from.reachedC),
  },
  belowBoilK: {
    move: (x, by) => (x.belowBoilK += by),
    putBack: (x, from) => (x.belowBoilK = from.belowBoilK),
  },
  windSlopePerMS: {
    move: (x, by) => (x.windSlopePerMS += by),
    putBack: (x, from) => (x.windSlopePerMS = from.windSlopePerMS),
  },
  windMS: {
    move: (x, by) => (x.windMS = Math.max(0, x.windMS + by)),
    putBack: (x, from) => (x.windMS = from.windMS),
  },
  flame: {
    move: (x, by) => (x.flameFactor *= Math.exp(by)),
    putBack: (x, from) => (x.flameFactor = from.flameFactor),
  },
  // Of a calm a wind takes heat and gives none: half of what it takes is how far it scatters about its middle.
  calmMS: {
    move: (x, by) => {
      const lost = Math.log1p((Math.abs(by) / x.v0MS) ** x.windPower)
      x.flameFactor *= Math.exp(0.5 * Math.sign(by) * lost)
    },
    putBack: (x, from) => (x.flameFactor = from.flameFactor),
  },
  thetaK: {
    move: (x, by) => (x.thetaK += by),
    putBack: (x, from) => (x.thetaK = from.thetaK),
  },
  evaporationScale: {
    move: (x, by) => (x.evaporationScale += by),
    putBack: (x, from) => (x.evaporationScale = from.evaporationScale),
  },
  potJPerK: {
    move: (x, by) => (x.potJPerK += by),
    putBack: (x, from) => (x.potJPerK = from.potJPerK),
  },
  lhvJPerKg: {
    move: (x, by) => (x.lhvJPerKg += by),
    putBack: (x, from) => (x.lhvJPerKg = from.lhvJPerKg),
  },
} as const satisfies Record<string, Moved>

export type MoveName = keyof typeof MOVE
