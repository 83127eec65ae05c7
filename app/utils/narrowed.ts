/** A list narrowed by words as they are typed. */

/** So many are taken in at a look: a list of more is searched. */
export const MOST_AT_A_LOOK = 7

/** Letters alone: "Étna" is found by "etna". */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** What holds every word that is typed: what is called so first, then what begins so, else in its order. */
export function narrowed<T>(all: readonly T[], typed: string, textOf: (one: T) => string): T[] {
  const asked = plain(typed).trim()
  if (asked === '') return [...all]
  const words = asked.split(/\s+/)
  const rank = (text: string) => (text === asked ? 0 : text.startsWith(asked) ? 1 : 2)
  return all
    .map((one) => ({ one, text: plain(textOf(one)) }))
    .filter(({ text }) => words.every((word) => text.includes(word)))
    .sort((a, b) => rank(a.text) - rank(b.text))
    .map(({ one }) => one)
}

/** What was typed holds for one alone, and can be meant for nothing else. */
export function onlyNarrowed<T>(all: readonly T[], typed: string, textOf: (one: T) => string): T | undefined {
  const found = typed === '' ? [] : narrowed(all, typed, textOf)
  return found.length === 1 ? found[0] : undefined
}
