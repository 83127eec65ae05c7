/** Asks the page's question otherwise: what changes stands in the address, and goes back with the browser's button. */
export function useAsking() {
  const route = useRoute()
  const router = useRouter()
  const say = (change: Record<string, string | undefined>) => router.replace({ query: { ...route.query, ...change } })
  const said = (key: string): string | null => {
    const value = route.query[key]
    return typeof value === 'string' ? value : null
  }
  return { say, said }
}
