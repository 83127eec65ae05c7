/** Places in a ranking, as ranges: no place stands on a difference that the data cannot show. */
import { LEVEL } from '../statistics/compareArms'
import type { Order } from '../statistics/manyArms'

export interface Place {
  name: string
  from: number
  to: number
  /** Those with which it is too close to call. */
  tiedWith: string[]
}

/** Better places are held by those that are shown to use less. By adjusted pairs. Source: holm. */
export function placesOf({ arms, pairs }: Order): Place[] {
  return arms.map(({ name }) => {
    const against = pairs.filter((pair) => pair.arms.includes(name))
    const shown = against.filter(({ adjustedP }) => adjustedP !== null && adjustedP < LEVEL)
    // The arms of a pair stand in the ranking's order: the first uses less.
    const less = shown.filter((pair) => pair.arms[1] === name).length
    const more = shown.filter((pair) => pair.arms[0] === name).length
    const tiedWith = against
      .filter((pair) => !shown.includes(pair))
      .map((pair) => (pair.arms[0] === name ? pair.arms[1] : pair.arms[0]))
    return { name, from: 1 + less, to: arms.length - more, tiedWith }
  })
}
