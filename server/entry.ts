/**
 * The server of the built application: Nitro's own for Node.js, with limits, and with the gate before a connection is
 * upgraded.
 */
import '#nitro-internal-pollyfills'
import { Server } from 'node:http'
import wsAdapter from 'crossws/adapters/node'
import { toNodeListener } from 'h3'
import { useNitroApp } from 'nitropack/runtime'
import { setupGracefulShutdown, trapUnhandledNodeErrors } from 'nitropack/runtime/internal'
import { MOST_CONNECTIONS, SERVER_LIMITS, SOCKETS } from './http/limits'
import { mayUpgrade } from './http/upgrade'

const nitroApp = useNitroApp()
const server = new Server(SERVER_LIMITS, toNodeListener(nitroApp.h3App))
server.maxConnections = MOST_CONNECTIONS
server.on('error', (error) => {
  process.stderr.write(`${error.message}\n`)
  process.exit(1)
})
const listener = server.listen({
  port: Number(process.env.NITRO_PORT ?? 3000),
  host: process.env.NITRO_HOST ?? '127.0.0.1',
})
trapUnhandledNodeErrors()
setupGracefulShutdown(listener, nitroApp)

const { handleUpgrade } = wsAdapter({
  ...nitroApp.h3App.websocket,
  serverOptions: { maxPayload: SOCKETS.longestMessage },
})
server.on('upgrade', (request, socket, head) => {
  socket.on('error', () => socket.destroy())
  const refused = mayUpgrade(request)
  if (refused === null) return void handleUpgrade(request, socket, head)
  const answer = [`HTTP/1.1 ${refused.status} Refused`, 'connection: close', 'content-type: application/json', '', '']
  socket.end(answer.join('\r\n') + JSON.stringify({ problems: [{ path: '', text: refused.text }] }))
})

export default {}
