/** The contract of `compare`: one question of runs that are reduced with it, and its answer. */
import type { RingScore, RingTest } from '../statistics/ringTest'
import type { LikeWithLike } from '../statistics/likeWithLike'
import type { FlameFigure } from './answer'
import type { ReduceRequest } from './document'

export const ASKED_KINDS = [
  'two',
  'ranking',
  'flameLine',
  'wind',
  'cold',
  'height',
  'volume',
  'factors',
  'claim',
  'people',
] as const
export type AskedKind = (typeof ASKED_KINDS)[number]
/** Grams, megajoules by the fuels' heating values, money by `prices`: all a litre; and seconds to the boil. */
export const ASKED_UNITS = ['g', 'MJ', 'money', 's'] as const
export type AskedUnit = (typeof ASKED_UNITS)[number]
/** A document also asks for what is carried: the fuel with its share of whole `containers`. */
export const DOCUMENT_UNITS = [...ASKED_UNITS, 'carriedG'] as const
export type DocumentUnit = (typeof DOCUMENT_UNITS)[number]
export const CLAIMED = ['gPerL', 'gPerBoil', 'timeS', 'burnS', 'boilsPerPack', 'powerW'] as const
export type ClaimedWhat = (typeof CLAIMED)[number]

export interface AskedClaim {
  what: ClaimedWhat
  value: number
  /** null: as such a figure is meant: fuel and time at most, burn time, boils and power at least. */
  says: 'atMost' | 'atLeast' | null
  /** What it leaves open is tried in all the usual ways. */
  conditions: {
    startC: number | null
    airC: number | null
    windMS: number | null
    pressureHPa: number | null
    waterG: number | null
    /** Fuel in a pack, and in a load that is burned out. */
    packG: number | null
    loadG: number | null
  }
}

/** What so much fuel of a kind costs, all in one currency. */
type FuelPrices = Readonly<Record<string, { amount: number; forG: number }>>

export interface Question {
  kind: AskedKind
  unit: DocumentUnit
  arms: { name: string; runs: string[] }[]
  /** Runs that belong together, one of each arm. */
  blocks: string[][]
  /** Only runs of this volume, within 15 % [g]; null: of the commonest. */
  volumeG: number | null
  /** Burners with their own pots and stands as they are used, or one part by itself. */
  as: 'used' | 'partAlone'
  claim: AskedClaim | null
  /** By the kind of fuel. */
  prices: FuelPrices
  /** A full one, by the kind of fuel in it [g]. */
  containers: Readonly<Record<string, { fuelG: number; shellG: number }>>
  /** Runs of each arm that were planned: until they are burned, no answer is shown; null: nobody planned. */
  planned: { perArm: number } | null
  /** How a burn scatters on this bench, relative; null: as is usual, which is assumed. */
  scatter: number | null
}

export interface CompareRequest {
  format: 'vulcanum-compare'
  version: 1
  reduce: ReduceRequest
  question: Question
}

export interface ComparedVerdict {
  says: 'less' | 'more' | 'none' | 'tooFew' | 'confounded' | 'met' | 'aboutAsSaid' | 'missed' | 'cannotSay'
  /** Of the second arm over the first. */
  ratio: number | null
  ci95: [number, number] | null
  p: number | null
  adjustedP: number | null
  by: 'welch' | 'paired' | 'pooled' | null
  detectable: number | null
  /** Of a claim: what was measured where it is made, in its unit; null: nothing was. */
  measured: { value: number; u: number } | null
  text: string
}

export interface ArmAnswer {
  name: string
  n: number
  /** Geometric, a litre, in the question's unit; null: no run counts. */
  mean: number | null
  u: number | null
  letters: string | null
  places: [number, number] | null
  /** Why it has no mean. */
  why: string | null
  asMeasured: { gPerBoil: number | null; s: number | null; n: number; low: number | null; high: number | null }
}

export interface LineAnswer {
  arm: string
  /** [x, y, u], and the fitted curve as [x, y, low, high]. */
  points: [number, number, number][]
  curve: [number, number, number, number][]
  /** [x, low, high] of where it crosses another arm's. */
  crossings: [number, number, number][]
  thriftiest: number | null
  /** Where runs never came to the boil. */
  neverBoiled: number[]
  doublingMS: FlameFigure | null
  stallMS: FlameFigure | null
}

export interface CompareAnswer {
  format: 'vulcanum-compared'
  version: 1
  core: string
  verdict: ComparedVerdict
  arms: ArmAnswer[]
  pairs: {
    arms: [string, string]
    ratio: number | null
    ci95: [number, number] | null
    adjustedP: number | null
    text: string
  }[]
  differed: LikeWithLike
  leftOut: { id: string; why: string }[]
  lines: LineAnswer[]
  /** Who is how far from the rest, where several burned the same. */
  scores: RingScore[]
  ring: Omit<RingTest, 'scores'> | null
  factors: { what: string; ratio: number; ci95: [number, number]; p: number; aliasedWith: string[] }[]
}
