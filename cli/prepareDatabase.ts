/**
 * Run by the start and test commands: migrates the database of DATABASE_URL and, where asked, loads the demonstration.
 */
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { claimDatabase, migrateDatabase, type Purpose } from '../server/database/migrate'
import { openDatabase } from '../server/database/connection'
import { ensureShippedMethods } from '../server/methods/methods'
import { backfillRows } from '../server/runs/recompute'
import { loadDemonstration } from '../server/demo/load'

/** Beside the built server, or among the sources. */
const MIGRATIONS = ['../migrations', '../server/database/migrations']
  .map((path) => fileURLToPath(new URL(path, import.meta.url)))
  .find((path) => existsSync(path))!

async function main(wanted: Purpose): Promise<void> {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set')
  const { db, close } = openDatabase(url, 2)
  try {
    await migrateDatabase(db, MIGRATIONS)
    const { purpose, loaded } = await claimDatabase(db, wanted)
    if (purpose !== wanted) throw new Error(PURPOSE_ADVICE[purpose])
    await ensureShippedMethods(db)
    await backfillRows(db)
    if (wanted === 'demonstration' && !loaded)
      await loadDemonstration(db, (line) => process.stdout.write(`  demonstration: ${line}\n`), Date.now())
  } finally {
    await close()
  }
}

const PURPOSE_ADVICE: Record<Purpose, string> = {
  demonstration:
    'This database holds the demonstration. Start without --empty, or name another database for your own runs.',
  own: 'This database holds a tester’s own runs. Start with --empty to open it; the demonstration is not loaded over it.',
}

main(process.argv.includes('--empty') ? 'own' : 'demonstration').catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`)
  process.exitCode = 1
})
