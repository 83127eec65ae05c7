/** Where the cluster's data lies: under .data/, unless the user it runs as cannot get there. */
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder, root } from './paths.mjs'
import { say, Stop } from './say.mjs'
import { canEnter } from './unprivileged.mjs'

export function clusterFolder(user) {
  if (canEnter(user, dataFolder)) return join(dataFolder, 'cluster')
  const home = '/var/lib/postgresql'
  if (!existsSync(home)) mkdirSync(home, { recursive: true, mode: 0o755 })
  if (!canEnter(user, home))
    throw new Stop(
      `The user "${user.name}" can enter neither ${dataFolder} nor ${home}. Move the checkout to a folder that others can enter.`,
    )
  const folder = join(home, `vulcanum-${createHash('sha256').update(root).digest('hex').slice(0, 16)}`)
  say(`  The user "${user.name}" cannot enter ${dataFolder}: the database lies in ${folder}.`)
  return folder
}
