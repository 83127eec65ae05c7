/** How a run's page reads its run: model and reference conditions, as the page's address names them. */
import type { MethodBody } from '../core/method/method'
import { USUAL_TARGET_C } from '../core/method/target'
import { CLOCKS, LITRES, type Clock, type Litre } from '../core/formats/document'
import { MODELS, REFERENCES, type Model, type NamedReference } from '../core/normalise/reference'
import { LIMITS } from './limits'

/** The boil conventions a page offers. */
export const VIEW_BOILS = ['rollingBoil', 'firstBubbles', 'probeAtBoil', 'plateau', 'target'] as const
/** `targetC`: the temperature of the convention `target`. */
export interface RunView {
  model: Model
  reference: NamedReference
  boil: (typeof VIEW_BOILS)[number]
  targetC: number
  clock: Clock
  litre: Litre
  /** Brought to the bench burn rate. */
  flame: boolean
  /** Brought to so much water [g]; null: with its own. */
  waterG: number | null
}

/** How a run is read where the address names nothing: by its method's conventions, else as shipped. */
export type Conventions = Pick<RunView, 'model' | 'boil' | 'targetC' | 'clock' | 'litre'>
const SHIPPED_CONVENTIONS: Conventions = {
  model: 'loss',
  boil: 'rollingBoil',
  targetC: USUAL_TARGET_C,
  clock: 'potOn',
  litre: 'putIn',
}
export function conventionsOf(method: MethodBody | null): Conventions {
  if (method === null) return SHIPPED_CONVENTIONS
  const { boil, clock, litre, correction } = method
  return {
    model: correction,
    clock,
    litre,
    ...(typeof boil === 'object' ? { boil: 'target', targetC: boil.targetC } : { boil, targetC: USUAL_TARGET_C }),
  }
}

/** Conditions of one's own, as the address holds them: start, pressure, air, wind. */
const OWN = 'own'
const OWN_LIMITS: [key: 'startC' | 'pressureHPa' | 'airC' | 'windMS', limit: { min: number; max: number }][] = [
  ['startC', LIMITS.startC],
  ['pressureHPa', LIMITS.pressureHPa],
  ['airC', LIMITS.airC],
  ['windMS', LIMITS.windMS],
]

export const ownReference = (
  values: Pick<NamedReference, 'startC' | 'pressureHPa' | 'airC' | 'windMS'>,
): NamedReference => ({ id: OWN, name: 'Conditions of your own', burnRateGPerMin: null, waterG: null, ...values })

function ownReferenceFrom(text: unknown): NamedReference | null {
  const numbers = typeof text === 'string' ? text.split(',').map(Number) : []
  const values = OWN_LIMITS.map(
    ([key, { min, max }], i) =>
      [key, numbers[i] !== undefined && numbers[i] >= min && numbers[i] <= max ? numbers[i] : NaN] as const,
  )
  return values.some(([, value]) => Number.isNaN(value)) || numbers.length !== OWN_LIMITS.length
    ? null
    : ownReference(Object.fromEntries(values) as Parameters<typeof ownReference>[0])
}

/** From a query; what it does not name, or names wrongly, is as shipped. */
export function runViewFrom(query: Record<string, unknown>, usual: Conventions = SHIPPED_CONVENTIONS): RunView {
  return {
    model: MODELS.find((model) => model === query.model) ?? usual.model,
    reference:
      ownReferenceFrom(query.own) ?? REFERENCES.find((reference) => reference.id === query.reference) ?? REFERENCES[0]!,
    boil: VIEW_BOILS.find((boil) => boil === query.boil) ?? usual.boil,
    targetC: within(query.target, LIMITS.targetC) ?? usual.targetC,
    clock: CLOCKS.find((clock) => clock === query.clock) ?? usual.clock,
    litre: LITRES.find((litre) => litre === query.litre) ?? usual.litre,
    flame: query.flame !== 'asItWas',
    waterG: within(query.water, LIMITS.waterG),
  }
}

function within(text: unknown, { min, max }: { min: number; max: number }): number | null {
  const value = typeof text === 'string' ? Number(text) : NaN
  return value >= min && value <= max ? value : null
}

/** The shortest query that names a view. */
export function runViewQuery(
  { model, reference, boil, targetC, clock, litre, flame, waterG }: RunView,
  usual: Conventions = SHIPPED_CONVENTIONS,
): Record<string, string> {
  return {
    ...(model === usual.model ? {} : { model }),
    ...(reference.id === OWN
      ? { own: OWN_LIMITS.map(([key]) => Number(reference[key].toFixed(3))).join(',') }
      : reference.id === REFERENCES[0]!.id
        ? {}
        : { reference: reference.id }),
    ...(boil === usual.boil ? {} : { boil }),
    ...(boil !== 'target' || targetC === usual.targetC ? {} : { target: String(targetC) }),
    ...(clock === usual.clock ? {} : { clock }),
    ...(litre === usual.litre ? {} : { litre }),
    ...(flame ? {} : { flame: 'asItWas' }),
    ...(waterG === null ? {} : { water: String(waterG) }),
  }
}
