/** Which questions the means of a bench may answer: found by what they are of, before any figure is looked at. */
import { ALIKE_VOLUME, byVolume as groupsOfVolume } from '../reduce/setupMeans'
import type { ComparedMean, ComparedPart } from './facts'
import { groupedBy } from './oneTest'

type PairKind = 'part' | 'asUsed' | 'together' | 'fuels'
export interface PairCandidate {
  kind: PairKind
  /** The roles in which they differ. */
  roles: string[]
  /** The second is held against the first. */
  means: readonly [ComparedMean, ComparedMean]
}
export interface GroupCandidate {
  kind: 'ranking' | 'flame' | 'volumes' | 'people'
  means: readonly ComparedMean[]
}
export type Candidate = PairCandidate | GroupCandidate

export const isPair = (one: Candidate): one is PairCandidate => 'roles' in one

/** A ranking of fewer is a pair. */
const FEWEST_RANKED = 3

/**
 * @param means of measured runs
 * @param about series that a question must be about; null: any
 */
export function candidatesOf(means: readonly ComparedMean[], about: ReadonlySet<string> | null): Candidate[] {
  const isAbout = (some: readonly ComparedMean[]) =>
    about === null || some.some(({ seriesKey }) => about.has(seriesKey))
  const tests = groupedBy(means, testOf).flatMap(byVolume)
  const series = groupedBy(means, ({ seriesKey, conventions }) => JSON.stringify([seriesKey, conventions]))
  const groups = [...tests.flatMap(rankingOf), ...series.filter(isAbout).flatMap(ofOneSeries)]
  return once([...tests.flatMap((alike) => pairsOf(alike, isAbout)), ...groups.filter((one) => isAbout(one.means))])
}

/** Rankings alone, without the many pairs. */
export const rankingsOf = (means: readonly ComparedMean[]): Candidate[] =>
  once(groupedBy(means, testOf).flatMap(byVolume).flatMap(rankingOf))

/** Runs read by several conventions have a mean for each: a question is asked of the most runs. */
function once(all: readonly Candidate[]): Candidate[] {
  const best = new Map<string, Candidate>()
  for (const one of all) {
    const key = sameKey(one)
    const before = best.get(key)
    if (before === undefined || runsOf(one) > runsOf(before)) best.set(key, one)
  }
  return [...best.values()]
}

const runsOf = ({ means }: Candidate): number => means.reduce((sum, { n }) => sum + n, 0)

function sameKey(one: Candidate): string {
  const { kind, endC, setting, volumeG } = one.means[0]!.test
  const volume = Math.round(Math.log(volumeG) / Math.log(ALIKE_VOLUME))
  const fuel = one.means[0]!.fuelKind
  const series = one.kind === 'ranking' ? [fuel] : [...new Set(one.means.map(({ seriesKey }) => seriesKey))].sort()
  const test = one.kind === 'flame' ? [volume] : one.kind === 'volumes' ? [setting] : [kind, endC, setting, volume]
  return JSON.stringify([one.kind, series, test])
}

/** Means of one kind of test, end and setting, by one convention: what may be held against each other. */
const testOf = ({ conventions, test: { kind, endC, setting } }: ComparedMean): string =>
  JSON.stringify([conventions, kind, endC, setting])

const byVolume = (means: readonly ComparedMean[]): ComparedMean[][] =>
  groupsOfVolume(means.map((mean) => ({ mean, waterKg: mean.test.volumeG / 1000 }))).map((group) =>
    group.map(({ mean }) => mean),
  )

const pairsOf = (
  means: readonly ComparedMean[],
  isAbout: (pair: readonly ComparedMean[]) => boolean,
): PairCandidate[] =>
  means.flatMap((one, i) =>
    means.slice(i + 1).flatMap((other) => (isAbout([one, other]) ? (pairOf(one, other) ?? []) : [])),
  )

function pairOf(one: ComparedMean, other: ComparedMean): PairCandidate | null {
  const roles = differingRoles(one, other)
  if (one.fuelKind !== other.fuelKind) {
    if (roles.length > 0) return null
    return { kind: 'fuels', roles, means: [one, other] }
  }
  const kind = kindOf(roles)
  return kind === null ? null : { kind, roles, means: inOrder(one, other, roles) }
}

/** Two means that somebody asks of, however much they differ; null: they do not. */
export function askedPairOf(one: ComparedMean, other: ComparedMean): PairCandidate | null {
  const found = pairOf(one, other)
  if (found !== null) return found
  const roles = differingRoles(one, other)
  if (roles.length === 0 && one.fuelKind === other.fuelKind) return null
  const isAsUsed = roles.includes('burner') || one.fuelKind !== other.fuelKind
  return { kind: isAsUsed ? 'asUsed' : 'together', roles, means: [one, other] }
}

function kindOf(roles: readonly string[]): PairKind | null {
  if (roles.length === 1) return roles[0] === 'burner' ? 'asUsed' : 'part'
  if (roles.length !== 2) return null
  // A burner brings its own stand, and is compared with it.
  return roles.includes('burner') ? (roles.includes('stand') ? 'asUsed' : null) : 'together'
}

function differingRoles(one: ComparedMean, other: ComparedMean): string[] {
  const versions = ({ parts }: ComparedMean) => new Map(parts.map(({ role, versionId }) => [role, versionId]))
  const [a, b] = [versions(one), versions(other)]
  return [...new Set([...a.keys(), ...b.keys()])].filter((role) => a.get(role) !== b.get(role)).sort()
}

export const partOf = ({ parts }: ComparedMean, role: string): ComparedPart | null =>
  parts.find((part) => part.role === role) ?? null

/** What is added, or has fins, is asked for against what is plain. */
function inOrder(one: ComparedMean, other: ComparedMean, roles: readonly string[]): [ComparedMean, ComparedMean] {
  const more = (mean: ComparedMean): number =>
    roles.reduce((sum, role) => {
      const part = partOf(mean, role)
      return sum + (part === null ? 0 : 1) + (part?.finned ? 1 : 0)
    }, 0)
  const byName = one.setup.localeCompare(other.setup, 'en') || (one.key < other.key ? -1 : 1)
  return (more(one) - more(other) || byName) <= 0 ? [one, other] : [other, one]
}

/** One ranking a fuel: grams of different fuels do not compare by themselves. */
const rankingOf = (means: readonly ComparedMean[]): GroupCandidate[] =>
  groupedBy(means, ({ fuelKind }) => fuelKind).flatMap((ofOneFuel) =>
    new Set(ofOneFuel.map(({ seriesKey }) => seriesKey)).size < FEWEST_RANKED
      ? []
      : [{ kind: 'ranking' as const, means: ofOneFuel }],
  )

/** By conventions a series has one mean or more: its settings, its volumes, and who burned it. */
function ofOneSeries(means: readonly ComparedMean[]): GroupCandidate[] {
  const boils = means.filter(({ test: { kind, endC } }) => kind === 'boil' && endC === null)
  const bySetting = groupedBy(boils, ({ test }) => String(test.setting))
  return [
    ...byVolume(boils).map((alike) => ({ kind: 'flame' as const, means: alike })),
    ...bySetting.filter((alike) => alike.length > 1).map((alike) => ({ kind: 'volumes' as const, means: alike })),
    ...means.map((one) => ({ kind: 'people' as const, means: [one] })),
  ]
}
