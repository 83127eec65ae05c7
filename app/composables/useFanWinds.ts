import type { WindSurvey } from '#shared/windSurvey'

/** What the newest wind survey of a place says of each station and step of the fan. */
export function useFanWinds(placeId: Ref<string | null>) {
  const { units } = usePreferences()
  const surveys = shallowRef<WindSurvey[]>([])
  watch(
    placeId,
    async (asked) => {
      surveys.value = []
      if (asked === null) return
      // Without the server a lane is prepared all the same.
      const found = await $fetch<WindSurvey[]>(`/api/kit/places/${asked}/surveys`).catch(() => [])
      // Another place may have been chosen meanwhile.
      if (placeId.value === asked) surveys.value = found
    },
    { immediate: true },
  )
  return computed(() =>
    (surveys.value[0]?.cells ?? []).map(({ station, step, windMS, typed }) => ({
      value: `${station}, ${step}`,
      label: `${station}, ${step}: ${shown(windMS, 'wind', units.value)}`,
      typed,
    })),
  )
}
