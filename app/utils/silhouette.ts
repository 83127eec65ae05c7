/** Silhouettes of the kit to one scale, in millimetres: x from the middle, y up from what it stands on. */
import type { BurnerKind } from '#core/formats/document'
import type {
  BurnerProperties,
  InstrumentProperties,
  PartProperties,
  PotProperties,
  ScreenProperties,
  ThingKind,
  ThingProperties,
} from '#shared/thing'

export interface Shape {
  /** SVG path in millimetres, y up (the drawing turns it over). */
  d: string
  /** Filled body, line, or see-through. */
  look: 'body' | 'line' | 'sheer'
}

export interface Silhouette {
  widthMm: number
  heightMm: number
  shapes: Shape[]
  /** A dimension was not measured and is drawn at a usual one. */
  assumed: boolean
}

const mm = (metres: number | null | undefined) => (metres == null ? null : metres * 1000)
const box = (x: number, y: number, w: number, h: number, round = 0) =>
  round === 0
    ? `M${x},${y} h${w} v${h} h${-w} Z`
    : `M${x + round},${y} h${w - 2 * round} q${round},0 ${round},${round} v${h - round} h${-w} v${-(h - round)} q0,${-round} ${round},${-round} Z`
const body = (d: string): Shape => ({ d, look: 'body' })
const line = (d: string): Shape => ({ d, look: 'line' })

export function silhouetteOf(kind: ThingKind, properties: ThingProperties): Silhouette {
  switch (kind) {
    case 'pot':
      return pot(properties as PotProperties)
    case 'burner':
      return burner(properties as BurnerProperties)
    case 'lid':
      return lid(properties as PartProperties)
    case 'stand':
      return stand(properties as PartProperties)
    case 'screen':
      return screen(properties as ScreenProperties, 110)
    case 'reflector':
      return reflector(properties as PartProperties)
    case 'instrument':
      return instrument(properties as InstrumentProperties)
  }
}

/** Height of a pot: measured, else by its capacity as a cylinder, else about its width. */
export function potHeightMm({ heightM, capacityM3, diameterM }: PotProperties): number {
  if (heightM != null) return heightM * 1000
  if (capacityM3 !== null && diameterM !== null) return (capacityM3 / (Math.PI * (diameterM / 2) ** 2)) * 1000 * 1.1
  return (diameterM ?? 0.11) * 900
}

const FIN_MM = 12

function pot(properties: PotProperties): Silhouette {
  const w = mm(properties.diameterM) ?? 110
  const h = potHeightMm(properties)
  const base = properties.finned ? FIN_MM : 0
  const shapes = [
    body(box(-w / 2, base, w, h - base, 6)),
    line(`M${-w / 2 - 3},${h} h${w + 6}`),
    line(`M${w / 2},${h * 0.72} h14 v${-h * 0.34} h-14`),
  ]
  if (properties.finned)
    shapes.push(
      line(Array.from({ length: Math.floor(w / 8) }, (_, i) => `M${-w / 2 + 4 + i * 8},${base} v${-base}`).join(' ')),
      line(`M${-w / 2},${base} v${-base} M${w / 2},${base} v${-base}`),
    )
  return {
    widthMm: w + 34,
    heightMm: h,
    shapes,
    assumed: properties.diameterM === null || (properties.heightM == null && properties.capacityM3 === null),
  }
}

const USUAL_BURNER: Record<BurnerKind, [widthMm: number, heightMm: number]> = {
  'canister-top': [110, 88],
  integrated: [104, 96],
  'remote-gas': [150, 86],
  'liquid-pressure': [140, 98],
  alcohol: [64, 45],
  solid: [92, 38],
  gel: [70, 32],
  wood: [110, 170],
}

function burner({ burner: kind, heightM, widthM, supportM }: BurnerProperties): Silhouette {
  const [usualW, usualH] = USUAL_BURNER[kind]
  const w = mm(widthM) ?? usualW
  const h = mm(heightM) ?? usualH
  const span = mm(supportM) ?? w * 0.85
  return {
    widthMm: Math.max(w, span),
    heightMm: h,
    shapes: BURNERS[kind](w, h, span),
    assumed: widthM == null || heightM == null,
  }
}

const arms = (span: number, from: number, to: number) =>
  line(`M${-6},${from} L${-span / 2},${to - 4} v4 M6,${from} L${span / 2},${to - 4} v4`)
const legs = (w: number, h: number) =>
  line(`M${-w / 4},${h * 0.45} L${-w / 2},0 M${w / 4},${h * 0.45} L${w / 2},0 M0,${h * 0.4} V0`)
const jets = (y: number, w: number) =>
  line(Array.from({ length: 6 }, (_, i) => `M${-w * 0.4 + (i * w * 0.8) / 5},${y} v3`).join(' '))

const BURNERS: Record<BurnerKind, (w: number, h: number, span: number) => Shape[]> = {
  'canister-top': (w, h, span) => [
    body(box(-9, 0, 18, h * 0.35)),
    body(box(-4, h * 0.35, 8, h * 0.35)),
    body(box(-w * 0.2, h * 0.7, w * 0.4, h * 0.14, 3)),
    line(`M9,${h * 0.2} h${w * 0.3}`),
    arms(span, h * 0.5, h),
  ],
  integrated: (w, h) => [
    body(box(-12, 0, 24, h * 0.3)),
    body(box(-w / 2, h * 0.3, w, h * 0.6, 5)),
    line(`M12,${h * 0.16} h${w * 0.25}`),
    line(`M${-w / 2},${h * 0.9} h${w}`),
    line(`M${-w * 0.3},${h * 0.55} h${w * 0.6}`),
  ],
  'remote-gas': (w, h, span) => [
    legs(w, h),
    body(box(-w * 0.15, h * 0.4, w * 0.3, h * 0.35, 3)),
    line(`M${w * 0.15},${h * 0.5} C${w * 0.4},${h * 0.5} ${w * 0.4},6 ${w * 0.5},6`),
    arms(span, h * 0.6, h),
  ],
  'liquid-pressure': (w, h, span) => [
    legs(w, h),
    body(box(-w * 0.16, h * 0.35, w * 0.32, h * 0.2, 3)),
    body(box(-w * 0.22, h * 0.62, w * 0.44, h * 0.14, 3)),
    line(`M${w * 0.16},${h * 0.45} C${w * 0.4},${h * 0.45} ${w * 0.42},8 ${w * 0.5},8`),
    arms(span, h * 0.55, h),
  ],
  alcohol: (w, h) => [body(box(-w / 2, 0, w, h, 4)), jets(h, w), line(`M${-w / 2},${h * 0.55} h${w}`)],
  solid: (w, h, span) => [legs(w, h * 1.4), body(box(-w / 2, h * 0.55, w, h * 0.14)), arms(span, h * 0.7, h)],
  gel: (w, h) => [body(`M${-w / 2},${h} L${-w * 0.38},0 H${w * 0.38} L${w / 2},${h} Z`), line(`M${-w / 2},${h} h${w}`)],
  wood: (w, h) => [
    body(box(-w / 2, 0, w, h * 0.94)),
    line(Array.from({ length: 5 }, (_, i) => `M${-w * 0.4 + i * w * 0.2},${h * 0.12} a3,3 0 1 0 0.1,0`).join(' ')),
    line(`M${-w * 0.5},${h * 0.94} v${h * 0.06} M0,${h * 0.94} v${h * 0.06} M${w * 0.5},${h * 0.94} v${h * 0.06}`),
  ],
}

function lid({ diameterM }: PartProperties): Silhouette {
  const w = mm(diameterM) ?? 110
  return {
    widthMm: w,
    heightMm: 18,
    shapes: [body(`M${-w / 2},0 Q0,9 ${w / 2},0 Z`), body(box(-7, 5, 14, 11, 3))],
    assumed: diameterM == null,
  }
}

function stand({ heightM, supportM }: PartProperties): Silhouette {
  const h = mm(heightM) ?? 70
  const w = mm(supportM) ?? 110
  return {
    widthMm: w * 1.15,
    heightMm: h,
    shapes: [
      line(
        `M${-w / 2},${h} h${w} M${-w * 0.46},${h} L${-w * 0.575},0 M${w * 0.46},${h} L${w * 0.575},0 M0,${h} V0 M${-w * 0.52},${h * 0.4} h${w * 1.04}`,
      ),
    ],
    assumed: heightM == null || supportM == null,
  }
}

/** Round a pot of this width. */
export function screen({ form, gapM, heightM }: ScreenProperties, potMm: number): Silhouette {
  const h = mm(heightM) ?? 110
  const top = potMm + 2 * (mm(gapM) ?? 13)
  const foot = form === 'cone' ? top * 1.45 : top
  const d = `M${-foot / 2},0 H${foot / 2} L${top / 2},${h} H${-top / 2} Z`
  const holes = Array.from(
    { length: 7 },
    (_, i) => `M${-foot * 0.4 + (i * foot * 0.8) / 6},9 a2.5,2.5 0 1 0 0.1,0`,
  ).join(' ')
  return {
    widthMm: foot,
    heightMm: h,
    shapes: [{ d, look: 'sheer' }, line(holes)],
    assumed: heightM == null || gapM === null,
  }
}

function reflector({ diameterM }: PartProperties): Silhouette {
  const w = mm(diameterM) ?? 120
  return { widthMm: w, heightMm: 4, shapes: [body(box(-w / 2, 0, w, 3))], assumed: diameterM == null }
}

function instrument({ measures }: InstrumentProperties): Silhouette {
  const shapes: Record<string, Shape[]> = {
    temperature: [line('M0,0 V95'), body(box(-14, 95, 28, 34, 6))],
    mass: [body(box(-60, 0, 120, 16)), body(box(-50, 20, 100, 6)), line('M0,16 v4')],
    wind: [
      body(box(-11, 0, 22, 80, 6)),
      line('M0,80 v26 M-26,106 h52'),
      body('M-34,106 a8,8 0 1 0 16,0 a8,8 0 1 0 -16,0 M18,106 a8,8 0 1 0 16,0 a8,8 0 1 0 -16,0'),
    ],
    pressure: [body('M-35,35 a35,35 0 1 0 70,0 a35,35 0 1 0 -70,0'), line('M0,35 L16,54')],
    humidity: [body('M-35,35 a35,35 0 1 0 70,0 a35,35 0 1 0 -70,0'), line('M0,35 L-18,50')],
  }
  return {
    widthMm: measures === 'mass' ? 124 : 74,
    heightMm: measures === 'mass' ? 26 : 129,
    shapes: shapes[measures] ?? [],
    assumed: false,
  }
}
