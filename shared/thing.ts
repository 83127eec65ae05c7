/** Things of the kit: their kinds, and the properties that matter to heat, with limits. */
import { boolean, number, object, string, type Schema } from 'yup'
import { BURNER_KINDS, HEADS, type BurnerKind, type Head } from '../core/formats/document'
import { POT_MATERIALS, type PotMaterial } from '../core/constants/physical'

export const THING_KINDS = ['burner', 'pot', 'lid', 'stand', 'screen', 'reflector', 'instrument'] as const
export type ThingKind = (typeof THING_KINDS)[number]
/** The parts a set-up is made of. */
export const PART_ROLES = ['burner', 'pot', 'lid', 'stand', 'screen', 'reflector'] as const
export type PartRole = (typeof PART_ROLES)[number]

export interface BurnerProperties { burner: BurnerKind, head: Head | null, massKg: number | null }
export interface PotProperties { massKg: number | null, material: PotMaterial | null, diameterM: number | null, capacityM3: number | null, finned: boolean }
export interface ScreenProperties { form: 'cone' | 'wrap', gapM: number | null, massKg: number | null }
export interface PartProperties { massKg: number | null }
export interface InstrumentProperties { measures: 'temperature' | 'mass' | 'wind', resolution: number, unit: string }
export type ThingProperties = BurnerProperties | PotProperties | ScreenProperties | PartProperties | InstrumentProperties

const massKg = number().nullable().default(null).min(0.001).max(20)

/** Schema of each kind's properties. */
export const THING_SCHEMAS: Record<ThingKind, Schema> = {
  burner: object({ burner: string().oneOf(BURNER_KINDS).required(), head: string().oneOf(HEADS).nullable().default(null), massKg }),
  pot: object({
    massKg, material: string().oneOf(POT_MATERIALS).nullable().default(null), diameterM: number().nullable().default(null).min(0.02).max(1),
    capacityM3: number().nullable().default(null).min(5e-5).max(0.05), finned: boolean().required(),
  }),
  lid: object({ massKg }), stand: object({ massKg }), reflector: object({ massKg }),
  screen: object({ form: string().oneOf(['cone', 'wrap']).required(), gapM: number().nullable().default(null).min(0).max(0.5), massKg }),
  instrument: object({ measures: string().oneOf(['temperature', 'mass', 'wind']).required(), resolution: number().required().min(1e-6), unit: string().required() }),
}
