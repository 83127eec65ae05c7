/**
 * What the server hands to threads and to programs of their own, and what prepares its database: bundled beside it,
 * each as one file that needs nothing else, so that the built folder alone serves.
 */
import { cpSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'vite'
import { at } from './paths.mjs'

/**
 * What holds parts that are no JavaScript, and stands in the server's own node_modules; and what is not there by
 * choice.
 */
const OUTSIDE = ['sharp', 'pg-native']
const SIMULATORS = ['thermometer', 'scale', 'windMeter', 'weatherStation', 'replay', 'rehearsal']

/** @param serverFolder of the built server */
export async function bundlePrograms(serverFolder) {
  const threads = readdirSync(at('server', 'workers', 'threads')).map((name) => name.replace(/\.ts$/, ''))
  const input = Object.fromEntries([
    ...threads.map((name) => [`threads/${name}`, at('server', 'workers', 'threads', `${name}.ts`)]),
    ...SIMULATORS.map((name) => [`simulators/${name}`, at('simulators', `${name}.ts`)]),
    ['prepareDatabase', at('cli', 'prepareDatabase.ts')],
  ])
  await build({
    configFile: false,
    root: at(),
    logLevel: 'warn',
    publicDir: false,
    ssr: { noExternal: true, external: OUTSIDE, target: 'node' },
    build: {
      ssr: true,
      target: 'node20',
      outDir: join(serverFolder, 'programs'),
      emptyOutDir: true,
      minify: false,
      rollupOptions: {
        external: OUTSIDE,
        input,
        output: { format: 'es', entryFileNames: '[name].mjs', chunkFileNames: 'chunks/[name].mjs' },
      },
    },
  })
  cpSync(at('server', 'database', 'migrations'), join(serverFolder, 'migrations'), { recursive: true })
}
