/** What will differ between the arms besides the question, before anything burns. */
import { alikeShares } from '../statistics/likeWithLike'
import { columnOf } from '../statistics/conditionColumns'
import type { PlacedRun } from './placeRuns'

export interface WillDiffer {
  what: 'station' | 'person' | 'container' | 'order' | 'run'
  text: string
  /** What would turn it round. */
  remedy: 'rotateStations' | 'swapPeople' | 'shareContainers' | 'alternate' | 'moreRuns' | null
}

const SHARED = [
  { what: 'station', of: 'stationId', remedy: 'rotateStations', words: 'Each arm stands at its own station' },
  { what: 'person', of: 'personId', remedy: 'swapPeople', words: 'Each arm is burned by somebody else' },
  { what: 'container', of: 'containerId', remedy: 'shareContainers', words: 'Each arm burns from its own container' },
] as const

/** Mean places in the order further apart than so many blocks lean to one side. Source: estimate. */
const LEANS_BLOCKS = 0.5

/**
 * Stations, people, containers and the order, held by the same shares as runs that were burned. A ring test asks about
 * its people: they are not told.
 */
export function willDiffer(
  runs: readonly PlacedRun[],
  armIds: readonly string[],
  { ofPeople = false } = {},
): WillDiffer[] {
  if (armIds.length < 2) return []
  const arms = armIds.map((id) => runs.filter(({ armId }) => armId === id))
  if (arms.some((own) => own.length === 0))
    return [{ what: 'run', remedy: 'moreRuns', text: 'An arm has no run: nothing is held against it.' }]
  const shared = SHARED.flatMap(({ what, of, remedy, words }) => {
    if (what === 'person' && ofPeople) return []
    const columns = arms.map((own) => columnOf({ runs: own.map((run) => ({ values: { [of]: run[of] } })) }, of))
    return alikeShares(columns)
      ? []
      : [{ what, remedy, text: `${words}, or nearly so: it will change together with the question.` }]
  })
  return [...shared, ...leaning(runs, armIds)]
}

/** What drifts over the day leans to the arm that is burned earlier. */
function leaning(runs: readonly PlacedRun[], armIds: readonly string[]): WillDiffer[] {
  const places = armIds.map((id) => {
    const own = runs.flatMap(({ armId }, i) => (armId === id ? [i] : []))
    return own.reduce((sum, i) => sum + i, 0) / own.length
  })
  const apart = Math.max(...places) - Math.min(...places)
  return apart <= LEANS_BLOCKS * armIds.length
    ? []
    : [
        {
          what: 'order',
          remedy: 'alternate',
          text: 'One arm is burned earlier than the other: what drifts over the day leans to it.',
        },
      ]
}
