/** What every layout does alike: the light on the page, and the keys of the frame. */
export function useFrame() {
  const { light, nextLight, switchUnits } = usePreferences()
  const keys = useKeys()
  const margin = useMargin()
  useHead({ htmlAttrs: { 'data-light': light } })
  useOfflinePage(light)
  keys.on('units', switchUnits)
  keys.on('light', nextLight)
  keys.on('margin', margin.toggle, { givesWay: true })
  onMounted(() => window.addEventListener('keydown', keys.press))
  onUnmounted(() => window.removeEventListener('keydown', keys.press))
}
