/** Free ports, on loopback unless another address is named. */
import { createServer } from 'node:net'

/**
 * Ports that no browser opens, whoever listens there ("bad ports" of the Fetch standard, fetch.spec.whatwg.org; those
 * that may be listened at without rights of their own).
 */
const CLOSED_TO_BROWSERS = new Set([
  1719, 1720, 1723, 2049, 3659, 4045, 4190, 5060, 5061, 6000, 6566, 6665, 6666, 6667, 6668, 6669, 6679, 6697, 10_080,
])

export const isClosedToBrowsers = (port) => CLOSED_TO_BROWSERS.has(port)

export function isFree(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen({ port, host, exclusive: true }, () => probe.close(() => resolve(true)))
  })
}

/** The wanted port, else the next free one after it that a browser opens. */
export async function freePortFrom(wanted, host = '127.0.0.1') {
  for (let port = wanted; port < Math.min(wanted + 200, 65_536); port++)
    if (!isClosedToBrowsers(port) && (await isFree(port, host))) return port
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
