import type { UnitSystem } from '#core/quantity/kinds'

export const LIGHTS = ['day', 'glare', 'dark'] as const
export type Light = (typeof LIGHTS)[number]
export const LIGHT_NAMES: Record<Light, string> = { day: 'Day', glare: 'Glare', dark: 'Dark bench' }
const A_YEAR_S = 365 * 24 * 3600

/** Light and units of this browser: cookies, so that the server draws the first page in them. */
export function usePreferences() {
  const stored = { maxAge: A_YEAR_S, sameSite: 'strict' as const, path: '/' }
  const light = useCookie<Light>('light', { ...stored, default: () => 'day' })
  const units = useCookie<UnitSystem>('units', { ...stored, default: () => 'metric' })
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
  const switchUnits = () => { units.value = units.value === 'metric' ? 'trail' : 'metric' }
  return { light, units, leavingDark, nextLight, switchUnits }
}
