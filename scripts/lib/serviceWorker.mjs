/**
 * The service worker, written at the end of a build: every file of the application precached, so that the Bench opens
 * without the server once visited.
 */
import { generateSW } from 'workbox-build'

/** Pages as last seen; the Bench is put there by the page itself on its first visit. */
const PAGES = 'vulcanum-pages'

/** @param publicFolder of the build */
export async function writeServiceWorker(publicFolder) {
  const { warnings } = await generateSW({
    globDirectory: publicFolder,
    globPatterns: ['_nuxt/**/*.{js,css,woff2}', 'icon.svg', 'no-server.html'],
    swDest: `${publicFolder}/sw.js`,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    skipWaiting: true,
    clientsClaim: true,
    cleanupOutdatedCaches: true,
    dontCacheBustURLsMatching: /_nuxt\//,
    maximumFileSizeToCacheInBytes: 4e6,
    runtimeCaching: [
      {
        urlPattern: ({ request, url }) =>
          request.mode === 'navigate' && (url.pathname === '/bench' || url.pathname === '/bench/prepare'),
        handler: 'NetworkFirst',
        options: {
          cacheName: PAGES,
          networkTimeoutSeconds: 3,
          matchOptions: { ignoreSearch: true },
          precacheFallback: { fallbackURL: '/no-server.html' },
        },
      },
      {
        urlPattern: ({ request }) => request.mode === 'navigate',
        handler: 'NetworkOnly',
        options: { precacheFallback: { fallbackURL: '/no-server.html' } },
      },
    ],
  })
  for (const warning of warnings) process.stderr.write(`service worker: ${warning}\n`)
}
