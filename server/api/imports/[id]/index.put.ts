import { dropOldStaged } from '#server/import/imports'
import { stageImport } from '#server/import/stage'
import { IMPORT, MAX_TEXT } from '#shared/limits'

/** The body is the file itself; its name stands in the query. */
export default defineEventHandler(async (event) => {
  const id = requireId(event)
  const { name } = readQuery(event)
  const shown = typeof name === 'string' && name.trim() !== '' ? name.trim().slice(0, MAX_TEXT.name) : 'the file'
  const body = await readBytes(event, IMPORT.maxBytes, shown, 'Bring a part of it at a time. Nothing was stored.')
  if (!body.ok) return answerProblems(event, body.status, [{ path: 'file', text: body.text }])
  const { db } = contextOf(event)
  await dropOldStaged(db)
  return answerOutcome(event, await stageImport(db, { id, name: shown, bytes: body.value, signal: whileAsked(event) }))
})
