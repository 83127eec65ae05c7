const MOST_MS = 3000
export interface TypedAhead {
  text: string
  isEntered: boolean
}

/** What is typed for something that was asked for and is still on its way to the screen: no letter of it is lost. */
export function useTypedAhead() {
  const text = ref('')
  const isEntered = ref(false)
  const hear = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    if (event.key.length === 1) text.value += event.key
    else if (event.key === 'Backspace') text.value = text.value.slice(0, -1)
    else if (event.key === 'Enter') isEntered.value = true
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  let timer: ReturnType<typeof setTimeout> | undefined
  const stop = () => window.removeEventListener('keydown', hear, { capture: true })
  function listen() {
    window.addEventListener('keydown', hear, { capture: true })
    // What does not come must not swallow keys for ever.
    clearTimeout(timer)
    timer = setTimeout(stop, MOST_MS)
  }
  onUnmounted(stop)
  /** What came so far; from here on it hears for itself. */
  const typedAhead = (): TypedAhead => {
    stop()
    const came = { text: text.value, isEntered: isEntered.value }
    text.value = ''
    isEntered.value = false
    return came
  }
  return { typedAhead, listen }
}

/** Types what came so far in its place, as if it had been there. */
export function typeInto(input: HTMLInputElement, { text }: TypedAhead) {
  if (text === '') return
  input.value = text
  input.dispatchEvent(new InputEvent('input', { bubbles: true }))
}
