/**
 * `npm run restore -- FILE`: a back-up in the place of the workspace, while it is served. What stood there stays, under
 * another name.
 */
import { resolve } from 'node:path'
import { restore } from './lib/backup.mjs'
import { requireDependencies, requireNode } from './lib/dependencies.mjs'
import { openWorkspace } from './lib/openWorkspace.mjs'
import { runMain, say, step, Stop } from './lib/say.mjs'

const HELP = `npm run restore -- FILE               in the place of the workspace that is being served, else of the demonstration
npm run restore -- --empty FILE       in the place of your own workspace, where none is being served
                   --unchecked        a back-up of an earlier version, which carries no hash: nothing tells whether it is as it was written

A back-up of an earlier version is brought to this one. What stood before is kept in the cluster, under the name that is said.
`

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const [file, ...more] = args.filter((arg) => !arg.startsWith('--'))
  if (!file || more.length > 0 || args.some((arg) => arg.startsWith('--') && !['--empty', '--unchecked'].includes(arg)))
    throw new Stop(HELP)
  requireNode()
  await requireDependencies()
  const bench = await openWorkspace({ empty: args.includes('--empty') })
  try {
    const before = await step('Restoring', () =>
      restore({ ...bench, file: resolve(file), unchecked: args.includes('--unchecked') }),
    )
    // The server of before holds what it has read; the start that watches over it starts it again.
    if (bench.holder?.serverPid) process.kill(bench.holder.serverPid, 'SIGTERM')
    say(before ? `Restored. What stood before is kept as the database ${before}.` : 'Restored.')
  } finally {
    await bench.close()
  }
}

runMain(main)
