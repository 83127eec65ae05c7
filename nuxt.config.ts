import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { security } from './server/http/securityHeaders'
import { bundlePrograms } from './scripts/lib/serverPrograms.mjs'
import { markdownPages } from './scripts/lib/markdownPages.mjs'
import { writeServiceWorker } from './scripts/lib/serviceWorker.mjs'

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@nuxt/eslint', 'nuxt-security'],
  $production: { nitro: { entry: fileURLToPath(new URL('server/entry.ts', import.meta.url)) } },
  // The kit in its states, for who builds with it; never in the built application.
  $development: {
    hooks: {
      'pages:extend': (pages) => {
        const file = fileURLToPath(new URL('app/dev/KitStates.vue', import.meta.url))
        pages.push({ name: 'kit-states', path: '/dev/kit', file })
      },
    },
  },
  // A development server beside a built application keeps its files apart.
  ...(process.env.VULCANUM_BUILD_DIR ? { buildDir: process.env.VULCANUM_BUILD_DIR } : {}),
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
    logging: { compressedSizes: false },
    // To devices of the network; between programs of one machine nobody asks for it.
    compressPublicAssets: { gzip: true, brotli: false },
    experimental: { websocket: true },
    externals: {
      traceInclude: ['async-function', 'generator-function', 'async-generator-function'].map(
        (name) => `node_modules/${name}/require.mjs`,
      ),
    },
  },
  vite: {
    plugins: [tailwindcss(), markdownPages()],
    worker: { format: 'es' },
    $client: {
      build: { minify: 'terser', terserOptions: { compress: { passes: 2 } } },
    },
    // What a page fetches later: found only then, the development server would load the page anew.
    optimizeDeps: {
      include: [
        '@headlessui/vue',
        '@tanstack/vue-table',
        '@tanstack/vue-virtual',
        '@vueuse/core',
        'chart.js',
        'chartjs-plugin-annotation',
        'comlink',
        'idb',
        'papaparse',
        'uuid',
        'yup',
      ],
    },
  },
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
  // The service worker has every file after the first visit: a page asks for its own alone, a link's once it is pointed at.
  experimental: { defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } } },
  hooks: {
    'build:manifest': (manifest) => {
      for (const file of Object.values(manifest)) file.prefetch = false
    },
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
