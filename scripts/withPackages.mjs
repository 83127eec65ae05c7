/**
 * `node scripts/withPackages.mjs soak …`: one of the measures, which load npm packages from their first line; here
 * those are installed before it.
 */
import { requireDependencies, requireNode } from './lib/dependencies.mjs'
import { makeDataFolder } from './lib/paths.mjs'
import { runMain } from './lib/say.mjs'

runMain(async () => {
  const [name] = process.argv.splice(2, 1)
  requireNode()
  makeDataFolder()
  await requireDependencies()
  await import(`./${name}.mjs`)
})
