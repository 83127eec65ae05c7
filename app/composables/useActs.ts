/** What can be done on the page that is open: the finder lists it. */
export interface PageAct {
  words: string
  act: () => unknown
}
const pages = shallowRef<(() => readonly PageAct[])[]>([])

/** While the page lives, these are its acts. */
export function useActs(acts: () => readonly PageAct[]) {
  onMounted(() => {
    pages.value = [...pages.value, acts]
  })
  onUnmounted(() => {
    pages.value = pages.value.filter((one) => one !== acts)
  })
}
export const actsHere = (): PageAct[] => pages.value.flatMap((acts) => acts())
