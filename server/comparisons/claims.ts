/** What makers say of set-ups, held against their runs. */
import { stationPressureFromAltitude } from '../../core/air/pressure'
import type { ComparedMean } from '../../core/compare/facts'
import type { FoundQuestion } from '../../core/compare/found'
import type { AskedClaim } from '../../core/formats/comparison'
import { judgeClaim, type ClaimVerdict } from '../../core/statistics/claim'
import { NORMAL_95 } from '../../core/statistics/student'
import { massFromLitres } from '../../core/water/liquid'
import { claimConditions, claimFields, claimSaid, CLAIM_WHATS, type ClaimWhat } from '../../shared/claim'
import type { ClaimLine } from '../../shared/answers'
import { readRecord } from '../../shared/record'
import type { Connection } from '../database/connection'
import { invalid, invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { findSetup } from '../kit/setups'
import { askDocuments, seriesOfSetup } from './askDocuments'
import { burnedMost, claimRows, insertClaim, withdrawClaimRow, type ClaimRow } from './repository/claims'
import { conventionsOfMean } from './readAs'
import { comparedMeans, findAgain } from './repository/comparisons'

/** Keeps one; the same id again is one claim. */
export async function addClaim(db: Connection, setupId: string, input: unknown): Promise<Outcome<ClaimLine[]>> {
  const what = CLAIM_WHATS.find((one) => one === (input as { what?: unknown }).what)
  if (what === undefined) return invalidAt('what', 'What they say: choose one from the list.')
  const read = readRecord(claimFields(what), input)
  if (!read.ok) return invalid(read.problems)
  if ((await findSetup(db, setupId)) === null) return notFound('set-up')
  const { typed, values } = read
  const value = (key: string) => (values[key] as number | null | undefined) ?? null
  const waterM3 = value('waterM3')
  await insertClaim(db, {
    id: typed.id,
    setupId,
    what,
    value: value('value')!,
    startC: value('startC'),
    airC: value('airC'),
    windMS: value('windMS'),
    altitudeM: value('altitudeM'),
    waterKg: waterM3 === null ? null : massFromLitres(waterM3 * 1000),
    packKg: value('packKg'),
    loadKg: value('loadKg'),
    source: values.source as string,
    typed: typed.fields,
    personId: typed.personId,
  })
  return changed(db, setupId)
}

/** It stays in the list of what was said, and is judged no more. */
export async function withdrawClaim(db: Connection, setupId: string, claimId: string): Promise<Outcome<ClaimLine[]>> {
  return (await withdrawClaimRow(db, setupId, claimId)) ? changed(db, setupId) : notFound('claim')
}

async function changed(db: Connection, setupId: string): Promise<Outcome<ClaimLine[]>> {
  const means = await comparedMeans(db)
  await findAgain(db, [...new Set(means.flatMap((one) => (one.setupId === setupId ? one.seriesKey : [])))])
  return saved(await claimLines(db, setupId))
}

/** Those of a set-up, or all. */
export async function claimLines(db: Connection, setupId: string | null = null): Promise<ClaimLine[]> {
  const means = await comparedMeans(db)
  const rows = await claimRows(db, setupId)
  const lines: ClaimLine[] = []
  for (const row of rows) lines.push(await claimLine(db, row, means))
  return lines
}

async function claimLine(db: Connection, row: ClaimRow, means: readonly ComparedMean[]): Promise<ClaimLine> {
  const { verdict, runs } = await judged(db, row, means)
  const { measured } = verdict
  const claimed = inUnit(row)
  return {
    id: row.id,
    setupId: row.setupId,
    setup: row.setup,
    what: row.what,
    sentence: `“${claimSaid(row)}” of ${row.setup}?`,
    conditions: claimConditions(row),
    source: row.source,
    says: verdict.says,
    text: verdict.text,
    drawn: measured
      ? {
          claimed,
          measured: measured.value,
          low: measured.value - NORMAL_95 * measured.u,
          high: measured.value + NORMAL_95 * measured.u,
          unit: UNITS[row.what],
        }
      : null,
    runs,
  }
}
const UNITS: Record<ClaimWhat, string> = {
  timeS: 's',
  gPerBoil: 'g',
  gPerL: 'g/L',
  burnS: 'min',
  boilsPerPack: 'boils',
  powerW: 'W',
  massG: 'g',
}

/** As it is judged: grams and minutes in place of SI. */
function inUnit({ what, value }: Pick<ClaimRow, 'what' | 'value'>): number {
  if (what === 'gPerBoil' || what === 'massG') return value * 1000
  return what === 'burnS' ? value / 60 : value
}

interface Judged {
  verdict: ClaimVerdict
  runs: number
}

async function judged(db: Connection, row: ClaimRow, means: readonly ComparedMean[]): Promise<Judged> {
  if (row.what === 'massG') return { verdict: await weighed(db, row), runs: 0 }
  const mean = seriesOfSetup(means, row.setupId, null)
  // A burn-off heats no water, and enters no mean.
  const seriesKey = row.what === 'burnS' ? await burnedMost(db, row.setupId) : (mean?.seriesKey ?? null)
  if (seriesKey === null)
    return {
      verdict: {
        says: 'cannotSay',
        text: 'No run of it is corrected in full yet. Burn it once in calm, its fuel weighed.',
      },
      runs: 0,
    }
  const { answer } = await askDocuments(db, [{ name: row.setup, seriesKey, isOf: () => true }], {
    query: {},
    usual: await conventionsOfMean(db, { seriesKey, conventions: mean?.conventions ?? '' }),
    question: { kind: 'claim', claim: askedOf(row) },
  })
  const { says, text, measured } = answer.verdict
  return {
    verdict: {
      says: says as ClaimVerdict['says'],
      text,
      measured: measured === null ? null : { ...measured, taken: null, uRandom: measured.u },
    },
    runs: row.what === 'burnS' ? answer.leftOut.length : (answer.arms[0]?.n ?? 0),
  }
}

const toGrams = (kg: number | null): number | null => (kg === null ? null : kg * 1000)

const askedOf = (row: ClaimRow): AskedClaim => ({
  what: row.what as AskedClaim['what'],
  value: row.what === 'gPerBoil' ? row.value * 1000 : row.value,
  says: row.says,
  conditions: {
    startC: row.startC,
    airC: row.airC,
    windMS: row.windMS,
    pressureHPa: row.altitudeM === null ? null : stationPressureFromAltitude(row.altitudeM) / 100,
    waterG: toGrams(row.waterKg),
    packG: toGrams(row.packKg),
    loadG: toGrams(row.loadKg),
  },
})

/** A kitchen scale reads to a gram. Source: commonPractice. */
const SCALE_U_G = 0.5
const whole = (grams: number): string => grams.toFixed(0)

/** By the scale, part for part. */
async function weighed(db: Connection, row: ClaimRow): Promise<ClaimVerdict> {
  const massKg = (await findSetup(db, row.setupId))?.versions[0]?.massKg
  if (massKg === undefined || massKg.unweighed.length > 0)
    return { says: 'cannotSay', text: `Cannot say: ${massKg?.unweighed.join(', ') ?? 'nothing of it'} is not weighed.` }
  return judgeClaim({ value: inUnit(row), says: 'atMost', shown: whole, unit: ' g' }, [
    { taken: null, value: massKg.total * 1000, u: SCALE_U_G, uRandom: SCALE_U_G },
  ])
}

/** A claim as a question that the runs answer; null: it is of a set-up without runs. */
export async function claimQuestion(
  db: Connection,
  row: ClaimRow,
  means: readonly ComparedMean[],
): Promise<{ question: FoundQuestion; means: readonly ComparedMean[] } | null> {
  const mean = seriesOfSetup(means, row.setupId, null)
  if (mean === null) return null
  const line = await claimLine(db, row, means)
  return {
    means: [mean],
    question: {
      kind: 'claim',
      sentence: line.sentence,
      line: line.text,
      effect: null,
      p: null,
      of: line.conditions,
      runs: line.runs === 1 ? '1 run' : `${line.runs} runs`,
      grade: null,
      isAssumed: false,
      testKind: mean.test.kind,
      priorSd: null,
      means: [mean.key],
      asks: { claim: row.id },
    },
  }
}
