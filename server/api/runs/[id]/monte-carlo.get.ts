import type { monteCarloRun } from '#core/reduce/monteCarloRun'
import { problemText } from '#core/result'
import { inThread } from '#server/workers/pool'
import { MONTE_CARLO } from '#shared/limits'
import { optionsFor } from '#shared/reduceOptions'
import { conventionsOf, runViewFrom } from '#shared/runOptions'

/** Monte Carlo of a run's figure, for exports: the same draws as on its page, seed for seed. */
export default defineEventHandler(async (event) => {
  const run = await requireRun(event)
  const query = readQuery(event)
  const whole = (text: unknown, otherwise: number, { min, max }: { min: number; max: number }, name: string) => {
    const value = text === undefined ? otherwise : Number(text)
    if (Number.isInteger(value) && value >= min && value <= max) return value
    throw createError({
      statusCode: 400,
      message: `${name}: read "${String(text).slice(0, 40)}", expected a whole number from ${min} to ${max}.`,
    })
  }
  const draws = whole(query.draws, MONTE_CARLO.usualDraws, MONTE_CARLO.draws, 'draws')
  const seed = whole(query.seed, MONTE_CARLO.usualSeed, MONTE_CARLO.seed, 'seed')
  const task = {
    url: contextOf(event).workspace.url,
    runId: run.stored.id,
    options: optionsFor(runViewFrom(query, conventionsOf(run.method))),
    draws,
    seed,
  }
  const result = await inThread<ReturnType<typeof monteCarloRun>>('overDatabase', task, {
    name: 'drawMonteCarlo',
    signal: whileAsked(event),
  })
  if (!result.ok) throw createError({ statusCode: 422, message: problemText(result.problem) })
  return result.value
})
