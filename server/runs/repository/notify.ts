/** Telling the background worker, at the commit of a transaction. */
import { sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'

/** That figures wait; or, with a run's id, that this run's answer does. */
export const FIGURES_CHANNEL = 'vulcanum_figures'

export async function notifyFigures(tx: Connection, runId = ''): Promise<void> {
  await tx.execute(sql`select pg_notify(${FIGURES_CHANNEL}, ${runId})`)
}
