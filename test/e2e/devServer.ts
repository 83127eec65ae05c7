/** The development server, on a port of its own, with its files apart from the built application's. */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { anyFreePort } from '../../scripts/lib/ports.mjs'

const LONGEST_MS = 150_000
const answers = (url: string) =>
  fetch(url).then(
    ({ ok }) => ok,
    () => false,
  )

export async function devServer(path: string) {
  const port: number = await anyFreePort()
  const folder = mkdtempSync(join(tmpdir(), 'vulcanum-dev-'))
  const child = spawn(
    process.execPath,
    ['node_modules/nuxt/bin/nuxt.mjs', 'dev', '--port', String(port), '--host', '127.0.0.1'],
    { stdio: 'ignore', env: { ...process.env, VULCANUM_BUILD_DIR: folder, NUXT_TELEMETRY_DISABLED: '1' } },
  )
  const stop = () => {
    child.kill('SIGTERM')
    rmSync(folder, { recursive: true, force: true })
  }
  const url = `http://127.0.0.1:${port}${path}`
  const until = Date.now() + LONGEST_MS
  while (!(await answers(url))) {
    if (child.exitCode !== null || Date.now() > until) {
      stop()
      throw new Error('The development server did not answer.')
    }
    await new Promise((resolve) => setTimeout(resolve, 500))
  }
  return { url, stop }
}
