/** The list of runs, newest first, each with its figures. */
import type { RunLine } from '../../shared/runRecord'
import type { Database } from '../database/connection'
import { findRun, listRunIds } from '../database/repositories/runs'
import { answerRun } from './answerRun'

const LIMIT = 200

export async function listRunLines(db: Database): Promise<RunLine[]> {
  const ids = await listRunIds(db, LIMIT)
  const lines = await Promise.all(ids.map(id => lineOf(db, id)))
  return lines.filter(line => line !== null)
}

async function lineOf(db: Database, id: string): Promise<RunLine | null> {
  const found = await findRun(db, id)
  if (!found) return null
  const { record, stored } = found
  const [answer] = (await answerRun(db, stored)).runs
  if (!answer || 'error' in answer) return null
  const { timeToBoilS, gPerL, normalisedGPerL, normalisedU, status, ended, flags } = answer
  const worst = flags.find(flag => flag.severity === 'error') ?? flags.find(flag => flag.severity === 'warning')
  const worstFlag = worst ? { severity: worst.severity as 'error' | 'warning', text: worst.code === 'impossible-efficiency' ? 'impossible' : worst.severity === 'error' ? 'contradictory' : worst.text } : null
  return { id, startedAt: record.startedAt, zone: record.zone, setup: record.setup, place: record.place, fuel: record.fuel, timeToBoilS, gPerL, normalisedGPerL, normalisedU, status, worstFlag, ended }
}
