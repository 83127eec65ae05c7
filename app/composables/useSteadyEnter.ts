/**
 * In a list of Headless UI the entry that an arrow goes to, or that what was typed leaves first, is marked with the next
 * frame: an Enter that came before it would take the one before. It is held back so long.
 * @returns what is called for each key, while it is captured; true: the key was held back
 */
export function useSteadyEnter(): (event: KeyboardEvent) => boolean {
  let isMoving = false
  return (event) => {
    if (MOVES.includes(event.key) || event.key.length === 1) {
      isMoving = true
      requestAnimationFrame(() => (isMoving = false))
    }
    if (event.key !== 'Enter' || !isMoving) return false
    const { target } = event
    event.preventDefault()
    event.stopPropagation()
    requestAnimationFrame(() => target?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true })))
    return true
  }
}
const MOVES = ['ArrowDown', 'ArrowUp', 'Home', 'End', 'PageUp', 'PageDown', 'Backspace', 'Delete']
