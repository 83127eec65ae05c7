/** What every layout does alike: the light on the page, the keys of the frame, and what they open. */
export function useFrame() {
  const { light, nextLight, switchUnits } = usePreferences()
  const keys = useKeys()
  const margin = useMargin()
  useHead({ htmlAttrs: { 'data-light': light } })
  useOfflinePage(light)
  const opened = ref<'find' | 'keys' | null>(null)
  const { typedAhead, listen } = useTypedAhead()
  keys.on('find', () => {
    opened.value = 'find'
    listen()
  })
  keys.on('keys', () => void (opened.value = 'keys'))
  keys.on('units', switchUnits)
  keys.on('light', nextLight)
  keys.on('margin', margin.toggle, { givesWay: true })
  onMounted(() => window.addEventListener('keydown', keys.press))
  onUnmounted(() => window.removeEventListener('keydown', keys.press))
  return { opened, typedAhead }
}
