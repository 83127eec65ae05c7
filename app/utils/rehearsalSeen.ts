/**
 * What the simulated stove of a lane looks like at a moment: played on from where it stood, or anew where a mark
 * changed.
 */
import { laneSeconds } from '#core/bench/laneTimes'
import { playScene, sceneAtRest, sceneWords, type Played, type SceneMark } from '#core/simulate/playScene'
import type { Lane } from '#shared/bench'

const playing = new Map<string, { marks: string; played: Played }>()

export function rehearsalSeen(lane: Lane, nowMs: number): { flame: string; water: string } | null {
  const scene = lane.rehearsal
  if (scene === null) return null
  const s = laneSeconds(lane, nowMs - lane.armedAtMs)
  const marks = lane.state.marks.map((mark): SceneMark => ({
    kind: mark.kind,
    s: laneSeconds(lane, mark.atMs - lane.armedAtMs),
    massG: mark.payload.massG,
    setting: mark.payload.setting,
  }))
  if (marks.length === 0) return sceneWords(scene, sceneAtRest(scene, s))
  const key = JSON.stringify(marks)
  const known = playing.get(lane.runId)
  const from = known?.marks === key && known.played.s <= s ? known.played : sceneAtRest(scene, Math.min(s, marks[0]!.s))
  const played = playScene(scene, marks, s, { from })
  playing.set(lane.runId, { marks: key, played })
  return sceneWords(scene, played)
}
