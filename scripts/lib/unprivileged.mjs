/** The user that PostgreSQL and the server run as: never root. */
import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { Stop } from './say.mjs'

/** Who to run as: null means as this very user, which is not root. */
export function unprivilegedUser() {
  if (process.getuid?.() !== 0) return null
  const users = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .map((line) => line.split(':'))
  for (const name of ['postgres', 'nobody']) {
    const entry = users.find((user) => user[0] === name)
    if (entry) return { name, uid: Number(entry[2]), gid: Number(entry[3]) }
  }
  throw new Stop(
    'This is root, and there is neither a user "postgres" nor "nobody" to run as.\nStart again as an ordinary user.',
  )
}

/** For spawn: the user, a clean environment, and a folder that anyone may be in. */
export const spawnOptions = (user) => ({
  cwd: '/',
  env: { PATH: '/usr/bin:/bin', LC_ALL: 'C.UTF-8', TZ: 'UTC' },
  ...(user ? { uid: user.uid, gid: user.gid } : {}),
})

/** Whether that user can read a file. */
export const canRead = (user, file) =>
  spawnSync('/bin/sh', ['-c', 'test -r "$1"', 'sh', file], { ...spawnOptions(user), stdio: 'ignore' }).status === 0

/** Whether that user can get into a folder. */
export function canEnter(user, folder) {
  return spawnSync('/bin/sh', ['-c', 'cd "$1"', 'sh', folder], { ...spawnOptions(user), stdio: 'ignore' }).status === 0
}
