import type { H3Event } from 'h3'
import { MAX_BODY_BYTES } from '#shared/limits'

export type Body = { ok: true, value: unknown } | { ok: false, status: number, text: string }

/** The request's JSON, read no further than the limit: a body that is too large is refused before it fills the memory. */
export async function readJsonBody(event: H3Event): Promise<Body> {
  const announced = Number(event.node.req.headers['content-length'] ?? 0)
  if (announced > MAX_BODY_BYTES) return tooLarge(announced)
  const chunks: Buffer[] = []
  let bytes = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    bytes += chunk.length
    if (bytes > MAX_BODY_BYTES) return tooLarge(bytes)
    chunks.push(chunk)
  }
  try {
    return { ok: true, value: JSON.parse(Buffer.concat(chunks).toString('utf8')) }
  } catch {
    return { ok: false, status: 400, text: `The request: read ${bytes} bytes that are not JSON. Send one JSON object.` }
  }
}

const tooLarge = (bytes: number): Body => ({
  ok: false, status: 413, text: `The request: read ${(bytes / 1e6).toFixed(1)} MB, expected at most ${MAX_BODY_BYTES / 1e6} MB. Shorten the notes, and bring traces in as files.`,
})
