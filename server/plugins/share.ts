import { readFileSync } from 'node:fs'
import { createServer } from 'node:https'
import { toNodeListener } from 'h3'
import { MOST_CONNECTIONS, SERVER_LIMITS } from '../http/limits'
import { shareSettings } from '../share/settings'

/**
 * With --share: the same application over HTTPS on this machine's own addresses of the local network, for paired
 * devices alone.
 */
export default defineNitroPlugin((nitro) => {
  const settings = shareSettings()
  if (settings === null) return
  const certificate = { key: readFileSync(settings.keyFile), cert: readFileSync(settings.certFile) }
  const servers = settings.addresses.map((address) => {
    const server = createServer({ ...certificate, ...SERVER_LIMITS }, toNodeListener(nitro.h3App))
    server.maxConnections = MOST_CONNECTIONS
    server.on('error', (error) => process.stderr.write(`Sharing at ${address} failed: ${error.message}\n`))
    return server.listen(settings.port, address)
  })
  nitro.hooks.hook('close', () => {
    for (const server of servers) {
      server.close()
      server.closeAllConnections()
    }
  })
})
