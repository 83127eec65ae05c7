/**
 * Lets the Bench open without the server: the worker is registered, and the two pages of the Bench are put where it
 * finds them.
 */
export function useOfflinePage() {
  onMounted(() => void register().catch(() => undefined))
}

const PAGES = 'vulcanum-pages'

async function register(): Promise<void> {
  if (!('serviceWorker' in navigator) || import.meta.dev) return
  await navigator.serviceWorker.register('/sw.js')
  const cache = await caches.open(PAGES)
  await Promise.all(
    ['/bench', '/bench/prepare'].map(async (path) => {
      const page = await fetch(path)
      if (page.ok) await cache.put(path, page)
    }),
  )
}
