/** The answer to the question that the page's address asks; the last one stands where the next does not come. */
export async function useAsked<T>(path: string) {
  const route = useRoute()
  const { data, error } = await useFetch<T>(path, { query: computed(() => route.query) })
  const answer = shallowRef(data.value as T | undefined)
  watch(data, (newest) => {
    if (newest) answer.value = newest as T
  })
  return { answer, error }
}
