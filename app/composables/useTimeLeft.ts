import { timeLeftWords } from '~/utils/timeLeft'

/** About how long something still takes, by what it took so far; nothing is said while that is not known. */
export function useTimeLeft(done: () => number) {
  const began = ref<{ ms: number; done: number } | null>(null)
  const words = ref('')
  watch(
    done,
    (now) => {
      const ms = performance.now()
      if (began.value === null || now < began.value.done) began.value = { ms, done: now }
      words.value = timeLeftWords({ elapsedS: (ms - began.value.ms) / 1000, before: began.value.done, now })
    },
    { immediate: import.meta.client },
  )
  return words
}
