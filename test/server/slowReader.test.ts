import { once } from 'node:events'
import { createServer, type ServerResponse } from 'node:http'
import { connect, type AddressInfo } from 'node:net'
import { setImmediate as turn } from 'node:timers/promises'
import { expect, it } from 'vitest'
import { MOST_UNREAD_BYTES } from '../../server/http/limits'
import { stillReads } from '../../server/http/slowReader'

it('whoever takes nothing of an open stream is let go once so much lies unread', async () => {
  const server = createServer().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const asked = once(server, 'request') as Promise<[unknown, ServerResponse]>
  const client = connect((server.address() as AddressInfo).port, '127.0.0.1')
  client.write('GET / HTTP/1.1\r\nhost: x\r\n\r\n')
  client.pause()
  const [, response] = await asked
  const piece = Buffer.alloc(256 * 1024)
  let pieces = 0
  for (; stillReads(response) && pieces < 1000; pieces++) {
    response.write(piece)
    await turn()
  }
  expect(pieces).toBeLessThan(1000)
  // What the network itself holds comes on top of what lay here; neither is more than a few.
  expect(pieces * piece.length).toBeGreaterThan(MOST_UNREAD_BYTES)
  expect([response.destroyed, response.writableLength > MOST_UNREAD_BYTES + 2 * piece.length]).toEqual([true, false])
  client.destroy()
  server.close()
})
