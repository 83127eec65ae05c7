/** The built server as a child, never as root: it ends when this command does, however that ends. */
import { fork } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { builtApp } from './builtApp.mjs'
import { end, sleep } from './processes.mjs'
import { Stop } from './say.mjs'

/**
 * Starts the server and waits until it answers.
 * @param onExit called with (code, signal) when it ends unasked after it had answered; `share` what the server needs to
 * answer the network too (scripts/lib/share.mjs), null: it does not; `instrumentPort` where instruments may keep a
 * connection open, 0: nowhere; `dataFolder` the database's on this machine, where it is
 */
export async function startServer({ port, databaseUrl, onExit, output = 'inherit', ...more }) {
  const instance = randomUUID()
  const { folder, as } = builtApp()
  const child = fork(join(folder, 'scripts', 'serve.mjs'), [], {
    cwd: folder,
    ...as,
    env: environment({ port, databaseUrl, instance, ...more }),
    stdio: ['ignore', 'ignore', output, 'ipc'],
    detached: true,
  })
  let ended = false
  let asked = false
  let serving = false
  child.on('exit', (code, signal) => {
    ended = true
    // One that never answered is told by what is thrown below.
    if (serving && !asked) onExit?.(code, signal)
  })
  const url = `http://127.0.0.1:${port}`
  const stop = () => {
    asked = true
    return ended ? undefined : end(child.pid, 'SIGTERM', 4000)
  }
  try {
    await waitFor(url, instance, () => ended)
    serving = true
  } catch (error) {
    await stop()
    throw error
  }
  return { url, instance, pid: child.pid, stop }
}

const environment = ({ port, databaseUrl, instance, share = null, instrumentPort = 0, dataFolder = '' }) => ({
  ...process.env,
  NODE_ENV: 'production',
  HOST: '127.0.0.1',
  NITRO_HOST: '127.0.0.1',
  PORT: String(port),
  NITRO_PORT: String(port),
  DATABASE_URL: databaseUrl,
  VULCANUM_INSTANCE: instance,
  NITRO_SHUTDOWN_TIMEOUT: '1000',
  // glibc keeps a heap for each thread and gives none back: two serve them all.
  MALLOC_ARENA_MAX: '2',
  VULCANUM_SHARE: share === null ? '' : JSON.stringify(share),
  VULCANUM_INSTRUMENT_PORT: String(instrumentPort),
  VULCANUM_DATA_FOLDER: dataFolder,
})

async function waitFor(url, instance, hasEnded) {
  for (let waited = 0; waited < 60_000; waited += 50) {
    if (hasEnded()) throw new Stop('The server stopped while starting; what it said stands above.')
    if (await answers(url, instance)) return
    await sleep(50)
  }
  throw new Stop('The server did not answer within 60 s.')
}

/** Whether a server of this instance answers there. */
export async function answers(url, instance) {
  try {
    const response = await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(2000) })
    return response.ok && (await response.json()).instance === instance
  } catch {
    return false
  }
}
