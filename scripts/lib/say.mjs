/** What the commands print: a line a step, and how long a slow one has taken so far. */

export const say = (line = '') => process.stdout.write(`${line}\n`)

/** An end with words instead of a stack. */
export class Stop extends Error {}

/** Runs a slow step, with its progress: a running count on a terminal, else a line every ten seconds. */
export async function step(what, work) {
  const started = Date.now()
  const seconds = () => ((Date.now() - started) / 1000).toFixed(0)
  const terminal = process.stdout.isTTY
  process.stdout.write(terminal ? `· ${what} …` : `· ${what} …\n`)
  const timer = setInterval(
    () => process.stdout.write(terminal ? `\r· ${what} … ${seconds()} s` : `  ${what}: ${seconds()} s so far\n`),
    terminal ? 1000 : 10_000,
  )
  try {
    const result = await work()
    process.stdout.write(terminal ? `\r· ${what}: done in ${seconds()} s   \n` : `  ${what}: done in ${seconds()} s\n`)
    return result
  } catch (error) {
    if (terminal) process.stdout.write('\n')
    throw error
  } finally {
    clearInterval(timer)
  }
}

/** Runs a command's main function: a Stop ends it with its words, anything else with its stack. */
export function runMain(main) {
  main().catch((error) => {
    process.stderr.write(`\n${error instanceof Stop ? error.message : error.stack}\n`)
    process.exit(1)
  })
}
