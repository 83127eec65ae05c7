import { readBenchNow, readBenchSince } from '#server/bench/lanes'
import { takeActs } from '#server/bench/takeActs'
import { FAILURE_STATUS, FAILURE_WORDS } from '#server/database/failure'
import { readSentActs } from '#shared/benchAct'

/**
 * 200: every act has its answer. 503, 507: the database is away, or its disk is full; what is acknowledged is stored,
 * the rest is to be sent again. 409: an id came with another content.
 */
export default defineEventHandler(async (event) => {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readSentActs(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  const { db, workspace } = contextOf(event)
  // A paired device is who its token says, whatever it calls itself.
  const { caller } = event.context
  const device = caller.as === 'device' ? { id: caller.id, name: caller.name } : read.sent.device
  const { acks, broke } = await takeActs(db, { ...read.sent, device })
  if (broke !== null) {
    setResponseStatus(event, FAILURE_STATUS[broke])
    return { acks, bench: null, whole: false, problems: [{ path: '', ...FAILURE_WORDS[broke] }] }
  }
  setResponseStatus(event, acks.some((ack) => ack.as === 'conflict') ? 409 : 200)
  // A page that says how much it has seen is told what changed since.
  const { seen } = body.value as { seen?: unknown }
  const whole = !(Number.isInteger(seen) && (seen as number) >= 0)
  const serverMs = await workspace.clock.now()
  return {
    acks,
    whole,
    bench: whole ? await readBenchNow(db, serverMs) : await readBenchSince(db, seen as number, serverMs),
  }
})
