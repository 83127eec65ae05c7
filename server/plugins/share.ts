import { readFileSync } from 'node:fs'
import { createServer } from 'node:https'
import { toNodeListener } from 'h3'
import { shareSettings } from '../share/settings'

/** With --share: the same application over HTTPS on the local network, for paired devices alone. */
export default defineNitroPlugin((nitro) => {
  const settings = shareSettings()
  if (settings === null) return
  const server = createServer({ key: readFileSync(settings.keyFile), cert: readFileSync(settings.certFile) }, toNodeListener(nitro.h3App))
  server.on('error', error => process.stderr.write(`Sharing failed: ${error.message}\n`))
  server.listen(settings.port, settings.host)
  nitro.hooks.hook('close', () => {
    server.close()
    server.closeAllConnections()
  })
})
