/**
 * A rehearsal's end, for its page: its calls against the stove that stood in, and how its tester calls over all
 * rehearsals.
 */
import { toRunDocument } from '../../core/formats/toRunDocument'
import { CALLED, callBias, judgeCalls, judgeRehearsal } from '../../core/rehearse/judge'
import type { RehearsalScene } from '../../core/simulate/rehearsal'
import type { SceneMark } from '../../core/simulate/playScene'
import { optionsFor } from '../../shared/reduceOptions'
import { conventionsOf, runViewFrom } from '../../shared/runOptions'
import type { Rehearsed } from '../../shared/rehearsal'
import { byKey } from '../database/byKey'
import type { Connection } from '../database/connection'
import { currentEvents } from '../database/repositories/current'
import { findRuns, type FoundRun } from './repository/findRuns'
import { newestRehearsals, scenesOfRuns } from './repository/rehearsals'

/** As many of the newest say how somebody calls. */
const LOOKED_BACK_ON = 30

export async function rehearsedOf(db: Connection, found: FoundRun): Promise<Rehearsed | null> {
  if (found.record.origin !== 'rehearsal') return null
  const [own] = await scenesOf(db, [found.record.id])
  if (own === undefined) return null
  const scenes = await scenesOf(db, await newestRehearsals(db, found.record.personId, LOOKED_BACK_ON))
  const calls = (
    await findRuns(
      db,
      scenes.map((one) => one.id),
      { traces: false },
    )
  ).flatMap((one) => {
    const { scene, marks } = scenes.find((each) => each.id === one.record.id)!
    return judgeCalls(one.stored.events, marks, scene, optionsOf(one).boil)
  })
  return {
    choice: own.scene.choice,
    person: found.record.person,
    judgement: judgeRehearsal(toRunDocument(found.stored), own.marks, own.scene, optionsOf(found)),
    biases: CALLED.flatMap((kind) => {
      const bias = callBias(calls.flatMap((call) => (call.kind === kind && call.lateS !== null ? [call.lateS] : [])))
      return bias === null ? [] : [{ kind, ...bias }]
    }),
  }
}

const optionsOf = ({ method }: FoundRun) => optionsFor(runViewFrom({}, conventionsOf(method)))

interface Scened {
  id: string
  scene: RehearsalScene
  marks: SceneMark[]
}
/** With the marks in the stove's seconds. */
async function scenesOf(db: Connection, ids: string[]): Promise<Scened[]> {
  if (ids.length === 0) return []
  const events = byKey(await currentEvents(db, ids), (one) => one.runId)
  const rows = await scenesOfRuns(db, ids)
  return rows.map(({ id, scene }) => ({
    id,
    scene,
    marks: (events.get(id) ?? [])
      .filter((one) => one.payload.press === undefined)
      .map(({ kind, atMs, payload }) => ({
        kind,
        s: (atMs * scene.choice.speed) / 1000,
        massG: payload.massG,
        setting: payload.setting,
      })),
  }))
}
