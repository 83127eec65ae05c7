/** The application's build: made again when a source changed since. */
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { at, builtServer } from './paths.mjs'
import { run } from './processes.mjs'
import { step } from './say.mjs'

const SOURCES = [
  'app',
  'core',
  'shared',
  'server',
  'public',
  'nuxt.config.ts',
  'package.json',
  'package-lock.json',
  'simulators',
  'cli',
  'scripts/lib/serviceWorker.mjs',
  'scripts/lib/serverPrograms.mjs',
]
const stamp = at('.output', '.sources')

function files(path) {
  if (!existsSync(path)) return []
  if (statSync(path).isFile()) return [path]
  return readdirSync(path)
    .sort()
    .flatMap((name) => files(join(path, name)))
}

function sourcesHash() {
  const hash = createHash('sha256')
  for (const file of SOURCES.flatMap((name) => files(at(name))))
    hash.update(file.slice(at().length)).update('\0').update(readFileSync(file)).update('\0')
  return hash.digest('hex')
}

/** Whether what is built is of the sources as they are. */
export const isBuilt = (wanted = sourcesHash()) =>
  existsSync(builtServer) && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted

export async function requireBuild() {
  const wanted = sourcesHash()
  if (isBuilt(wanted)) return
  await step('Building the application', () =>
    run(process.execPath, [at('node_modules', 'nuxt', 'bin', 'nuxt.mjs'), 'build'], {
      env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
    }),
  )
  writeFileSync(stamp, wanted)
}
