/** Debian's packages, where they may be installed: as root, with apt-get. */
import { existsSync } from 'node:fs'
import { run } from './processes.mjs'
import { step, Stop } from './say.mjs'

const mayInstall = () => process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')

/** Installs packages, or says exactly what to install. */
export async function installPackages(what, packages, before = () => undefined) {
  if (!mayInstall()) {
    throw new Stop(
      `${what} is not installed, and this user may not install it.\nInstall it, then start again:\n\n  sudo apt-get install ${packages.join(' ')}\n`,
    )
  }
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  await step('Asking Debian for its list of packages', () => run('/usr/bin/apt-get', ['update', '-q'], { env }))
  before()
  await step(`Installing ${what}`, () =>
    run('/usr/bin/apt-get', ['install', '-y', '-q', '--no-install-recommends', ...packages], { env }),
  )
}
