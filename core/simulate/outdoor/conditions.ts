/** What burns outdoors, and how it is there. */
import type { CanSetup } from './gasCan'
import type { Gusts } from './gusts'

export interface OutdoorSetup {
  potJPerK: number
  diameterM: number
  /** Of the pot's outside. */
  emissivity: number
  /** Share of the wall that the flame's gas does not bathe. */
  coldWallShare: number
  /** A close cone holds warm air round the pot: share of the loss that stays. */
  lossShare: number
  thetaK: number
  /** Gain from the flame at full, half a litre, sea level and calm [W/K]. */
  h0WPerK: number
  /** Gain grows with volume to this power: more wetted wall takes more. */
  wallPower: number
  /** Gain falls with pressure to this power. */
  pressurePower: number
  burn0GPerMin: number
  /** Share of the burn rate lost at no pressure at all. */
  altitudeShare: number
  burnPower: number
  v0MS: number
  windPower: number
  /** Film of still air over an open pot, in calm at sea level [m]; how a wind thins it, per m/s. */
  filmM: number
  plumePerMS: number
  /** Share of an open pot's vapour that a lid lets past. */
  lidLeak: number
  /** Time constant of the warm-up [s], and fuel lost unburnt meanwhile [g]; null: full flame at once. */
  bloom: { tauS: number; lostG: number } | null
  can: CanSetup | null
}

export interface OutdoorConditions {
  waterKg: number
  startC: number
  airC: number
  pressurePa: number
  humidity: number
  /** Mean wind at the pot [m/s]. */
  windMS: number
  gusts: Gusts | null
  /** Valve: 1 is full at the bench. */
  setting: number
  lid: boolean
  /** From lighting to pot-on [s]. */
  leadS: number
  /** What is in the can, and how cold it is; null: the flame does not hang on it. */
  can: { fuelKg: number; startC: number } | null
  /** What is done to it on the way, each from a moment since pot-on [s]. */
  done?: readonly Done[]
}

export interface Done {
  fromS: number
  potOn?: boolean
  lid?: boolean
  setting?: number
  windMS?: number
}
