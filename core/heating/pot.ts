/** The pot as the heat sees it: heat capacity, and the areas it loses heat through. */
import { POT_SPECIFIC_HEAT, type PotMaterial } from '../constants/physical'
import { DENSITY_20C } from '../water/liquid'

/** Where mass or material was not measured: an assumption, shown as such. Source: estimate. */
const ASSUMED_POT_J_PER_K = { value: 80, u: 30 }
const UNKNOWN_MATERIAL = { value: 700, u: 150 }

export interface HeatCapacity {
  jPerK: number
  /** Standard uncertainty [J/K]; 0 where mass and material are known. */
  u: number
  assumed: 'nothing' | 'material' | 'all'
}

/**
 * Heat capacity of the pot, mass × specific heat [J/K]. Source: specificHeats. Example: 103 g of titanium → 53.9 J/K.
 */
export function potHeatCapacity(massKg: number | null, material: PotMaterial | null): HeatCapacity {
  if (massKg === null) return { jPerK: ASSUMED_POT_J_PER_K.value, u: ASSUMED_POT_J_PER_K.u, assumed: 'all' }
  if (material === null)
    return { jPerK: massKg * UNKNOWN_MATERIAL.value, u: massKg * UNKNOWN_MATERIAL.u, assumed: 'material' }
  return { jPerK: massKg * POT_SPECIFIC_HEAT[material].value, u: 0, assumed: 'nothing' }
}

export interface PotAreas {
  /** Water surface, or lid [m²]. */
  lidM2: number
  /** Wall up to the water [m²]. */
  sideM2: number
  /** No diameter was given: a cylinder of water as high as wide. */
  assumed: boolean
}

/** Lid and wetted-wall areas of a cylindrical pot. `diameterM` null: a cylinder of water as high as wide. */
export function potAreas(diameterM: number | null, waterKg: number): PotAreas {
  const volumeM3 = waterKg / DENSITY_20C
  const d = diameterM ?? Math.cbrt((4 * volumeM3) / Math.PI)
  const lidM2 = (Math.PI * d * d) / 4
  return { lidM2, sideM2: Math.PI * d * (volumeM3 / lidM2), assumed: diameterM === null }
}
