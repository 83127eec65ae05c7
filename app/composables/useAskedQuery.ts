import type { ShallowRef } from 'vue'
import type { LocationQuery, LocationQueryRaw } from 'vue-router'

/**
 * What the address asks for, and a way to ask for something else. What was asked last counts at once: a second choice
 * made while the address still changes is made on top of the first.
 * @param read from the address's query @param write to it
 */
export function useAskedQuery<T>(read: (query: LocationQuery) => T, write: (asked: T) => LocationQueryRaw) {
  const route = useRoute()
  const router = useRouter()
  const asked = shallowRef(read(route.query)) as ShallowRef<T>
  let underWay = 0
  const settle = () => {
    if (underWay === 0) asked.value = read(route.query)
  }
  watch(() => route.query, settle)

  // Not navigateTo: while another navigation is under way that one does nothing.
  async function ask(to: T) {
    asked.value = to
    underWay++
    try {
      await router.replace({ query: write(to) })
    } finally {
      underWay--
      settle()
    }
  }
  return { asked, ask }
}
