import { useMutationObserver } from '@vueuse/core'

/**
 * Calls whenever the page shows another light: what is drawn in its colours reads them from the page, which has them a
 * moment after it was chosen.
 */
export const onLightShown = (redraw: () => void) =>
  useMutationObserver(
    () => document.documentElement,
    () => redraw(),
    { attributes: true, attributeFilter: ['data-light'] },
  )
