/** Whether a connection may become a web socket: by the same rules as a request, before anything is opened for it. */
import type { IncomingMessage } from 'node:http'
import { INSTRUMENT_SOCKET, rightOf } from './access'
import { cameByNetwork, foreign, mayAsk } from './caller'
import { SOCKETS } from './limits'
import { plainPath } from './requestPath'

let open = 0
export const socketOpened = (): void => void open++
export const socketClosed = (): void => void open--

/** Null: it may. */
export function mayUpgrade(request: IncomingMessage): { status: number; text: string } | null {
  const path = plainPath(request.url ?? '/')
  if (path !== INSTRUMENT_SOCKET) return { status: 404, text: 'There is no socket at this address.' }
  const why = foreign(request, { shared: null, isPage: false })
  if (why !== null) return { status: 403, text: `Refused: ${why}. Open Vulcanum at its own address.` }
  const right = rightOf('GET', path)
  if (right === null || cameByNetwork(request) || !mayAsk({ as: 'machine' }, right))
    return { status: 403, text: 'Instruments send from the machine that runs Vulcanum.' }
  return open >= SOCKETS.most ? { status: 503, text: `${SOCKETS.most} instruments are connected already.` } : null
}
