/** Where a thread's program is: in the built server bundled beside it, else as it is written. */
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

export function threadFile(name: string): { filename: string; execArgv: string[] } {
  const built = fileURLToPath(new URL(`./programs/threads/${name}.mjs`, import.meta.url))
  if (existsSync(built)) return { filename: built, execArgv: [] }
  return { filename: fileURLToPath(new URL(`./threads/${name}.ts`, import.meta.url)), execArgv: ['--import', 'tsx'] }
}
