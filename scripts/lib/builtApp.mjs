/**
 * Where the built application is run from, and as whom: never as root, and from a copy where that user cannot read the
 * checkout.
 */
import { createHash } from 'node:crypto'
import { spawnSync } from 'node:child_process'
import { cpSync, existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { at, dataFolder, root } from './paths.mjs'
import { say } from './say.mjs'
import { canRead, spawnOptions, unprivilegedUser } from './unprivileged.mjs'

let found = null

/** @returns folder holding scripts/serve.mjs and .output; `as`: for spawn, uid and gid where they are others */
export function builtApp() {
  return (found ??= findApp())
}

function findApp() {
  const user = unprivilegedUser()
  if (user === null) return { folder: root, as: {} }
  if (spawnSync(process.execPath, ['--version'], { ...spawnOptions(user), stdio: 'ignore' }).status !== 0) {
    say(
      `  The user "${user.name}" cannot run ${process.execPath}: the server runs as root. Install Node.js where all may run it, or start as an ordinary user.`,
    )
    return { folder: root, as: {} }
  }
  const as = { uid: user.uid, gid: user.gid }
  return canRead(user, at('.output', 'server', 'index.mjs')) ? { folder: root, as } : { folder: copyOfBuild(user), as }
}

/** Where the certificate of `--share` is kept: where the server's user can read it. */
export const shareFolder = () =>
  builtApp().folder === root ? join(dataFolder, 'share') : builtApp().folder.replace(/-built$/, '-share')

/** Beside the database, where that user may read; made anew when the build is another. */
function copyOfBuild(user) {
  const folder = join(
    '/var/lib/postgresql',
    `vulcanum-${createHash('sha256').update(root).digest('hex').slice(0, 16)}-built`,
  )
  const stamp = (path) => (existsSync(path) ? readFileSync(path, 'utf8') : '')
  const [mine, there] = [stamp(at('.output', '.sources')), stamp(join(folder, '.output', '.sources'))]
  if (mine !== there || mine === '') {
    rmSync(folder, { recursive: true, force: true })
    mkdirSync(join(folder, 'scripts'), { recursive: true, mode: 0o755 })
    cpSync(at('scripts', 'serve.mjs'), join(folder, 'scripts', 'serve.mjs'))
    // Links stay relative: made absolute they would lead back into the checkout.
    cpSync(at('.output'), join(folder, '.output'), { recursive: true, verbatimSymlinks: true })
  }
  say(`  The user "${user.name}" cannot read ${root}: the server runs from a copy of what was built, in ${folder}.`)
  return folder
}
