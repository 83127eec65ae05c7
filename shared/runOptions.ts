/** How a run's page reads its run: model and reference conditions, as the page's address names them. */
import type { ReduceRequest } from '../core/formats/document'
import { MODELS, REFERENCES, type Model, type NamedReference } from '../core/normalise/reference'
import { defaultOptions } from './reduceRequest'

export interface RunView { model: Model, reference: NamedReference }

/** From a query; what it does not name, or names wrongly, is as shipped. */
export function runViewFrom(query: Record<string, unknown>): RunView {
  return {
    model: MODELS.find(model => model === query.model) ?? 'loss',
    reference: REFERENCES.find(reference => reference.id === query.reference) ?? REFERENCES[0]!,
  }
}

/** The shortest query that names a view. */
export function runViewQuery({ model, reference }: RunView): Record<string, string> {
  return { ...(model === 'loss' ? {} : { model }), ...(reference.id === REFERENCES[0]!.id ? {} : { reference: reference.id }) }
}

export function optionsFor({ model, reference: { id: _id, name: _name, ...reference } }: RunView): Omit<ReduceRequest, 'runs'> {
  return { ...defaultOptions(), model, reference }
}
