/** `npm test`: every check, against a throw-away cluster and port of its own; leaves nothing running. */
import { requireDependencies, requireNode } from './lib/dependencies.mjs'
import { makeDataFolder } from './lib/paths.mjs'
import { runMain, say, Stop } from './lib/say.mjs'
import { TestRun } from './test/testRun.mjs'

/**
 * Stages follow each other; the chains of a stage run at the same time, the parts of a chain one after the other. What
 * is measured by the clock has the machine to itself.
 */
const STAGES = [
  [
    ['build', 'db'],
    ['lint', 'types', 'unit'],
  ],
  [['e2e']],
  [['start']],
  [['fuzz', 'soak']],
]
/** What may be asked for by name; the build is made by whatever part needs it. */
const PARTS = STAGES.flat(2).filter((part) => part !== 'build')
const HELP = `npm test                    all: ${PARTS.join(', ')}
npm test -- unit db         some, one after the other
npm run test:e2e -- FILE    one browser test; what follows a part is handed to its runner
`

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const asked = args.filter((arg) => PARTS.includes(arg))
  requireNode()
  makeDataFolder()
  await requireDependencies()
  const testRun = new TestRun(args.filter((arg) => !PARTS.includes(arg)))
  const interrupted = () => void testRun.clear().then(() => process.exit(1))
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, interrupted)
  try {
    for (const chains of asked.length > 0 ? asked.map((part) => [[part]]) : STAGES) await runStage(testRun, chains)
  } finally {
    await testRun.clear()
  }
  sumUp(testRun)
}

/** Side by side, each part's output is kept until it ends, so that it can be read. */
async function runStage(testRun, chains) {
  const isAlone = chains.length === 1
  const runChain = async (parts) => {
    for (const part of parts) await testRun.runPart(part, { isAlone })
  }
  const ended = await Promise.allSettled(chains.map(runChain))
  const failed = ended.find((one) => one.status === 'rejected')
  if (failed) throw failed.reason
}

function sumUp({ passed, failed, failures, broken }) {
  say(`\n${passed} passed, ${failed} failed`)
  for (const name of failures) say(`failed: ${name}`)
  if (broken.size > 0) throw new Stop(`Not in order: ${[...broken].join(', ')}`)
}

runMain(main)
