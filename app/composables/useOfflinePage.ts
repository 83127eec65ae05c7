/**
 * Lets the Bench open without the server: the worker is registered, and the two pages of the Bench are put where it
 * finds them.
 */
export function useOfflinePage(light: Readonly<Ref<string>>) {
  const { buildId } = useRuntimeConfig().app
  onMounted(() => void keepPages([buildId, `data-light="${light.value}"`]).catch(() => undefined))
}

const PAGES = 'vulcanum-pages'

/** @param marks what a page of this build and this light has in it: one that is kept already is not asked for again */
async function keepPages(marks: readonly string[]): Promise<void> {
  if (!('serviceWorker' in navigator) || import.meta.dev) return
  await navigator.serviceWorker.register('/sw.js')
  await navigator.serviceWorker.ready
  const cache = await caches.open(PAGES)
  await Promise.all(
    ['/bench', '/bench/prepare'].map(async (path) => {
      const kept = (await (await cache.match(path))?.text()) ?? ''
      if (marks.every((mark) => kept.includes(mark))) return
      const page = await fetch(path)
      if (page.ok) await cache.put(path, page)
    }),
  )
}
