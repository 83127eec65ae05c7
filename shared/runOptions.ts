/** How a run's page reads its run: model and reference conditions, as the page's address names them. */
import { CLOCKS, type Clock, type Litre, type ReduceRequest } from '../core/formats/document'
import { MODELS, REFERENCES, type Model, type NamedReference } from '../core/normalise/reference'
import { LIMITS } from './limits'
import { defaultOptions } from './reduceRequest'

/** The boil conventions a page offers. */
export const VIEW_BOILS = ['rollingBoil', 'firstBubbles', 'probeAtBoil', 'plateau'] as const
export interface RunView { model: Model, reference: NamedReference, boil: (typeof VIEW_BOILS)[number], clock: Clock, litre: Litre, supply: boolean }

/** Conditions of one's own, as the address holds them: start, pressure, air, wind. */
const OWN = 'own'
const OWN_LIMITS: [key: 'startC' | 'pressureHPa' | 'airC' | 'windMS', limit: { min: number, max: number }][] = [['startC', LIMITS.startC], ['pressureHPa', LIMITS.pressureHPa], ['airC', LIMITS.airC], ['windMS', LIMITS.windMS]]

export const ownReference = (values: Pick<NamedReference, 'startC' | 'pressureHPa' | 'airC' | 'windMS'>): NamedReference => ({ id: OWN, name: 'Conditions of your own', burnRateGPerMin: null, ...values })

function ownReferenceFrom(text: unknown): NamedReference | null {
  const numbers = typeof text === 'string' ? text.split(',').map(Number) : []
  const values = OWN_LIMITS.map(([key, { min, max }], i) => [key, numbers[i] !== undefined && numbers[i] >= min && numbers[i] <= max ? numbers[i] : NaN] as const)
  return values.some(([, value]) => Number.isNaN(value)) || numbers.length !== OWN_LIMITS.length ? null : ownReference(Object.fromEntries(values) as Parameters<typeof ownReference>[0])
}

/** From a query; what it does not name, or names wrongly, is as shipped. */
export function runViewFrom(query: Record<string, unknown>): RunView {
  return {
    model: MODELS.find(model => model === query.model) ?? 'loss',
    reference: ownReferenceFrom(query.own) ?? REFERENCES.find(reference => reference.id === query.reference) ?? REFERENCES[0]!,
    boil: VIEW_BOILS.find(boil => boil === query.boil) ?? 'rollingBoil',
    clock: CLOCKS.find(clock => clock === query.clock) ?? 'potOn', litre: query.litre === 'remaining' ? 'remaining' : 'putIn', supply: query.supply === 'true',
  }
}

/** The shortest query that names a view. */
export function runViewQuery({ model, reference, boil, clock, litre, supply }: RunView): Record<string, string> {
  return {
    ...(model === 'loss' ? {} : { model }), ...(reference.id === OWN ? { own: OWN_LIMITS.map(([key]) => Number(reference[key].toFixed(3))).join(',') } : reference.id === REFERENCES[0]!.id ? {} : { reference: reference.id }),
    ...(boil === 'rollingBoil' ? {} : { boil }), ...(clock === 'potOn' ? {} : { clock }), ...(litre === 'putIn' ? {} : { litre }), ...(supply ? { supply: 'true' } : {}),
  }
}

export function optionsFor({ model, boil, clock, litre, supply, reference: { id: _id, name: _name, ...reference } }: RunView): Omit<ReduceRequest, 'runs'> {
  return { ...defaultOptions(), model, boil, clock, litre, supply, reference }
}
