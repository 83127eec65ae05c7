import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { security } from './server/http/securityHeaders'
import { bundlePrograms } from './scripts/lib/serverPrograms.mjs'
import { markdownPages } from './scripts/lib/markdownPages.mjs'
import { writeServiceWorker } from './scripts/lib/serviceWorker.mjs'

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@nuxt/eslint', 'nuxt-security'],
  $production: { nitro: { entry: fileURLToPath(new URL('server/entry.ts', import.meta.url)) } },
  components: [{ path: '~/components', pathPrefix: false }],
  devtools: { enabled: false },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Vulcanum',
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'Tests of camp stoves: fuel per litre boiled, normalised.' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  css: ['~/assets/css/main.css'],
  compatibilityDate: '2026-03-01',
  // Packages whose second half is named only by a condition of their package.json, which the tracer does not follow.
  nitro: {
    experimental: { websocket: true },
    externals: {
      traceInclude: ['async-function', 'generator-function', 'async-generator-function'].map(
        (name) => `node_modules/${name}/require.mjs`,
      ),
    },
  },
  vite: { plugins: [tailwindcss(), markdownPages()], worker: { format: 'es' } },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } },
    nodeTsConfig: {
      include: [
        '../cli/**/*.ts',
        '../core/**/*.ts',
        '../test/**/*.ts',
        '../*.ts',
        '../scripts/**/*.ts',
        '../simulators/**/*.ts',
        '../server/demo/**/*.ts',
      ],
      compilerOptions: { noUncheckedIndexedAccess: true },
    },
  },
  telemetry: false,
  hooks: {
    // The interface answers in one shape; what it leaves, pages answer.
    'nitro:init': (nitro) => {
      nitro.options.errorHandler = [
        fileURLToPath(new URL('server/http/errors', import.meta.url)),
        ...[nitro.options.errorHandler ?? []].flat(),
      ]
      nitro.hooks.hook('compiled', () => bundlePrograms(nitro.options.output.serverDir))
    },
    'nitro:build:public-assets': (nitro) => writeServiceWorker(nitro.options.output.publicDir),
  },
  security,
})
