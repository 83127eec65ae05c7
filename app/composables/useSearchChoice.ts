/** The list that is searched, by a box or as a word of a sentence: it comes when it is first wanted. */
export const searchChoice = async () => (await import('../components/base/SearchChoice.vue')).default

/** How a search choice begins that was wanted before it was there. */
export interface SearchBegun extends TypedAhead {
  /** Its list stands open. */
  isOpen: boolean
}

interface Choice {
  value: string
  label: string
}

/** The choices, led by that of none where there may be none. */
export const withEmpty = (choices: readonly Choice[], empty: string | undefined): Choice[] => [
  ...(empty === undefined ? [] : [{ value: '', label: empty }]),
  ...choices,
]
