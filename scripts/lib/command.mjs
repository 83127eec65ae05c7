/**
 * A command line made into one module, in memory, and run. A loader that reads each of its two hundred files by itself
 * takes a second, and names every closure that the inner loops make.
 */
import { build } from 'esbuild'
import { at } from './paths.mjs'

export async function runCommand(file) {
  const { outputFiles } = await build({
    entryPoints: [at('cli', file)],
    bundle: true,
    write: false,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
  })
  await import(`data:text/javascript;base64,${Buffer.from(outputFiles[0].contents).toString('base64')}`)
}
