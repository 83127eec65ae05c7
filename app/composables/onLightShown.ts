/** Calls whenever the page shows another light: what is drawn in its colours reads them from the page, which has them a moment after it was chosen. */
export function onLightShown(redraw: () => void): void {
  let observer: MutationObserver | null = null
  onMounted(() => {
    observer = new MutationObserver(redraw)
    observer.observe(document.documentElement, { attributes: true, attributeFilter: ['data-light'] })
  })
  onUnmounted(() => observer?.disconnect())
}
