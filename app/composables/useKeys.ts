import { useLocalStorage } from '@vueuse/core'

/** What a key can do, and the key it has unless re-mapped. One list: the dialog and the buttons read it. */
export const KEY_ACTIONS = {
  find: { key: 'Control+K', words: 'Find or do' },
  keys: { key: '?', words: 'Keys on this screen' },
  units: { key: 'U', words: 'Metric or trail units' },
  light: { key: 'Shift+L', words: 'Day, Glare, Dark bench' },
  margin: { key: 'M', words: 'Show or hide the margin' },
  next: { key: 'Enter', words: 'Bench: next (and Space)' },
  laneA: { key: 'A', words: 'Bench: lane A' },
  laneB: { key: 'B', words: 'Bench: lane B' },
  laneC: { key: 'C', words: 'Bench: lane C' },
  laneD: { key: 'D', words: 'Bench: lane D' },
  laneE: { key: 'E', words: 'Bench: lane E' },
  laneF: { key: 'F', words: 'Bench: lane F' },
  allLanes: { key: 'W', words: 'Bench: all lanes' },
  undo: { key: 'Z', words: 'Bench: undo' },
  earlier: { key: ',', words: 'Bench: last mark a second earlier' },
  later: { key: '.', words: 'Bench: last mark a second later' },
  feed: { key: 'T', words: 'Bench: feed' },
  lid: { key: 'L', words: 'Bench: lid' },
  setting: { key: 'S', words: 'Bench: setting' },
  knock: { key: 'K', words: 'Bench: knock' },
  note: { key: 'N', words: 'Bench: note' },
  photo: { key: 'P', words: 'Bench: photo' },
  flameOut: { key: 'O', words: 'Bench: flame out' },
  giveUp: { key: 'X', words: 'Bench: give up' },
  glance: { key: 'G', words: 'Bench: glance' },
  rowDown: { key: 'J', words: 'Runs: next row' },
  rowUp: { key: 'K', words: 'Runs: row before' },
  pick: { key: 'X', words: 'Runs: pick the row' },
  again: { key: 'G', words: 'Runs: the row’s run again, on a lane' },
} as const
export type KeyAction = keyof typeof KEY_ACTIONS

/** '' switches a key off. */
type KeyMap = Partial<Record<KeyAction, string>>
type Handler = () => void
const handlers = new Map<KeyAction, Handler[]>()

/** The key map of this browser, and what its keys do just now. */
export function useKeys() {
  const changed = useLocalStorage<KeyMap>('vulcanum.keys', {})
  const keyOf = (action: KeyAction): string => changed.value[action] ?? KEY_ACTIONS[action].key
  const act = (action: KeyAction) => handlers.get(action)?.at(-1)?.()

  /** While the component lives, this action is its; the frame's own gives way to a page's. */
  function on(action: KeyAction, handler: Handler, { givesWay = false } = {}) {
    onMounted(() =>
      handlers.set(
        action,
        givesWay ? [handler, ...(handlers.get(action) ?? [])] : [...(handlers.get(action) ?? []), handler],
      ),
    )
    onUnmounted(() =>
      handlers.set(
        action,
        (handlers.get(action) ?? []).filter((one) => one !== handler),
      ),
    )
  }

  function press(event: KeyboardEvent) {
    const pressed = nameOf(event)
    if (pressed === null || (pressed !== 'Control+K' && isBusy(event))) return
    // One key may mean one thing on the bench and another in the runs: what is there takes it.
    const action = (Object.keys(KEY_ACTIONS) as KeyAction[]).find(
      (one) => keyOf(one) === pressed && handlers.get(one)?.length,
    )
    if (action === undefined || isNative(event, pressed)) return
    event.preventDefault()
    act(action)
  }
  /** What keys do on this screen, beside what the finder lists by itself. */
  const here = () =>
    (Object.keys(KEY_ACTIONS) as KeyAction[]).filter(
      (action) => handlers.get(action)?.length && !['find', 'units', 'light'].includes(action),
    )
  return { changed, keyOf, act, on, press, here }
}

/** "Shift+L", "?", "Control+K"; null for what is never a key of ours: repeats, composing, other modifiers. */
function nameOf({ key, ctrlKey, metaKey, altKey, shiftKey, repeat, isComposing }: KeyboardEvent): string | null {
  if (repeat || isComposing || altKey) return null
  if (ctrlKey || metaKey) return key.toLowerCase() === 'k' ? 'Control+K' : null
  if (key === ' ') return 'Enter'
  const letter = key.length === 1 && /[a-z]/i.test(key)
  return letter ? `${shiftKey ? 'Shift+' : ''}${key.toUpperCase()}` : key
}

/** Enter on a button or a link is that button's own. */
const isNative = ({ target }: KeyboardEvent, pressed: string) =>
  (pressed === 'Enter' || pressed === ' ') &&
  target instanceof HTMLElement &&
  target.closest('button, a, summary') !== null

/** Keys are ignored where text is typed, in lists and in dialogs. */
function isBusy({ target }: KeyboardEvent): boolean {
  const element = target instanceof HTMLElement ? target : null
  return (
    element !== null &&
    (element.isContentEditable ||
      element.closest('input, textarea, select, [role=combobox], [role=listbox], [role=dialog]') !== null)
  )
}
