/** Simulators as programs of their own, beside this one. They end with this process, however it ends. */
import { fork, type ChildProcess } from 'node:child_process'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Where this server answers, and where instruments keep a connection open; port 0: nowhere. */
export interface Answers {
  bench: string
  port: number
}
export const answersHere = (): Answers => ({
  bench: `http://127.0.0.1:${process.env.PORT ?? '3000'}`,
  port: Number(process.env.VULCANUM_INSTRUMENT_PORT || 0),
})
/**
 * Beside the built server as one file, else as it is written. Its token does not stand on its command line, where every
 * user of the machine may read it.
 */
export function forkSimulator(
  file: string,
  { bench, port }: Answers,
  { token, args }: { token: string; args: string[] },
): ChildProcess {
  const built = fileURLToPath(new URL(`./programs/simulators/${file}.mjs`, import.meta.url))
  const [program, execArgv] = existsSync(built)
    ? [built, []]
    : [join(process.cwd(), 'simulators', `${file}.ts`), ['--import', 'tsx']]
  return fork(program, ['--port', String(port), '--bench', bench, ...args], {
    execArgv,
    env: { ...process.env, VULCANUM_TOKEN: token },
    stdio: ['ignore', 'ignore', 'pipe', 'ipc'],
  })
}
