import { createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { unpackWorkspace, whyNotEmpty } from '#server/package/unpackWorkspace'
import { PACKAGE_MAX_BYTES } from '#shared/limits'

/** The body is the package; it is read from disk, since any part of it may be wanted first. */
export default defineEventHandler(async (event) => {
  const url = process.env.DATABASE_URL
  if (!url) throw createError({ statusCode: 503, message: 'There is no database. Start with npm start.' })
  const full = await whyNotEmpty(contextOf(event).db)
  if (full !== null) return answerProblems(event, 422, [{ path: 'file', text: full }])
  const folder = await mkdtemp(join(tmpdir(), 'vulcanum-package-'))
  try {
    const file = join(folder, 'bench.zip')
    const trouble = await keep(event.node.req, file)
    if (trouble !== null) return answerProblems(event, trouble.status, [{ path: 'file', text: trouble.text }])
    return answerOutcome(event, await unpackWorkspace(url, file))
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
})

/** The body on disk, no further than the limit; what broke off is nothing. */
async function keep(request: Readable, file: string): Promise<{ status: number; text: string } | null> {
  let bytes = 0
  let tooLarge = false
  try {
    await pipeline(
      request,
      async function* (chunks: AsyncIterable<Buffer>) {
        for await (const chunk of chunks) {
          bytes += chunk.length
          tooLarge = bytes > PACKAGE_MAX_BYTES
          if (tooLarge) throw new Error('too large')
          yield chunk
        }
      },
      createWriteStream(file),
    )
    return null
  } catch {
    return tooLarge
      ? {
          status: 413,
          text: `The package: expected at most ${PACKAGE_MAX_BYTES / 1e9} GB. Use npm run backup and npm run restore for a workspace of that size.`,
        }
      : { status: 400, text: `The package broke off after ${bytes} bytes. Nothing was changed; send it again.` }
  }
}
