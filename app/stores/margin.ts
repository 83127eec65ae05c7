/** The margin: whether it shows, which number's working it tells, and how one got there. */
export const useMargin = defineStore('margin', () => {
  const hidden = ref(false)
  const toggle = () => {
    hidden.value = !hidden.value
  }
  const { trail, open, follow, backTo, close } = useTrail()
  const show = (path: string) => {
    trail.value = [path]
    hidden.value = false
  }
  /** Workings kept in view while others are opened. */
  const pinned = ref<string[]>([])
  const pin = (path: string) => {
    pinned.value = pinned.value.includes(path) ? pinned.value.filter((one) => one !== path) : [...pinned.value, path]
  }
  function clear() {
    close()
    pinned.value = []
  }
  return { hidden, toggle, trail, open, show, follow, backTo, close, pinned, pin, clear, ...useDrawer() }
})

/** From the number that was asked about, through those it rests on. */
function useTrail() {
  const trail = ref<string[]>([])
  const open = computed(() => trail.value.at(-1) ?? null)
  const follow = (path: string) => {
    trail.value = [...trail.value, path]
  }
  const backTo = (index: number) => {
    trail.value = trail.value.slice(0, index + 1)
  }
  const close = () => {
    trail.value = []
  }
  return { trail, open, follow, backTo, close }
}

/** Beside the flame it is a spine, and its drawer shut until it is asked for. */
function useDrawer() {
  const drawer = ref(false)
  const toggleDrawer = () => {
    drawer.value = !drawer.value
  }
  const shutDrawer = () => {
    drawer.value = false
  }
  return { drawer, toggleDrawer, shutDrawer }
}
