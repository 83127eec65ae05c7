import type { H3Event } from 'h3'
import { isInner } from '#server/http/caller'
import { inCommon } from '#server/http/inCommon'
import { drawnBy, forOneReader, isReadByMany, type DrawnPage } from '#server/http/pages'
import { plainPath } from '#server/http/requestPath'

/** After the gate: a page that others ask for at the same time is drawn once for all of them. */
export default defineEventHandler(async (event) => {
  if (event.method !== 'GET' || isInner(event.node.req) || !isReadByMany(plainPath(event.path) ?? '')) return
  const asked = { host: getRequestHost(event), cookie: drawnBy(getHeader(event, 'cookie') ?? '') }
  const key = JSON.stringify(['page', event.path, event.context.caller, asked])
  const page = forOneReader(await inCommon(key, () => drawn(event, asked)))
  setResponseStatus(event, page.status)
  for (const [name, value] of page.headers) setResponseHeader(event, name, value)
  return page.body
})

/** Drawn as a page's own fetch is answered: as the one who asked, by what the page is drawn by and nothing else. */
async function drawn(event: H3Event, headers: Record<string, string>): Promise<DrawnPage> {
  const init = { headers: { ...headers, accept: 'text/html' }, context: { caller: event.context.caller } }
  const response = await useNitroApp().localFetch(event.path, init)
  return { status: response.status, headers: [...response.headers], body: await response.text() }
}
