/**
 * Arms of a comparison: runs of one set-up as it was, with one fuel, from one origin. Names are for people; two set-ups
 * may have the same.
 */
import type { Origin } from '../../core/formats/document'
import type { FoundRun } from './repository/findRuns'

export const ORIGIN_WORDS: Record<Origin, string> = {
  measured: 'measured here',
  rehearsal: 'rehearsed',
  published: 'published elsewhere',
}

/** Versions of a set-up that are heated alike are one arm. */
export const armKey = ({ record, heatHash, stored }: FoundRun): string =>
  JSON.stringify([record.setupId, heatHash, stored.fuel?.kind ?? null, record.origin])

const nameOf = ({ record }: FoundRun): string =>
  record.origin === 'measured' ? record.setup : `${record.setup}, ${ORIGIN_WORDS[record.origin]}`

/** What tells arms of one name apart, the plainest first. */
const TELLING: ((run: FoundRun) => string)[] = [
  ({ record }) => record.fuel ?? 'no fuel',
  ({ record }) => `version ${record.setupN}`,
  ({ record }) => record.parts.map((part) => part.name).join(', '),
]

/** @returns the name of each arm, by its key: no two alike */
export function armNames(runs: readonly FoundRun[]): Map<string, string> {
  const first = new Map(runs.map((run) => [armKey(run), run]).reverse() as [string, FoundRun][])
  const names = new Map<string, string>()
  for (const [name, alike] of grouped([...first.entries()])) {
    const tell = TELLING.find((one) => new Set(alike.map(([, run]) => one(run))).size === alike.length)
    alike.forEach(([key, run], i) => {
      const told = tell ? tell(run) : `${TELLING.map((one) => one(run)).join(', ')}, ${i + 1}`
      names.set(key, alike.length === 1 ? name : `${name}, ${told}`)
    })
  }
  return names
}

function grouped(arms: readonly [string, FoundRun][]): Map<string, [string, FoundRun][]> {
  const groups = new Map<string, [string, FoundRun][]>()
  for (const arm of arms) groups.set(nameOf(arm[1]), [...(groups.get(nameOf(arm[1])) ?? []), arm])
  return groups
}
