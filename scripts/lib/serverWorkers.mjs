/** What the server hands to threads, bundled beside it: each file of server/workers/threads as one that needs nothing else. */
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'vite'
import { at } from './paths.mjs'

const THREADS = at('server', 'workers', 'threads')

/** @param outputServer the built server's folder */
export async function bundleServerWorkers(outputServer) {
  const input = Object.fromEntries(readdirSync(THREADS).filter(name => name.endsWith('.ts')).map(name => [name.replace(/\.ts$/, ''), join(THREADS, name)]))
  await build({
    configFile: false, root: at(), logLevel: 'warn', publicDir: false,
    ssr: { noExternal: true, target: 'node' },
    build: { ssr: true, target: 'node20', outDir: join(outputServer, 'threads'), emptyOutDir: true, minify: false, rollupOptions: { input, output: { format: 'es', entryFileNames: '[name].mjs', chunkFileNames: 'chunks/[name].mjs' } } },
  })
}
