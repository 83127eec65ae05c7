/**
 * A set-up from the side, to scale from its dimensions: what stands on what, and how far apart. In millimetres, y up
 * from the ground.
 */
import type { SetupPartLine } from '#shared/kitRecords'
import type { BurnerProperties, PartRole, PotProperties, ScreenProperties } from '#shared/thing'
import { potHeightMm, screen as screenOf, silhouetteOf, type Shape } from './silhouette'

interface PlacedShape extends Shape {
  yMm: number
  dashed: boolean
}
export interface Dimension {
  words: string
  fromMm: number
  toMm: number
  xMm: number
}
export interface SideView {
  widthMm: number
  heightMm: number
  shapes: PlacedShape[]
  dimensions: Dimension[]
  /** Parts whose dimensions are drawn at a usual value. */
  assumed: string[]
}

type Part = Pick<SetupPartLine, 'role' | 'name' | 'properties'>
/** A usual canister, where the burner sits on one: which one is the run's to say. */
const CANISTER = { widthMm: 110, heightMm: 68 }

export function sideViewOf(parts: readonly Part[], gapM: number | null): SideView {
  const of = (role: PartRole) => parts.find((part) => part.role === role)
  const [burner, pot, lid, stand, screen, reflector] = (
    ['burner', 'pot', 'lid', 'stand', 'screen', 'reflector'] as const
  ).map(of)
  const shapes: PlacedShape[] = []
  const assumed: string[] = []
  const widths: number[] = []
  const put = (part: Part | undefined, yMm: number) => {
    if (part === undefined) return 0
    const drawn =
      part.role === 'screen'
        ? screenOf(part.properties as ScreenProperties, potWidth)
        : silhouetteOf(part.role, part.properties)
    shapes.push(...drawn.shapes.map((shape) => ({ ...shape, yMm, dashed: drawn.assumed })))
    if (drawn.assumed) assumed.push(part.name)
    widths.push(drawn.widthMm)
    return drawn.heightMm
  }
  const potProperties = pot?.properties as PotProperties | undefined
  const potWidth = (potProperties?.diameterM ?? 0.11) * 1000
  const kind = (burner?.properties as BurnerProperties | undefined)?.burner
  const footMm = kind === 'canister-top' || kind === 'integrated' ? CANISTER.heightMm : 0
  if (footMm > 0) {
    shapes.push({ d: `M-55,0 h110 v52 q0,10 -20,13 h-70 q-20,-3 -20,-13 Z`, look: 'sheer', yMm: 0, dashed: true })
    widths.push(CANISTER.widthMm)
  }
  put(reflector, footMm)
  const burnerTop = footMm + put(burner, footMm)
  const standTop = put(stand, 0)
  // A stand carries the pot, else the burner's own supports, which its height includes; else the gap says where it
  // hangs.
  const carriedAt = stand
    ? standTop
    : (burner?.properties as BurnerProperties | undefined)?.supportM != null
      ? burnerTop
      : null
  const gapMm = gapM === null ? Math.max(0, (carriedAt ?? burnerTop) - burnerTop) : gapM * 1000
  const potBase = carriedAt ?? burnerTop + gapMm
  const dimensions: Dimension[] = []
  let top = Math.max(burnerTop, standTop)
  if (pot) {
    put(pot, potBase)
    top = potBase + potHeightMm(potProperties!)
    if (gapMm > 0)
      dimensions.push({ words: `gap ${Math.round(gapMm)} mm`, fromMm: potBase - gapMm, toMm: potBase, xMm: 0 })
  }
  if (lid) top += put(lid, top)
  if (screen) top = Math.max(top, put(screen, 0))
  const widthMm = Math.max(...widths, 40)
  for (const one of dimensions) one.xMm = -widthMm / 2 - 14
  dimensions.push({ words: `${Math.round(top)} mm`, fromMm: 0, toMm: top, xMm: widthMm / 2 + 14 })
  return {
    widthMm: widthMm + 200,
    heightMm: top + 6,
    shapes: order(shapes),
    dimensions,
    assumed: [...new Set(assumed)],
  }
}

/** What can be seen through is drawn last. */
const order = (shapes: PlacedShape[]) => [
  ...shapes.filter((shape) => shape.look !== 'sheer'),
  ...shapes.filter((shape) => shape.look === 'sheer'),
]
