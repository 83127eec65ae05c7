import type { H3Event } from 'h3'
import { MAX_BODY_BYTES } from '#shared/limits'
import { plainJson, TooDeep } from '#shared/plainJson'

type Read<T> = { ok: true; value: T } | { ok: false; status: number; text: string }
export type Body = Read<unknown>

/**
 * The request's body, read no further than the limit: one that is too large is refused before it fills the memory, one
 * that breaks off is nothing.
 */
export async function readBytes(event: H3Event, maxBytes: number, what: string, hint: string): Promise<Read<Buffer>> {
  const tooLarge = (bytes: number): Read<Buffer> => ({
    ok: false,
    status: 413,
    text: `${what}: read ${(bytes / 1e6).toFixed(1)} MB, expected at most ${maxBytes / 1e6} MB. ${hint}`,
  })
  const announced = Number(event.node.req.headers['content-length'] ?? 0)
  if (announced > maxBytes) return tooLarge(announced)
  const chunks: Buffer[] = []
  let bytes = 0
  try {
    for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
      bytes += chunk.length
      if (bytes > maxBytes) return tooLarge(bytes)
      chunks.push(chunk)
    }
  } catch {
    return {
      ok: false,
      status: 400,
      text: `${what}: broke off after ${bytes} bytes. Nothing was stored; send it again.`,
    }
  }
  return { ok: true, value: Buffer.concat(chunks) }
}

/** The request's JSON, in the form in which it is kept. */
export async function readJsonBody(event: H3Event): Promise<Body> {
  const body = await readBytes(event, MAX_BODY_BYTES, 'The request', 'Shorten the notes, and bring traces in as files.')
  if (!body.ok) return body
  try {
    return { ok: true, value: plainJson(JSON.parse(body.value.toString('utf8'))) }
  } catch (error) {
    if (error instanceof TooDeep)
      return { ok: false, status: 422, text: 'The request: nested deeper than any record is. Send it flat.' }
    return {
      ok: false,
      status: 400,
      text: `The request: read ${body.value.length} bytes that are not JSON. Send one JSON object.`,
    }
  }
}
