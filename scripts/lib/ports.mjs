/** Free ports, on loopback unless another address is named. */
import { createServer } from 'node:net'

export function isFree(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen({ port, host, exclusive: true }, () => probe.close(() => resolve(true)))
  })
}

/** The wanted port, else the next free one after it. */
export async function freePortFrom(wanted, host = '127.0.0.1') {
  for (let port = wanted; port < Math.min(wanted + 200, 65_536); port++) if (await isFree(port, host)) return port
  throw new Error(`No free port from ${wanted} on`)
}

/** Any free port, as the system gives it. */
export function anyFreePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}
