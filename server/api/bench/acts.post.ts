import { benchNow } from '#server/bench/benchClock'
import { readBenchNow } from '#server/bench/lanes'
import { takeActs } from '#server/bench/takeActs'
import { useDatabase } from '#server/database/connection'
import { readSentActs } from '#shared/benchAct'

/** 200: every act has its answer. 503: the database failed at one; what is acknowledged is stored, the rest is to be sent again. 409: an id came with another content. */
export default defineEventHandler(async (event) => {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readSentActs(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  const db = useDatabase()
  // A paired device is who its token says, whatever it calls itself.
  const device = (event.context.pairedDevice as { id: string, name: string } | null | undefined) ?? read.sent.device
  const { acks, broke } = await takeActs(db, { ...read.sent, device })
  setResponseStatus(event, broke ? 503 : acks.some(ack => ack.as === 'conflict') ? 409 : 200)
  return { acks, bench: broke ? null : await readBenchNow(db, await benchNow(db)) }
})
