/** What the other schools would have made of the newest run of a method: the same marks, read otherwise. */
import { and, desc, eq, inArray } from 'drizzle-orm'
import { BOILS, CLOCKS, LITRES, type ReduceOptions } from '../../core/formats/document'
import { toRunDocument } from '../../core/formats/toRunDocument'
import type { MethodBody } from '../../core/method/method'
import { TARGET, USUAL_TARGET_C, type SchoolKey } from '../../core/method/schools'
import { reduce } from '../../core/reduce'
import type { MethodPage, SchoolFigure } from '../../shared/method'
import { listedOptions } from '../../shared/runOptions'
import type { Connection } from '../database/connection'
import { methodVersion, run, setup, setupVersion } from '../database/schema'
import { findRuns } from '../database/repositories/runs'

/** Read each way; a fixed target is the one the run was called by, where it was. */
const otherwise = (targetC: number): { key: SchoolKey, value: string, change: Partial<ReduceOptions> }[] => [
  ...CLOCKS.map(clock => ({ key: 'clock' as const, value: clock, change: { clock } })), ...BOILS.map(boil => ({ key: 'boil' as const, value: boil as string, change: { boil } })),
  { key: 'boil', value: TARGET, change: { boil: { targetC } } }, ...LITRES.map(litre => ({ key: 'litre' as const, value: litre, change: { litre } })),
  ...(['ratio', 'energy', 'loss'] as const).map(model => ({ key: 'correction' as const, value: model, change: { model } })),
]

export async function schoolFigures(db: Connection, methodId: string, body: MethodBody): Promise<MethodPage['figures']> {
  const [newest] = await db.select({ id: run.id, startedAt: run.startedAt, zone: run.zone, setup: setup.name }).from(run).innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId)).innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .where(and(eq(run.state, 'finished'), eq(run.breakIn, false), inArray(run.methodVersionId, db.select({ id: methodVersion.id }).from(methodVersion).where(eq(methodVersion.methodId, methodId))))).orderBy(desc(run.startedAt)).limit(1)
  const [found] = newest === undefined ? [] : await findRuns(db, [newest.id])
  if (found === undefined) return null
  const document = toRunDocument(found.stored)
  const targetC = typeof found.method?.boil === 'object' ? found.method.boil.targetC : USUAL_TARGET_C
  const schools = otherwise(targetC).map(({ key, value, change }): SchoolFigure => {
    const [answer] = reduce({ ...listedOptions(body), ...change, runs: [document] }).runs
    const figures = answer === undefined || 'error' in answer ? null : answer
    return { key, value, timeToBoilS: figures?.timeToBoilS ?? null, gPerL: figures?.gPerL ?? null, normalisedGPerL: figures?.normalisedGPerL ?? null }
  })
  return { run: { ...newest!, startedAt: newest!.startedAt.toISOString() }, schools }
}
