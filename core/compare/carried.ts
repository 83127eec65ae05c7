/** What is carried for so many boils: stove, pot and whole containers. */
import { fuelOfKind, type FuelForm } from '../constants/fuels'

/** A container as it is sold or filled: what it holds, and its empty weight [g]. Of pieces the shell is nothing. */
export interface ContainerSize {
  contentG: number
  shellG: number
}

/** Where the kit knows none. Source: commonPractice. */
const USUAL: Record<FuelForm, ContainerSize | null> = {
  gas: { contentG: 230, shellG: 150 },
  alcohol: { contentG: 250, shellG: 25 },
  liquid: { contentG: 450, shellG: 110 },
  gel: { contentG: 200, shellG: 25 },
  solid: { contentG: 14, shellG: 0 },
  // It is found where it is burned.
  wood: null,
}

/** Null: nothing is carried. */
export function usualContainer(kind: string): ContainerSize | null {
  const form = fuelOfKind(kind)?.form
  return form === undefined ? null : USUAL[form]
}

/** For 1, 2, 3 … boils [g]. */
export function carriedFor(
  boils: number,
  { stoveG, boilG, container }: { stoveG: number; boilG: number; container: ContainerSize },
): number[] {
  const { contentG, shellG } = container
  return Array.from(
    { length: boils },
    (_, i) => stoveG + Math.ceil(((i + 1) * boilG) / contentG - 1e-9) * (contentG + shellG),
  )
}

/**
 * From how many boils on one is lighter than another that was lighter before, the last time that it becomes so.
 * @param carried by name, each for 1, 2, 3 … boils
 */
export function crossingBoils(
  carried: readonly { name: string; carriedG: readonly number[] }[],
): { boils: number; lighter: string; than: string }[] {
  return carried.flatMap((one, i) => carried.slice(i + 1).flatMap((other) => lastCrossing(one, other) ?? []))
}

type Carried = Parameters<typeof crossingBoils>[0][number]
function lastCrossing(one: Carried, other: Carried): { boils: number; lighter: string; than: string } | null {
  const sides = one.carriedG.map((grams, i) => Math.sign(grams - other.carriedG[i]!))
  const end = sides.findLast((side) => side !== 0)
  if (end === undefined) return null
  const lastOther = sides.lastIndexOf(-end)
  if (lastOther < 0) return null
  const [lighter, than] = end < 0 ? [one.name, other.name] : [other.name, one.name]
  return { boils: lastOther + 2, lighter, than }
}
