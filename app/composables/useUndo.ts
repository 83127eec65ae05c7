/** Something was thrown away; until the next is, or the page is left, it can be had back. */
export function useUndo() {
  const offered = shallowRef<{ words: string; back: () => unknown } | null>(null)
  const offer = (words: string, back: () => unknown) => {
    offered.value = { words, back }
  }
  async function take() {
    const last = offered.value
    offered.value = null
    await last?.back()
  }
  return { offered, offer, take, forget: () => void (offered.value = null) }
}
export type Undo = ReturnType<typeof useUndo>
