import { SLOWEST_READER_MS } from '#server/http/limits'
import { packToFile } from '#server/package/packToFile'

/** The whole workspace as an open tabular data package. */
export default defineEventHandler(async (event) => {
  const url = process.env.DATABASE_URL
  if (!url) throw createError({ statusCode: 503, message: 'There is no database. Start with npm start.' })
  const packed = await packToFile(url, new Date())
  if (packed === null)
    return answerProblems(event, 429, [
      { path: '', text: 'This workspace is being packed for others at this moment. Try again when that is done.' },
    ])
  setHeader(event, 'content-type', 'application/zip')
  setHeader(event, 'content-disposition', 'attachment; filename="vulcanum-workspace.zip"')
  event.node.res.setTimeout(SLOWEST_READER_MS, () => event.node.res.destroy())
  event.node.res.once('close', () => packed.destroy())
  return sendStream(event, packed)
})
