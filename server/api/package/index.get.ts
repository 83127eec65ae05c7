import { packBench } from '#server/package/packBench'

/** The whole bench as an open tabular data package. */
export default defineEventHandler((event) => {
  const url = process.env.DATABASE_URL
  if (!url) throw createError({ statusCode: 503, message: 'There is no database. Start with npm start.' })
  setHeader(event, 'content-type', 'application/zip')
  setHeader(event, 'content-disposition', 'attachment; filename="vulcanum-bench.zip"')
  return sendStream(event, packBench(url, new Date()))
})
