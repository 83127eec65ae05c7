import type { UnitSystem } from '#core/quantity/kinds'

const LIGHTS = ['day', 'glare', 'dark'] as const
export type Light = (typeof LIGHTS)[number]
export const LIGHT_NAMES: Record<Light, string> = { day: 'Day', glare: 'Glare', dark: 'Dark bench' }

/** Light and units of this browser: cookies, so that the server draws the first page in them. */
export function usePreferences() {
  const light = useChosenCookie<Light>('light', LIGHTS, 'day')
  const units = useChosenCookie<UnitSystem>('units', ['metric', 'trail'], 'metric')
  const leavingDark = useState('leavingDark', () => false)

  /** The next light. Leaving Dark bench takes two presses: eyes and an invisible flame depend on it. */
  function nextLight() {
    const here = LIGHTS.indexOf(light.value)
    if (light.value === 'dark' && !leavingDark.value) {
      leavingDark.value = true
      return
    }
    leavingDark.value = false
    light.value = LIGHTS[(here + 1) % LIGHTS.length]!
  }
  const switchUnits = () => {
    units.value = units.value === 'metric' ? 'trail' : 'metric'
  }
  return { light, units, leavingDark, nextLight, switchUnits }
}
