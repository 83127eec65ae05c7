/** A server of a test's own, on the same database, that the test may kill and start again at the same address. */
import { anyFreePort } from '../../scripts/lib/ports.mjs'
import { startServer } from '../../scripts/lib/server.mjs'

export async function ownServer(share: object | null = null, instrumentPort = 0) {
  const port: number = await anyFreePort()
  const start = () =>
    startServer({
      port,
      instrumentPort,
      databaseUrl: process.env.DATABASE_URL!,
      output: 'ignore',
      share: share as null,
      onExit: undefined,
    }) as Promise<{ url: string; pid: number; stop: () => Promise<void> | undefined }>
  let server = await start()
  return {
    url: server.url,
    kill: () => process.kill(server.pid, 'SIGKILL'),
    again: async () => {
      server = await start()
    },
    stop: async () => {
      await server.stop()
    },
  }
}
