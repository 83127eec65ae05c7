/** A study's runs drawn into their order, and stored. */
import { v7 as uuidv7 } from 'uuid'
import { drawOrder } from '../../core/plan/drawOrder'
import { placeRuns, type PlacedRun } from '../../core/plan/placeRuns'
import type { TypedStudy } from '../../shared/plan'
import type { Connection } from '../database/connection'
import { armRows, insertPlanned, plannedRows, removePlanned, setPosition, type PlannedRow } from './repository/studies'

/** Runs that were burned stand at the beginning; of the rest each arm gets what it still lacks. */
export async function drawAnew(
  tx: Connection,
  typed: Pick<TypedStudy, 'id' | 'levels' | 'replicates' | 'days'>,
  seed: number,
  burned: readonly PlannedRow[],
): Promise<void> {
  const armIds = (await armRows(tx, typed.id)).map(({ id }) => id)
  const standing = await plannedRows(tx, typed.id)
  const kept = new Set(burned.map(({ id }) => id))
  await removePlanned(
    tx,
    typed.id,
    standing.flatMap(({ id }) => (kept.has(id) ? [] : [id])),
  )
  for (const [i, { id }] of burned.entries()) await setPosition(tx, id, i)
  const { days } = typed
  const drawn = placeRuns(drawOrder({ armIds, levels: typed.levels, replicates: typed.replicates }, seed), armIds, {
    stations: { ids: days.stations, by: days.stationsBy },
    people: { ids: days.people.map(({ id }) => id), by: days.peopleBy },
    containers: { ids: days.containerIds, by: 'block' },
  })
  await store(tx, typed.id, lacking(drawn, burned), burned)
}

/** Of what was drawn, without as many runs of each arm and level as were burned. */
function lacking(drawn: readonly PlacedRun[], burned: readonly PlannedRow[]): PlacedRun[] {
  const keyOf = ({ armId, levelId }: { armId: string; levelId: string | null }) => `${armId} ${levelId}`
  const had = new Map<string, number>()
  for (const run of burned) had.set(keyOf(run), (had.get(keyOf(run)) ?? 0) + 1)
  return drawn.filter((run) => {
    const left = had.get(keyOf(run)) ?? 0
    if (left > 0) had.set(keyOf(run), left - 1)
    return left === 0
  })
}

async function store(
  tx: Connection,
  studyId: string,
  runs: readonly PlacedRun[],
  before: readonly PlannedRow[],
): Promise<void> {
  const firstN = Math.max(-1, ...before.map(({ n }) => n)) + 1
  const numbers = [...new Set(runs.map(({ block }) => block))]
  const blocks = numbers.map((_, i) => ({ id: uuidv7(), studyId, n: firstN + i }))
  await insertPlanned(
    tx,
    blocks,
    runs.map(({ armId, levelId, block, stationId, personId, containerId }, i) => ({
      id: uuidv7(),
      studyId,
      armId,
      levelId,
      blockId: blocks[numbers.indexOf(block)]!.id,
      position: before.length + i,
      station: stationId,
      personId,
      containerId,
    })),
  )
}
