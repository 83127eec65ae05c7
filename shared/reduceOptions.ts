/** A run's page's way of reading as the options of a request: apart from it, since a page needs no schema of them. */
import type { ReduceRequest } from '../core/formats/document'
import type { MethodBody } from '../core/method/method'
import { defaultOptions } from './reduceRequest'
import { conventionsOf, runViewFrom, type RunView } from './runOptions'

export function optionsFor({
  model,
  boil,
  targetC,
  clock,
  litre,
  flame,
  waterG,
  reference: { id: _id, name: _name, ...reference },
}: RunView): Omit<ReduceRequest, 'runs'> {
  return {
    ...defaultOptions(),
    model,
    boil: boil === 'target' ? { targetC } : boil,
    clock,
    litre,
    flame,
    reference: { ...reference, waterG },
  }
}

/** The options a run is listed by: the Standard bench, read by its method's conventions. */
export const listedOptions = (method: MethodBody | null) => optionsFor(runViewFrom({}, conventionsOf(method)))
