import { isPlace, nowConditions, setNow } from '#server/database/repositories/now'
import { readTypedNow } from '#shared/nowConditions'
import { isUuid } from '#shared/uuid'

export default defineEventHandler(async (event) => {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readTypedNow(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  const { db } = contextOf(event)
  if (read.placeId !== null && !(isUuid(read.placeId) && (await isPlace(db, read.placeId))))
    return answerProblems(event, 422, [
      { path: 'placeId', text: 'Place: this one is not known here. Choose one from the list.' },
    ])
  await setNow(db, read)
  return nowConditions(db)
})
