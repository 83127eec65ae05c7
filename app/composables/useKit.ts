import type { KitChoices } from '#shared/kitChoices'

/** The kit to choose from. */
export const useKit = () => useFetch<KitChoices>('/api/kit')
