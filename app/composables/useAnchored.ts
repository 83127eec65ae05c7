import { useElementBounding, useWindowSize } from '@vueuse/core'

const GAP_PX = 2
const MOST_PX = 360
/** Less room than this below, and it opens above. */
const ENOUGH_PX = 200
const EDGE_PX = 8

/**
 * Where something that opens at an element stands, over everything and cut by nothing: under it, or above it where there
 * is more room; inside the window.
 * @param leastPx how wide it is at least
 */
export function useAnchored(anchor: () => HTMLElement | null, leastPx = 0) {
  const { top, bottom, left, width } = useElementBounding(anchor)
  const { height, width: windowPx } = useWindowSize()
  return computed(() => {
    const [above, below] = [top.value - GAP_PX, height.value - bottom.value - GAP_PX]
    const isAbove = below < ENOUGH_PX && above > below
    const widthPx = Math.min(Math.max(leastPx, width.value), windowPx.value - 2 * EDGE_PX)
    return {
      left: `${Math.max(EDGE_PX, Math.min(left.value, windowPx.value - widthPx - EDGE_PX))}px`,
      width: `${widthPx}px`,
      maxHeight: `${Math.min(MOST_PX, Math.max(ENOUGH_PX / 2, (isAbove ? above : below) - GAP_PX))}px`,
      ...(isAbove ? { bottom: `${height.value - top.value + GAP_PX}px` } : { top: `${bottom.value + GAP_PX}px` }),
    }
  })
}
