import { useLocalStorage } from '@vueuse/core'

/** A clicker or pedal that sends a key of its own: taught once, it is Next. */
export function usePedal() {
  const key = useLocalStorage('vulcanum.bench.pedal', '')
  const learning = useState('pedalLearning', () => false)

  /** Whether this press was the pedal's: it is then taken, and nothing else hears it. */
  function takes(event: KeyboardEvent, next: () => void): boolean {
    if (event.repeat || event.isComposing) return false
    if (learning.value) {
      learning.value = false
      if (event.key !== 'Escape') key.value = event.key
    } else if (key.value === '' || event.key !== key.value) {
      return false
    } else {
      next()
    }
    event.preventDefault()
    event.stopImmediatePropagation()
    return true
  }
  return reactive({
    key,
    learning,
    takes,
    learn: () => {
      learning.value = true
    },
    forget: () => {
      learning.value = false
      key.value = ''
    },
  })
}
