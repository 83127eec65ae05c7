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
  const drawing = new Drawing(of('pot'))
  const footMm = drawing.foot(of('burner'))
  drawing.put(of('reflector'), footMm)
  const burnerTopMm = footMm + drawing.put(of('burner'), footMm)
  const standTopMm = drawing.put(of('stand'), 0)
  const { baseMm, gapMm } = potAt({ burner: of('burner'), stand: of('stand'), gapM, burnerTopMm, standTopMm })
  let topMm = Math.max(burnerTopMm, standTopMm)
  const pot = of('pot')
  if (pot) {
    drawing.put(pot, baseMm)
    topMm = baseMm + potHeightMm(pot.properties as PotProperties)
  }
  topMm += drawing.put(of('lid'), topMm)
  topMm = Math.max(topMm, drawing.put(of('screen'), 0))
  const gap = pot && gapMm > 0 ? { fromMm: baseMm - gapMm, toMm: baseMm } : null
  return drawing.view(topMm, gap)
}

/** Shapes put one above the other. */
class Drawing {
  readonly #shapes: PlacedShape[] = []
  readonly #assumed: string[] = []
  readonly #widths: number[] = []
  readonly #potWidthMm: number

  constructor(pot: Part | undefined) {
    this.#potWidthMm = ((pot?.properties as PotProperties | undefined)?.diameterM ?? 0.11) * 1000
  }

  /** What a burner stands on. @returns its height [mm] */
  foot(burner: Part | undefined): number {
    const kind = (burner?.properties as BurnerProperties | undefined)?.burner
    if (kind !== 'canister-top' && kind !== 'integrated') return 0
    this.#shapes.push({ d: `M-55,0 h110 v52 q0,10 -20,13 h-70 q-20,-3 -20,-13 Z`, look: 'sheer', yMm: 0, dashed: true })
    this.#widths.push(CANISTER.widthMm)
    return CANISTER.heightMm
  }

  /** @returns its height [mm]; 0: there is none */
  put(part: Part | undefined, yMm: number): number {
    if (part === undefined) return 0
    const drawn =
      part.role === 'screen'
        ? screenOf(part.properties as ScreenProperties, this.#potWidthMm)
        : silhouetteOf(part.role, part.properties)
    this.#shapes.push(...drawn.shapes.map((shape) => ({ ...shape, yMm, dashed: drawn.assumed })))
    if (drawn.assumed) this.#assumed.push(part.name)
    this.#widths.push(drawn.widthMm)
    return drawn.heightMm
  }

  view(topMm: number, gap: { fromMm: number; toMm: number } | null): SideView {
    const widthMm = Math.max(...this.#widths, 40)
    const besideMm = widthMm / 2 + 14
    const whole: Dimension = { words: `${Math.round(topMm)} mm`, fromMm: 0, toMm: topMm, xMm: besideMm }
    const dimensions = gap === null ? [whole] : [{ ...gap, words: gapWords(gap), xMm: -besideMm }, whole]
    return {
      widthMm: widthMm + 200,
      heightMm: topMm + 6,
      shapes: order(this.#shapes),
      dimensions,
      assumed: [...new Set(this.#assumed)],
    }
  }
}

const gapWords = ({ fromMm, toMm }: { fromMm: number; toMm: number }): string => `gap ${Math.round(toMm - fromMm)} mm`

interface Standing {
  burner: Part | undefined
  stand: Part | undefined
  gapM: number | null
  burnerTopMm: number
  standTopMm: number
}
/**
 * A stand carries the pot, else the burner's own supports, which its height includes; else the gap says where it hangs.
 */
function potAt({ burner, stand, gapM, burnerTopMm, standTopMm }: Standing): { baseMm: number; gapMm: number } {
  const supports = (burner?.properties as BurnerProperties | undefined)?.supportM != null
  const carriedMm = stand ? standTopMm : supports ? burnerTopMm : null
  const gapMm = gapM === null ? Math.max(0, (carriedMm ?? burnerTopMm) - burnerTopMm) : gapM * 1000
  return { baseMm: carriedMm ?? burnerTopMm + gapMm, gapMm }
}

/** What can be seen through is drawn last. */
const order = (shapes: PlacedShape[]) => [
  ...shapes.filter((shape) => shape.look !== 'sheer'),
  ...shapes.filter((shape) => shape.look === 'sheer'),
]
