/** How a run's page reads its run: model and reference conditions, as the page's address names them. */
import { CLOCKS, type Clock, type ReduceRequest } from '../core/formats/document'
import { MODELS, REFERENCES, type Model, type NamedReference } from '../core/normalise/reference'
import { defaultOptions } from './reduceRequest'

/** The boil conventions a page offers; the plateau wants the boil finder. */
export const VIEW_BOILS = ['rollingBoil', 'firstBubbles', 'probeAtBoil'] as const
export interface RunView { model: Model, reference: NamedReference, boil: (typeof VIEW_BOILS)[number], clock: Clock }

/** From a query; what it does not name, or names wrongly, is as shipped. */
export function runViewFrom(query: Record<string, unknown>): RunView {
  return {
    model: MODELS.find(model => model === query.model) ?? 'loss',
    reference: REFERENCES.find(reference => reference.id === query.reference) ?? REFERENCES[0]!,
    boil: VIEW_BOILS.find(boil => boil === query.boil) ?? 'rollingBoil',
    clock: CLOCKS.find(clock => clock === query.clock) ?? 'potOn',
  }
}

/** The shortest query that names a view. */
export function runViewQuery({ model, reference, boil, clock }: RunView): Record<string, string> {
  return {
    ...(model === 'loss' ? {} : { model }), ...(reference.id === REFERENCES[0]!.id ? {} : { reference: reference.id }),
    ...(boil === 'rollingBoil' ? {} : { boil }), ...(clock === 'potOn' ? {} : { clock }),
  }
}

export function optionsFor({ model, boil, clock, reference: { id: _id, name: _name, ...reference } }: RunView): Omit<ReduceRequest, 'runs'> {
  return { ...defaultOptions(), model, boil, clock, reference }
}
