/** What a run's ribbon draws, small enough for a table: the marks, and the water at a few moments. */
import type { RunAnswer } from '../../core/formats/answer'
import type { StoredRun } from '../../core/formats/toRunDocument'
import type { Ribbon } from '../../shared/runRecord'

const MOST_POINTS = 40
/** Tests that weigh no fuel: none is missed. */
const WITHOUT_FUEL: readonly string[] = ['coolDown', 'warmUp']

export function ribbonOf(
  stored: StoredRun,
  { boilingPointC, missing }: Pick<RunAnswer, 'boilingPointC' | 'missing'>,
): Ribbon {
  const marks = stored.events.map(({ kind, s }) => ({ kind, s }))
  const endS = Math.max(...marks.map((mark) => mark.s), stored.trace.at(-1)?.[0] ?? 0, 1)
  return {
    marks,
    water: stored.trace.length > 1 ? thinned(stored.trace) : straight(stored, boilingPointC, endS),
    boilingC: boilingPointC,
    endS,
    weighed: WITHOUT_FUEL.includes(stored.kind) || !missing.includes('fuel.usedG'),
  }
}

/** Without a trace: from what it started at to where it ended, where both are known. */
function straight({ events, measured }: StoredRun, boilingPointC: number | null, endS: number): [number, number][] {
  const at = (...kinds: string[]) => events.find((event) => kinds.includes(event.kind))?.s ?? null
  const boilS = at('rollingBoil')
  const startC = measured.waterStart?.value ?? null
  const lastC = boilS === null ? (measured.waterLast?.value ?? null) : boilingPointC
  if (startC === null || lastC === null) return []
  return [
    [at('potOn', 'lit') ?? 0, startC],
    [boilS ?? endS, lastC],
  ]
}

function thinned(samples: [number, number][]): [number, number][] {
  const stride = Math.max(1, Math.ceil(samples.length / MOST_POINTS))
  return samples
    .filter((_, i) => i % stride === 0 || i === samples.length - 1)
    .map(([s, value]) => [Number(s.toFixed(1)), Number(value.toFixed(1))])
}
