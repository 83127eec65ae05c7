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
  const startC = stored.measured.waterStart?.value ?? null
  const at = (...kinds: string[]) => marks.find((mark) => kinds.includes(mark.kind))?.s ?? null
  const potOnS = at('potOn', 'lit') ?? 0
  const boilS = at('rollingBoil')
  const endS = Math.max(...marks.map((mark) => mark.s), stored.trace.at(-1)?.[0] ?? 0, 1)
  const lastC = boilS !== null ? boilingPointC : (stored.measured.waterLast?.value ?? null)
  const straight: [number, number][] =
    startC === null || lastC === null
      ? []
      : [
          [potOnS, startC],
          [boilS ?? endS, lastC],
        ]
  return {
    marks,
    water: stored.trace.length > 1 ? thinned(stored.trace) : straight,
    boilingC: boilingPointC,
    endS,
    weighed: WITHOUT_FUEL.includes(stored.kind) || !missing.includes('fuel.usedG'),
  }
}

function thinned(samples: [number, number][]): [number, number][] {
  const stride = Math.max(1, Math.ceil(samples.length / MOST_POINTS))
  return samples
    .filter((_, i) => i % stride === 0 || i === samples.length - 1)
    .map(([s, value]) => [Number(s.toFixed(1)), Number(value.toFixed(1))])
}
