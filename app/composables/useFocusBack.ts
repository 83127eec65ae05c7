/** What had the focus when a component was made has it again when that is gone. */
export function useFocusBack() {
  const before = import.meta.client ? document.activeElement : null
  onUnmounted(() => void nextTick(() => before instanceof HTMLElement && before.isConnected && before.focus()))
}
