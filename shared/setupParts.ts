/** A set-up's parts as the core judges them. */
import type { SetupParts } from '../core/kit/setupWarnings'
import type { BurnerProperties, PartProperties, PartRole, PotProperties, ThingProperties } from './thing'

export function partsForWarnings(parts: readonly { role: PartRole; properties: ThingProperties }[]): SetupParts {
  const of = <T>(role: PartRole) => (parts.find((part) => part.role === role)?.properties ?? null) as T | null
  const burner = of<BurnerProperties>('burner')
  const pot = of<PotProperties>('pot')
  const stand = of<PartProperties>('stand')
  return {
    burner: burner === null ? null : { kind: burner.burner, supportM: burner.supportM ?? null },
    pot: pot === null ? null : { diameterM: pot.diameterM },
    stand: stand === null ? null : { supportM: stand.supportM ?? null },
    screened: of('screen') !== null,
  }
}
