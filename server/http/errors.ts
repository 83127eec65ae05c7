/** What goes wrong, answered in one shape: a status, and problems with the path of their field. */
import { randomUUID } from 'node:crypto'
import { type H3Error, type H3Event, send, setResponseHeaders, setResponseStatus } from 'h3'
import { FAILURE_STATUS, FAILURE_WORDS, failureOf } from '../database/failure'
import type { FieldProblem } from '../../shared/readProblems'
import { TooMuch } from '../workers/pool'
import { isApi } from './access'

interface Answered {
  status: number
  problems: FieldProblem[]
}

/** Nitro's: for the interface, and for pages whose own drawing is of no use, such as one that the gate refused. */
export default async function answerError(error: H3Error, event: H3Event): Promise<void> {
  const path = (event.node.req.url ?? '/').split('?', 1)[0]!
  if (event.handled || !isApi(path)) return
  // Whoever asked has gone.
  if (event.node.res.destroyed) return
  const { status, problems } = problemsOf(error, `${event.method} ${path.slice(0, 200)}`)
  setResponseStatus(event, status)
  setResponseHeaders(event, {
    'content-type': 'application/json',
    'cache-control': 'no-store',
    'x-content-type-options': 'nosniff',
  })
  await send(event, JSON.stringify({ problems }))
}

/** What was refused says why; a fault of ours says its number in the log and nothing more. */
export function problemsOf(error: H3Error, asked: string): Answered {
  const failure = failureOf(error)
  if (failure !== null) return { status: FAILURE_STATUS[failure], problems: [{ path: '', ...FAILURE_WORDS[failure] }] }
  if (error.cause instanceof TooMuch)
    return {
      status: 503,
      problems: [
        {
          path: '',
          text: `This takes too much ${error.cause.what === 'queue' ? 'at once' : error.cause.what} here. Ask for less, or again in a moment.`,
        },
      ],
    }
  const { statusCode = 500, unhandled, message, data } = error
  if (!unhandled && statusCode < 500)
    return {
      status: statusCode,
      problems: [{ path: (data as { path?: string } | undefined)?.path ?? '', text: message }],
    }
  const number = randomUUID().slice(0, 8)
  console.error(`Fault ${number}: ${asked}\n`, error.cause ?? error)
  return {
    status: 500,
    problems: [
      {
        path: '',
        text: `Something went wrong here, and not with what you sent; nothing of it was stored. The server’s log has more under ${number}.`,
      },
    ],
  }
}
