import { once } from 'node:events'
import { createServer, type AddressInfo, type Socket } from 'node:net'
import { createInterface } from 'node:readline'
import { afterEach, expect, it } from 'vitest'
import { openWire, type Wire } from '../../simulators/wire'

let wire: Wire | null = null
const server = createServer()
afterEach(() => {
  wire?.close()
  server.close()
})

// docs/instruments.md: the token is a connection's first line; what was not acknowledged is sent again under its id.
it('says its token first on every connection, whatever waits, and sends again what was not acknowledged', async () => {
  const heard: string[][] = []
  server.on('connection', (socket: Socket) => {
    const own: string[] = []
    heard.push(own)
    socket.on('error', () => undefined)
    createInterface({ input: socket }).on('line', (line) => {
      own.push(line)
      const { batch } = line.startsWith('{') ? (JSON.parse(line) as { batch?: string }) : {}
      if (batch === undefined) return
      // The first connection ends without an answer, as when a server is killed.
      if (heard.length === 1) socket.destroy()
      else socket.write(`${JSON.stringify({ batch, stored: 1 })}\n`)
    })
  })
  server.listen(0, '127.0.0.1')
  await once(server, 'listening')
  wire = openWire({ port: (server.address() as AddressInfo).port, token: 'abc', name: 'probe', say: () => undefined })
  // Before it is connected.
  wire.send(['1,water,20.0,degC'])
  await wire.settled()
  const [first, second] = heard
  expect(first).toEqual(['{"token":"abc"}', '1,water,20.0,degC', expect.stringContaining('"batch"')])
  expect(second).toEqual(first)
})
