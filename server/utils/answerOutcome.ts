import type { H3Event } from 'h3'
import type { Outcome } from '#server/kit/outcome'
import { isUuid } from '#shared/uuid'

const STATUS = { invalid: 422, notFound: 404, conflict: 409, inUse: 409 } as const

/** What a service of the kit says: the record, or the refusal with its status. */
export function answerOutcome<T>(event: H3Event, outcome: Outcome<T>) {
  if (outcome.status === 'saved') return { value: outcome.value }
  const { status, ...refusal } = outcome
  setResponseStatus(event, STATUS[status])
  return refusal
}

/** The route's id, or an error in words. */
export function requireId(event: H3Event, name = 'id'): string {
  const id = getRouterParam(event, name) ?? ''
  if (!isUuid(id))
    throw createError({ statusCode: 400, message: `"${id.slice(0, 40)}" is not an id. Open it from its list.` })
  return id
}

/** A record of the kit, or the error that there is none. */
export function requireFound<T>(found: T | null, what: string): T {
  if (found === null)
    throw createError({
      statusCode: 404,
      message: `There is no ${what} of this id here. It may have been deleted, or made in another workspace; open it from its list.`,
    })
  return found
}

/** The body given to a service, with the id of the route. */
export async function callService<T>(event: H3Event, service: (body: unknown) => Promise<Outcome<T>>) {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  if (typeof body.value !== 'object' || body.value === null)
    return answerProblems(event, 422, [{ path: '', text: 'The request: expected one JSON object.' }])
  return answerOutcome(event, await service(body.value))
}
