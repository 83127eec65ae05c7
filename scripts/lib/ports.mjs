/** Free ports on loopback. */
import { createServer } from 'node:net'

export function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen({ port, host: '127.0.0.1', exclusive: true }, () => probe.close(() => resolve(true)))
  })
}

/** The wanted port, else the next free one after it. */
export async function freePortFrom(wanted) {
  for (let port = wanted; port < Math.min(wanted + 200, 65_536); port++) if (await isFree(port)) return port
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
