/** The npm packages: installed when missing or older than the lockfile. */
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { at } from './paths.mjs'
import { run } from './processes.mjs'
import { step, Stop } from './say.mjs'

const stamp = at('node_modules', '.vulcanum-lock')
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(at('package-lock.json')))
    .update(readFileSync(at('package.json')))
    .digest('hex')

export function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stop(`Vulcanum needs Node.js 20.19 or newer; this is ${process.versions.node}.`)
}

export async function requireDependencies() {
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lockHash()) return
  // Not `npm ci`: it demands platform builds that were never locked. docs/decisions/0003 says more.
  const args = ['install', '--no-save', '--no-audit', '--no-fund']
  await step('Installing the npm packages', () =>
    run('npm', args, { env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' } }),
  )
  writeFileSync(stamp, lockHash())
}
