/** Loads the demonstration through the same doors as a person's kit and runs. */
import { eq } from 'drizzle-orm'
import { emptyTypedRun } from '../../shared/typedRun'
import type { Connection, Database } from '../database/connection'
import { addFuelBatch, addPerson, addPlace, addSetup, addThing } from '../database/repositories/kit'
import { setNow } from '../database/repositories/now'
import { bench, person } from '../database/schema'
import { logRun } from '../runs/logRun'
import { FUELS, PEOPLE, PLACES, SETUPS, THINGS } from './kit'
import { campaignRuns } from './campaign'
import { TYPED_RUNS, type DemoRun } from './runs'

type Ids = Record<string, string>

/** All or nothing: a load that was interrupted leaves an empty database behind. Reports how far it is. */
export async function loadDemonstration(db: Database, say: (line: string) => void, nowMs: number): Promise<void> {
  await db.transaction(async (tx) => {
    const existing = await tx.select({ id: person.id }).from(person).limit(1)
    if (existing.length > 0) throw new Error('This database has people in it already: the demonstration is not loaded over them.')
    const kit = await loadKit(tx)
    say(`kit: ${Object.keys(THINGS).length} things, ${Object.keys(SETUPS).length} set-ups, ${Object.keys(PLACES).length} places`)
    const runs = [...TYPED_RUNS, ...campaignRuns()]
    for (const run of runs) await loadRun(tx, run, { kit, nowMs })
    await setNow(tx, { placeId: kit.places.saddle!, readings: [], clear: [] })
    say(`runs: ${runs.length}`)
    await tx.update(bench).set({ loaded: true }).where(eq(bench.only, true))
  })
}

interface Kit { people: Ids, places: Ids, setups: Ids, fuels: Ids }

async function loadKit(tx: Connection): Promise<Kit> {
  const people = await keyed(Object.fromEntries(PEOPLE.map(name => [name, name])), name => addPerson(tx, name))
  const places = await keyed(PLACES, entry => addPlace(tx, entry))
  const things = await keyed(THINGS, async entry => (await addThing(tx, entry)).versionId)
  const versions = (parts: object) => Object.fromEntries(Object.entries(parts).map(([role, key]) => [role, things[key as string]!]))
  const setups = await keyed(SETUPS, ({ name, gapM, parts }) => addSetup(tx, { name, gapM, parts: versions(parts) }))
  const fuels = await keyed(FUELS, entry => addFuelBatch(tx, entry))
  return { people, places, setups, fuels }
}

async function keyed<T>(entries: Record<string, T>, add: (entry: T) => Promise<string>): Promise<Ids> {
  const made: Ids = {}
  for (const [key, entry] of Object.entries(entries)) made[key] = await add(entry)
  return made
}

async function loadRun(tx: Connection, run: DemoRun, { kit, nowMs }: { kit: Kit, nowMs: number }): Promise<void> {
  const blank = emptyTypedRun(run.id, 'metric')
  const outcome = await logRun(tx, {
    ...blank, startedAt: run.at, zone: PLACES[run.place].zone, personId: kit.people[run.who], placeId: kit.places[run.place], setupId: kit.setups[run.setup],
    fuelBatchId: kit.fuels[run.fuel], measured: { ...blank.measured, ...run.measured }, times: { ...blank.times, ...run.times }, stoppedReason: run.stoppedReason ?? '', notes: run.notes,
    takeBurnShare: run.takeBurnShare ?? false, trace: run.trace ?? [],
  }, nowMs)
  if ('problems' in outcome) throw new Error(`Run ${run.id}: ${outcome.problems.map(problem => problem.text).join(' ')}`)
}
