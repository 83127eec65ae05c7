import type { Ref } from 'vue'

const A_YEAR_S = 365 * 24 * 3600

/**
 * What this browser keeps for the first bytes of a page to know: under the product's name, since others of this host
 * set cookies too, and only where it is what it should be.
 */
function useKeptCookie<T>(name: string, isIt: (read: unknown) => boolean, otherwise: () => T): Ref<T> {
  const app = useNuxtApp()
  const kept = keptOf.get(app) ?? new Map<string, Ref<unknown>>()
  keptOf.set(app, kept)
  if (!kept.has(name))
    kept.set(
      name,
      effectScope(true).run(() => readCookie(name, isIt, otherwise))!,
    )
  return kept.get(name) as Ref<T>
}
/** Read once for all components of a page. */
const keptOf = new WeakMap<object, Map<string, Ref<unknown>>>()

function readCookie<T>(name: string, isIt: (read: unknown) => boolean, otherwise: () => T): Ref<T> {
  const decode = (text: string): T => {
    try {
      const read: unknown = JSON.parse(decodeURIComponent(text))
      return isIt(read) ? (read as T) : otherwise()
    } catch {
      return otherwise()
    }
  }
  return useCookie<T>(`vulcanum_${name}`, {
    maxAge: A_YEAR_S,
    sameSite: 'strict',
    path: '/',
    default: otherwise,
    decode,
    encode: (value) => encodeURIComponent(JSON.stringify(value)),
  })
}

const isOneOf = (words: readonly string[]) => (read: unknown) => typeof read === 'string' && words.includes(read)

/** One of these words. */
export const useChosenCookie = <T extends string>(name: string, words: readonly T[], otherwise: T) =>
  useKeptCookie<T>(name, isOneOf(words), () => otherwise)
/** Some of these words. */
export const useListCookie = <T extends string>(name: string, words: readonly T[], otherwise: readonly T[]) =>
  useKeptCookie<T[]>(
    name,
    (read) => Array.isArray(read) && read.every(isOneOf(words)),
    () => [...otherwise],
  )
