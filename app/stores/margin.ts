/** The margin: whether it shows, which number's working it tells, and how one got there. */
export const useMargin = defineStore('margin', () => {
  const hidden = ref(false)
  const trail = ref<string[]>([])
  const open = computed(() => trail.value.at(-1) ?? null)
  const show = (path: string) => {
    trail.value = [path]
    hidden.value = false
  }
  const follow = (path: string) => {
    trail.value = [...trail.value, path]
  }
  const backTo = (index: number) => {
    trail.value = trail.value.slice(0, index + 1)
  }
  const close = () => {
    trail.value = []
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
  const toggle = () => {
    hidden.value = !hidden.value
  }
  /** Beside the flame it is a spine, and its drawer shut until it is asked for. */
  const drawer = ref(false)
  const toggleDrawer = () => {
    drawer.value = !drawer.value
  }
  const shutDrawer = () => {
    drawer.value = false
  }
  return {
    hidden,
    trail,
    open,
    pinned,
    show,
    follow,
    backTo,
    close,
    pin,
    clear,
    toggle,
    drawer,
    toggleDrawer,
    shutDrawer,
  }
})
