/** What Today shows, however many runs there are. */
import { settleOf, type Today, type ToSettle } from '../../shared/today'
import type { Connection } from '../database/connection'
import { moved } from './moved'
import { linesOfDay, newestDay, remarked } from './repository/today'

const MOST_OF_A_DAY = 60
/** As many are looked at, newest first, for what wants a decision. */
const LOOKED_AT = 300
const MOST_TO_SETTLE = 8

export async function today(db: Connection): Promise<Today> {
  const date = await newestDay(db)
  if (date === null) return { day: null, settle: [], unsettled: 0, moved: [] }
  const settle = await toSettle(db)
  return {
    day: { date, runs: await linesOfDay(db, date, MOST_OF_A_DAY) },
    settle: settle.slice(0, MOST_TO_SETTLE),
    unsettled: settle.length,
    moved: await moved(db, date),
  }
}

async function toSettle(db: Connection): Promise<ToSettle[]> {
  return (await remarked(db, LOOKED_AT)).flatMap(({ line, revision }) => {
    const asked = settleOf(line)
    return asked === null ? [] : [{ run: line, revision, ...asked }]
  })
}
