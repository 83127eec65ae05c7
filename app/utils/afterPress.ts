/** Whether a pointer is down. What moves the page meanwhile would take the press away from what it was meant for. */
let isDown = false
if (import.meta.client) {
  window.addEventListener('pointerdown', () => (isDown = true), { capture: true })
  for (const end of ['pointerup', 'pointercancel'])
    window.addEventListener(end, () => (isDown = false), { capture: true })
}

/** Done now; while something is being pressed, once that press has reached it. */
export function afterPress(act: () => void): void {
  if (!isDown) return act()
  window.addEventListener('pointerup', () => setTimeout(act), { once: true })
}
