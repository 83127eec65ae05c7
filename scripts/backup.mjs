/** `npm run backup`: the workspace into one file, while it is in use. */
import { resolve } from 'node:path'
import { backUp } from './lib/backup.mjs'
import { requireDependencies, requireNode } from './lib/dependencies.mjs'
import { openWorkspace } from './lib/openWorkspace.mjs'
import { runMain, say, step, Stop } from './lib/say.mjs'

const HELP = `npm run backup                        the workspace that is being served, else the demonstration, into vulcanum-DATE.backup here
npm run backup -- FILE                into a file of that name
npm run backup -- --empty [FILE]      your own workspace, where none is being served

Restore it with npm run restore -- FILE
`

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const names = args.filter((arg) => !arg.startsWith('--'))
  if (names.length > 1 || args.some((arg) => arg.startsWith('--') && arg !== '--empty')) throw new Stop(HELP)
  requireNode()
  await requireDependencies()
  const file = resolve(
    names[0] ?? `vulcanum-${new Date().toISOString().slice(0, 16).replace('T', '-').replace(':', '')}.backup`,
  )
  const bench = await openWorkspace({ empty: args.includes('--empty') })
  try {
    const { bytes } = await step(`Backing up ${bench.empty ? 'your workspace' : 'the demonstration'}`, () =>
      backUp({ ...bench, file }),
    )
    say(`${file}: ${(bytes / 1e6).toFixed(1)} MB`)
  } finally {
    await bench.close()
  }
}

runMain(main)
