import type { H3Event } from 'h3'
import { inCommon } from '#server/http/inCommon'

/**
 * JSON that is read and written once for all who ask for it at the same time. What it is stands in path and query: who
 * asks makes no difference to it.
 */
export async function answerInCommon(event: H3Event, read: () => Promise<unknown>): Promise<string> {
  const text = await inCommon(event.path, async () => JSON.stringify(await read()))
  setResponseHeader(event, 'content-type', 'application/json')
  return text
}
