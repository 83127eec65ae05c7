/** Who burns each run of a study, where, and from which container. */
import type { DrawnRun } from './study'

/**
 * Who or what there is, and how it goes round: `block`, all arms of a block meet the same, and the next block the next
 * one; `turn`, the arms of a block are spread over them and change places with each block; `arm`, each arm keeps its own.
 */
export interface Shared {
  ids: readonly string[]
  by: 'block' | 'turn' | 'arm'
}

export interface Placing {
  stations: Shared
  people: Shared
  containers: Shared
}

export interface PlacedRun extends DrawnRun {
  /** Null: there is none. */
  stationId: string | null
  personId: string | null
  containerId: string | null
}

/** Each station comes to meet each person and each container: none of them always goes with another. */
export function placeRuns(
  runs: readonly DrawnRun[],
  armIds: readonly string[],
  { stations, people, containers }: Placing,
): PlacedRun[] {
  const ofPeople = stations.ids.length
  const ofContainers = leastCommonMultiple(ofPeople, people.ids.length)
  return runs.map((run) => {
    const at = { arm: armIds.indexOf(run.armId), block: run.block }
    return {
      ...run,
      stationId: turnOf(stations, at, 1),
      personId: turnOf(people, at, ofPeople),
      containerId: turnOf(containers, at, ofContainers),
    }
  })
}

/** @param period blocks after which what stands beside it comes round again */
function turnOf({ ids, by }: Shared, { arm, block }: { arm: number; block: number }, period: number): string | null {
  const n = ids.length
  if (n === 0) return null
  if (by === 'arm') return ids[arm % n]!
  const shifted = block + (period > 1 ? Math.floor(block / leastCommonMultiple(period, n)) : 0)
  return ids[(by === 'turn' ? arm + shifted : shifted) % n]!
}

function leastCommonMultiple(a: number, b: number): number {
  const divisor = (x: number, y: number): number => (y === 0 ? x : divisor(y, x % y))
  return a === 0 || b === 0 ? Math.max(a, b) : (a * b) / divisor(a, b)
}
