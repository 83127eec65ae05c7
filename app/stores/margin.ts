/** Which number's working the margin shows, and how one got there. */
export const useMargin = defineStore('margin', () => {
  const trail = ref<string[]>([])
  const open = computed(() => trail.value.at(-1) ?? null)
  const show = (path: string) => { trail.value = [path] }
  const follow = (path: string) => { trail.value = [...trail.value, path] }
  const backTo = (index: number) => { trail.value = trail.value.slice(0, index + 1) }
  const close = () => { trail.value = [] }
  return { trail, open, show, follow, backTo, close }
})
