/** Places in a ranking, as ranges: no place stands on a difference that the data cannot show. */
import { isShown, type Order } from '../statistics/manyArms'

export interface Place {
  name: string
  from: number
  to: number
  /** Those with which it is too close to call. */
  tiedWith: string[]
}

/** Better places are held by those that are shown to use less. By adjusted pairs. Source: holm. */
export function placesOf({ arms, pairs }: Order): Place[] {
  const places = new Map(arms.map(({ name }) => [name, { name, from: 1, to: arms.length, tiedWith: [] as string[] }]))
  for (const pair of pairs) {
    // The arms of a pair stand in the ranking's order: the first uses less.
    const [less, more] = pair.arms.map((name) => places.get(name)!) as [Place, Place]
    if (isShown(pair)) {
      less.to--
      more.from++
    } else {
      less.tiedWith.push(more.name)
      more.tiedWith.push(less.name)
    }
  }
  return [...places.values()]
}
